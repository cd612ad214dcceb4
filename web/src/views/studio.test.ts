// The studio's own settings: what is written stays while the page learns of others' changes.
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import StudioSettings from './StudioSettings.vue'

const { kept, changeStudio } = vi.hoisted(() => ({
  kept: { now: {} as Record<string, unknown>, arrives: Promise.resolve() },
  changeStudio: vi.fn(() => Promise.resolve({})),
}))
vi.mock('../api/afterwards', () => ({
  changeStudio,
  afterwards: {
    studio: () => ({
      queryKey: ['studio'],
      queryFn: async () => {
        await kept.arrives
        return structuredClone(kept.now)
      },
    }),
  },
}))
const hands = { root_share: 0.5, band_share: 0.6, open_air_share: 0.7, change_min: 1.5, join_change_min: 0.5, rinse_min: 7, look_min: 0.5, mix_min: 3, tone_share: 0.25 } // prettier-ignore
const school = { order_way: null, step: 'whole', bowl_style: 'usual', delicate_way: 'weaker_last', has_additive: false, hands: 1 } // prettier-ignore
const usual = { name: 'The hair room', pace_min_per_foil: 1.2, growth_mm_per_month: 12, weakest_natural: 20, weakest_worn: 10, weakest_old_dye: 5, currency: '€', units: 'metric', idle_min: 120, demands_second_factor: false, closed_on: [] } // prettier-ignore
const show = async () => {
  const client = new QueryClient()
  const wrapper = mount(StudioSettings, {
    props: { isLocked: false },
    global: { plugins: [[VueQueryPlugin, { queryClient: client }]] },
  })
  await flushPromises()
  return { wrapper, again: () => client.refetchQueries().then(flushPromises) }
}
const value = (wrapper: Awaited<ReturnType<typeof show>>['wrapper'], id: string) =>
  (wrapper.get(id).element as HTMLInputElement).value

beforeEach(() => {
  setActivePinia(createPinia())
  vi.clearAllMocks()
  kept.now = { ...usual, hands, school }
  kept.arrives = Promise.resolve()
})

describe('the settings', () => {
  it('take nothing before they came: what came would be written over it', async () => {
    let arrive = () => {}
    kept.arrives = new Promise((done) => (arrive = done))
    const { wrapper } = await show()
    expect(wrapper.get('fieldset').attributes('disabled')).toBeDefined()
    arrive()
    await flushPromises()
    expect(wrapper.get('fieldset').attributes('disabled')).toBeUndefined()
  })
  it('keep what is being written when another member changes something else', async () => {
    const { wrapper, again } = await show()
    await wrapper.get('#s-name').setValue('The green room')
    kept.now = { ...kept.now, idle_min: 60 }
    await again()
    expect([value(wrapper, '#s-name'), value(wrapper, '#s-idle')]).toEqual(['The green room', '60'])
  })
  it('name a single closed day once, and keep it', async () => {
    const { wrapper } = await show()
    await wrapper.findAll('button').find((b) => b.text() === 'Add closed days')!.trigger('click') // prettier-ignore
    await wrapper.get('#closed-first-0').setValue('2026-12-26')
    expect(value(wrapper, '#closed-last-0')).toBe('2026-12-26')
    await wrapper.get('#closed-last-0').setValue('2026-12-28')
    await wrapper.get('#closed-first-0').setValue('2026-12-24')
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    const days = [{ first: '2026-12-24', last: '2026-12-28', is_every_year: false }]
    expect(changeStudio).toHaveBeenCalledWith(expect.objectContaining({ closed_on: days, growth_mm_per_month: 12 }))
    await wrapper.get('[aria-label="Take out Thursday 24 December"]').trigger('click')
    expect(wrapper.text()).toContain('No day is closed')
  })
})
