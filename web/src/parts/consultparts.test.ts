import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, RouterLinkStub, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Schemas } from '../api/client'
import { changeClient, checkMix, readScale } from '../api/queries'
import type { Draft } from '../stores/consultation'
import { newZone, type Zone } from '../stores/zones'
import HairPanel from './HairPanel.vue'
import MixingList from './MixingList.vue'
import PersonPanel from './PersonPanel.vue'
import TestsPanel from './TestsPanel.vue'
import WeighSheet from './WeighSheet.vue'

/** The input whose label begins with a text, however it is capitalised. */
const field = (panel: Pick<VueWrapper, 'find' | 'findAll'>, label: string) => {
  const found = panel.findAll('label').find((l) => l.text().toLowerCase().startsWith(label))!
  return panel.find<HTMLInputElement>(`[id="${found.attributes('for')}"]`)
}

vi.mock('vue-router', () => ({ RouterLink: RouterLinkStub }))
vi.mock('../api/queries', () => ({
  changeClient: vi.fn(async () => ({})),
  checkMix: vi.fn(),
  readScale: vi.fn(),
  queries: {
    shelf: () => ({ queryKey: ['shelf'], queryFn: async () => ({ lighteners: [{ key: 'soot', name: 'Soot' }] }) }),
    palette: (start: number | null) => ({
      queryKey: ['palette', start],
      queryFn: async () => ({
        start_level: start,
        levels: [4, 6, 8, 9],
        hexes: ['#111111', '#222222', '#333333', '#444444'],
        undertones: ['a', 'b', 'c', 'd'],
      }),
    }),
  },
}))
const usual = { key: 'crown', name: 'Crown', foil_count: 7, is_delicate: false, mirror: null }
const head = { zones: [usual], pace_min_per_foil: 1.1, usual_length_mm: 250, root_mm: 12 } as Schemas['HeadOut']
const natural = { start_level: null, levels: [4, 5, 6], hexes: ['#400000', '#500000', '#600000'], undertones: [] } as unknown as Schemas['PaletteOut'] // prettier-ignore
const plugins = () => {
  const pinia = createPinia()
  setActivePinia(pinia)
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  return { plugins: [pinia, [VueQueryPlugin, { queryClient: client }] as [typeof VueQueryPlugin, object]] }
}
const zone = (level = 4): Zone => newZone(usual, level, 8, 1.1, '#400000')

/** A panel that applies its edits to the zones, as the page does. */
function hairPanel(zones: Zone[]) {
  const panel = mount(HairPanel, {
    props: { zones, head, natural, onEdit: (change: (z: Zone) => void) => zones.forEach(change) },
    global: plugins(),
  })
  const again = async () => {
    await panel.setProps({ zones: zones.map((z) => ({ ...z })) }) // as the page has them: new ones after each change
    await flushPromises()
  }
  return { panel, again }
}

describe('reading hair', () => {
  it('reads all chosen zones at once, and lifts a target that would lie below', async () => {
    const zones = [zone(4), { ...zone(5), target_level: 5 }]
    const { panel, again } = hairPanel(zones)
    await panel.find('input[type=radio][value="6"]').trigger('change')
    expect(zones.map((z) => [z.start_level, z.start_hex, z.target_level])).toEqual([
      [6, '#600000', 8],
      [6, '#600000', 6],
    ])
    await again()
    await panel.find('input[type=radio][value="henna"]').trigger('change')
    expect(zones.every((z) => z.history === 'henna')).toBe(true)
  })

  it('opens a root apart, reads it alone, and puts it back', async () => {
    const zones = [zone(6)]
    const { panel, again } = hairPanel(zones)
    const button = (name: string) => panel.findAll('button').find((t) => t.text().startsWith(name))!
    await button('Root apart').trigger('click')
    await again()
    expect(zones[0]!.parts[0]).toMatchObject({ start_level: 6, from_mm: 0, to_mm: 12 })
    await panel.find('input[type=radio][value="4"]').trigger('change')
    expect(zones[0]).toMatchObject({ start_level: 6, parts: [{ start_level: 4 }] })
    await field(panel, 'regrowth').setValue('30')
    await field(panel, 'regrowth').trigger('change')
    expect(zones[0]!.parts[0]!.to_mm).toBe(30)
    await button('Read as one again').trigger('click')
    expect(zones[0]!.parts).toEqual([])
  })

  it('reads a band and its meeting line, and keeps what is under it out of the plan', async () => {
    const zones = [zone(6), zone(6)]
    const { panel, again } = hairPanel(zones)
    const button = (name: string) => panel.findAll('button').find((t) => t.text().startsWith(name))!
    await button('Band apart').trigger('click')
    await again()
    await field(panel, 'from the scalp').setValue('60')
    await field(panel, 'from the scalp').trigger('change')
    await panel.find('input[type=radio][value="jagged"]').trigger('change')
    await panel.find('input[type=radio][value="keep"]').trigger('change')
    expect(zones.map((z) => z.parts[0])).toMatchObject([
      { from_mm: 60, to_mm: 165, meeting: 'jagged', is_left_out: true },
      { from_mm: 60, to_mm: 165, meeting: 'jagged', is_left_out: true },
    ])
  })

  it('tells two kinds of hair in turn, each with its own wish', async () => {
    const zones = [zone(4)]
    const { panel, again } = hairPanel(zones)
    const two = panel.findAll('label').find((l) => l.text().startsWith('Two kinds in turn'))!
    await two.find('input').setValue(true)
    await again()
    await panel.find('#piece-name').setValue('High foils')
    await panel.find('#piece-name').trigger('change')
    await again()
    const kinds = panel.findAll('label').filter((l) => l.text() === 'High foils')
    await kinds[0]!.find('input').setValue(true)
    await panel.find('input[type=radio][value="6"]').trigger('change')
    expect(zones[0]).toMatchObject({ start_level: 4, pieces: { name: 'High foils', start_level: 6, share: 0.5 } })
    await panel.find('input[type=radio][value="deeper"]').trigger('change')
    expect(zones[0]!.pieces!.target_level).toBe(5)
  })

  it('keeps depth by holding the target where the hair is', async () => {
    const zones = [zone(5)]
    const { panel } = hairPanel(zones)
    const keep = panel
      .findAll('label')
      .find((l) => l.text().startsWith('Keep depth'))!
      .find('input')
    await keep.setValue(true)
    expect(zones[0]).toMatchObject({ keeps_depth: true, target_level: 5 })
  })
})

const draft = (more: Partial<Draft> = {}): Draft =>
  ({ wish: '', tone: 'neutral', wanted_level: null, scalp: 'sound', elasticity: 'returns', salts_test: 'not_done', salts_signs: null, stretch: null, allergies: '', medication: '', home_care: [], is_clarified: false, time_min: null, booked_min: null, zones: [], strands: [], ...more }) as Draft // prettier-ignore
const service = (more: object = {}) =>
  ({ id: 's1', client_id: 'c1', client_age_years: 30, reacts_to_oxidative: null, is_reaction_open: false, patch_state: 'due', patch_test_placed_at: null, stretch: null, move_text: null, ...more }) as unknown as Schemas['ServiceOut'] // prettier-ignore

describe('the person and the tests', () => {
  it('gives one wish to all zones but those that keep their depth', async () => {
    const made = draft({ zones: [zone(4), { ...zone(5), keeps_depth: true, target_level: 5 }, zone(6)] })
    const panel = mount(PersonPanel, {
      props: { draft: made, service: service(), natural, isLocked: false, onEdit: (e: (d: Draft) => void) => e(made) },
      global: plugins(),
    })
    await panel.find('input[type=radio][value="5"]').trigger('change')
    expect(made.zones.map((z) => z.target_level)).toEqual([5, 5, 6])
    expect(panel.text()).not.toContain('Washed out today')
    const minerals = panel
      .findAll('label')
      .find((l) => l.text().includes('minerals'))!
      .find('input')
    await minerals.setValue(true)
    expect(made.home_care).toEqual(['minerals'])
    await panel.setProps({ draft: { ...made }, service: service({ builds_up: true }) })
    expect(panel.text()).toContain('Washed out today')
  })

  it('keeps what is being typed while something else is answered', async () => {
    const made = draft()
    const panel = mount(PersonPanel, {
      props: { draft: made, service: service(), natural, isLocked: false, onEdit: (e: (d: Draft) => void) => e(made) },
      global: plugins(),
      attachTo: document.body,
    })
    const wish = panel.find<HTMLTextAreaElement>('#wish').element
    wish.focus()
    wish.value = 'Fair, and c' // not left yet
    await panel.setProps({ draft: { ...made }, service: service({ builds_up: true }) })
    expect(wish.value).toBe('Fair, and c')
    const minutes = field(panel, 'time booked').element
    minutes.focus()
    minutes.value = '18'
    await panel.setProps({ draft: { ...made }, service: service({ builds_up: false }) })
    expect(minutes.value).toBe('18')
    panel.unmount()
  })

  it('reads a due patch test, and tells signs and lengths without judging them', async () => {
    const made = draft()
    const panel = mount(TestsPanel, {
      props: { draft: made, service: service(), isLocked: false, onEdit: (e: (d: Draft) => void) => e(made) },
      global: plugins(),
    })
    const button = (name: string) => panel.findAll('button').find((b) => b.text() === name)!
    await button('Clear').trigger('click')
    expect(vi.mocked(changeClient)).toHaveBeenCalledWith('c1', { patch_test_result: 'negative' })
    await button('Done: tell what it did').trigger('click')
    expect(made.salts_signs).toEqual([])
    const type = async (label: string, value: string) => {
      await field(panel, label).setValue(value)
      await field(panel, label).trigger('change')
    }
    await type('pulled to', '140')
    expect(made.stretch).toBeNull() // not before it is known where it came back to
    await type('back at', '104')
    expect(made.stretch).toEqual({ rest_mm: 100, pulled_mm: 140, back_mm: 104, has_snapped: false })
    await button('It snapped').trigger('click')
    expect(made.stretch?.has_snapped).toBe(true)
  })
})

const bowl = (more: Partial<Schemas['BowlOut']> = {}): Schemas['BowlOut'] => ({
  number: 1,
  mix_min: 12,
  volume_strength: 25,
  lightener_key: 'l',
  lightener_name: 'Chalk',
  lightener_g: 24,
  developer_g: 36,
  total_g: 60,
  waste_g: 5,
  oldest_min: 10,
  life_min: 20,
  lift_lost_share: 0,
  pours: [
    { name: 'Developer 20', volume_strength: 20, mass_g: 18 },
    { name: 'Developer 30', volume_strength: 30, mass_g: 18 },
  ],
  fills: [
    {
      lane_key: 'crown',
      lane_name: 'Crown',
      mass_g: 55,
      start_min: 12,
      end_min: 20,
      oldest_min: 8,
      lift_lost_share: 0,
    },
  ],
  ...more,
})

describe('mixing', () => {
  beforeEach(() => {
    vi.mocked(checkMix).mockReset()
    vi.mocked(readScale).mockReset()
  })

  it('lists bowls with their time on the clock and says when one goes stale', () => {
    const plan = { bowls: [bowl(), bowl({ number: 2, mix_min: 75, oldest_min: 40, lift_lost_share: 0.2 })], waste_g: 10, lightener_g: 48, lighteners_g: { Chalk: 48 }, lightener_key: 'l', poured: [] } as unknown as Schemas['PlanOut'] // prettier-ignore
    const list = mount(MixingList, {
      props: { plan, zero: new Date(2026, 2, 1, 9, 50), isRunning: false },
      global: plugins(),
    })
    const rows = list.findAll('tbody tr')
    expect(rows.map((r) => r.find('td').text())).toEqual(['10:02', '11:05'])
    expect(rows[0]!.text()).toContain('18 g of 20 + 18 g of 30 vol')
    expect(rows[1]!.text()).toContain('40 min old at its end, lifts 20 % less far')
  })

  it('checks a bowl once every line is weighed, and keeps what the scale said', async () => {
    vi.mocked(checkMix).mockResolvedValue({
      volume_strength: 25.04,
      developer_parts: 1.5,
      developer_g: 36.04,
      advice: '',
    })
    vi.mocked(readScale).mockResolvedValue({ shown_g: [9, 17.9, 18.1] })
    vi.useFakeTimers()
    const sheet = mount(WeighSheet, {
      props: { bowl: bowl(), canRecord: true },
      global: { ...plugins(), stubs: { Sheet: { template: '<div><slot /></div>' } } },
    })
    const inputs = sheet.findAll('input')
    for (const [i, grams] of ['24', '18,0'].entries()) {
      await inputs[i]!.setValue(grams)
      await inputs[i]!.trigger('change')
    }
    expect(checkMix).not.toHaveBeenCalled()
    const pours = sheet.findAll('button').filter((b) => b.text() === 'Pour')
    await pours[2]!.trigger('click')
    await vi.runAllTimersAsync()
    vi.useRealTimers()
    expect(inputs[2]!.element.value).toBe('18.1')
    expect(checkMix).toHaveBeenCalledWith({
      lightener_key: 'l',
      product_g: 24,
      pours: [
        { volume_strength: 20, mass_g: 18 },
        { volume_strength: 30, mass_g: 18.1 },
      ],
      wanted_volume: 25,
    })
    await sheet
      .findAll('button')
      .find((b) => b.text() === 'Mixed as weighed')!
      .trigger('click')
    expect(sheet.emitted('mixed')).toEqual([
      [{ volume_strength: 25, product_g: 24, developer_g: 36, recipe: '18 g of 20 vol + 18 g of 30 vol' }],
    ])
  })
})
