import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import ReviewRow from './ReviewRow.vue'
import ToneBowls from './ToneBowls.vue'
import ToneNext from './ToneNext.vue'

const NOW = new Date('2026-03-01T12:00:00Z').getTime()
const at = (minutes: number) => new Date(NOW + minutes * 60_000).toISOString()

const act = (code: string, minutes: number, name = 'Crown') => ({
  code,
  ids: [name.toLowerCase()],
  title: `${code}: ${name}`,
  detail: 'bowl 1',
  due_at: at(minutes),
  hex: '#aabbcc',
  bowl: 1,
  before_min: [0],
})
const mounted = (acts: ReturnType<typeof act>[], scale: Schemas['StrandSwatch'][]) =>
  mount(ToneNext, {
    props: { acts: acts as Schemas['ToneAct'][], names: { top: 'Top', nape: 'Nape' }, now: NOW, isBusy: false, scale },
  })
const next = (...acts: ReturnType<typeof act>[]) => mounted(acts, [])

describe('the next act at the basin', () => {
  it('stands alone, with its clock, and the next ones beside it', () => {
    const wrapper = next(act('rinse', 4.5), act('strand', 6, 'Top'))
    expect(wrapper.get('h2').text()).toBe('rinse: Crown')
    expect(wrapper.get('[role=timer]').text()).toBe('4:30')
    expect(wrapper.get('[aria-label=Then]').text()).toContain('in 6 min')
  })
  it('has no clock for a bowl that can go on now', () => {
    expect(next(act('apply', 0)).find('[role=timer]').exists()).toBe(false)
  })
  it('has what a rinsed strand may look like, and one tap tells it', async () => {
    const scale = [0.3, 0.4, 0.5].map((s) => ({ deposit_share: s, hex: '#d8c8a0', is_expected: s === 0.4 }))
    const wrapper = mounted([act('strand', 0)], scale)
    await wrapper.get('[aria-label="As expected by now"]').trigger('click')
    expect(wrapper.emitted('seen')).toEqual([['crown', 0.4]])
    expect(
      mounted([act('rinse', 0)], scale)
        .find('[aria-label="As expected by now"]')
        .exists(),
    ).toBe(false)
  })
  it('is done by its own word, in the stop colour once the label is up', async () => {
    const wrapper = next(act('stop', -1))
    expect(wrapper.get('section').classes()).toContain('!bg-stop')
    await wrapper.get('button').trigger('click')
    expect((wrapper.emitted('do')![0]![0] as { code: string }).code).toBe('stop')
  })
  it('is for all its parts in one tap, with exceptions by a tap each', async () => {
    const wrapper = next({ ...act('apply', 0), ids: ['crown', 'top', 'nape'], before_min: [2, 1, 0] })
    await wrapper.get('button').trigger('click')
    expect(wrapper.emitted('do')![0]![1]).toEqual(['crown', 'top', 'nape'])
    await wrapper.get('[aria-expanded=false]').trigger('click')
    const chips = wrapper.findAll('[aria-label="Which parts"] button')
    expect(chips.map((c) => c.text())).toEqual(['crown', 'Top', 'Nape'])
    await chips[1]!.trigger('click')
    expect(wrapper.text()).toContain('2 of 3')
    await wrapper.get('button').trigger('click')
    expect(wrapper.emitted('do')![1]![1]).toEqual(['crown', 'nape'])
  })
  it('says of many parts how many, not every name', () => {
    const ids = ['crown', 'top', 'nape', 'back', 'side']
    expect(
      next({ ...act('rinse', 4), ids })
        .get('h2')
        .text(),
    ).toBe('Rinse all 5 parts')
  })
  it('says when nothing is left', () => {
    expect(next().text()).toContain('nothing left to tone')
  })
})

const bowl = (number: number) => ({
  number,
  formula_key: `f${number}`,
  formula_name: 'Fog 9',
  shade_keys: ['fog', 'oat'],
  shade_names: ['Fog 9', 'Oat 9'],
  shades_g: [12.4, 4.13],
  developer_g: 24.8,
  developer_volume: 7,
  developer_parts: 1.5,
  share: 0.75,
  dilution: 0,
  diluent_g: 0,
  is_own: false,
  label_max_min: 20,
  lane_ids: ['crown'],
  lane_names: ['Crown', 'Top'],
  hex: '#aabbcc',
})
const count = (n: number, spread: number, gives_up: string) => ({
  count: n,
  spread,
  mean_delta_e: 1.25,
  worst_delta_e: 2,
  is_proposed: n === 2,
  gives_up,
})

describe('the bowls', () => {
  const step = {
    bowls: [bowl(1), bowl(2)],
    rinses: [17.2],
    total_g: 82,
    much: null,
    fill: null,
    counts: [count(1, 9.1, 'zones 9.1 apart, 3.2 with 2 bowls'), count(2, 3.2, 'the nearest this shelf comes')],
  } as unknown as Schemas['ToneStep']
  const bowls = () => mount(ToneBowls, { props: { step, most: 2, isLocked: false } })
  it('say what to weigh, for whom, and what fewer would give up', () => {
    const text = bowls().text()
    for (const words of ['12 g Fog 9 + 4.1 g Oat 9', '25 g of 7 vol', '1:1.5, label 20 min', 'Crown, Top'])
      expect(text).toContain(words)
    expect(text).toContain('2 bowls, one rinse at 17 min')
    expect(text).toContain('difference 1.3 from the wishes, at most 2.0')
    expect(text).toContain('One bowl: zones 9.1 apart, 3.2 with 2 bowls')
  })
  it('are as many as is allowed', async () => {
    const wrapper = bowls()
    await wrapper.get('[aria-label="At most 3 bowls"]').trigger('click')
    expect(wrapper.emitted('most')).toEqual([[3]])
    expect(wrapper.get('[aria-label="At most 2 bowls"]').attributes('aria-checked')).toBe('true')
  })
})

describe('a zone in review', () => {
  const option = (way: string, more: object = {}) => ({
    way,
    title: way,
    reason: `${way} because`,
    hex: '#ccaa88',
    level: 8,
    volume_strength: null,
    minutes: null,
    blocked: null,
    asks_label: false,
    ...more,
  })
  const row = (way: string, again: object = {}) =>
    mount(ReviewRow, {
      props: {
        lane: {
          key: 'crown', name: 'Crown', level: 6.5, target_level: 9, off_levels: -2.5, is_on_target: false, is_read: true,
          says: 'Yellow-orange at 6.5: blue-violet', before_hex: '#332211', now_hex: '#aa7744', target_hex: '#ccaa77',
          band: '2.5 levels darker than most of the head, the whole zone',
          options: [option('tone'), option('again', { volume_strength: 20, minutes: 24.4, ...again })], advised: 'again',
        } as unknown as Schemas['ReviewLane'], // prettier-ignore
        way,
        isLocked: false,
      },
    })
  it('says how far off it is, what shows, its band, and the way chosen', () => {
    const text = row('again').text()
    for (const words of [
      '2.5 short',
      'blue-violet',
      'Band: 2.5 levels darker',
      'again because',
      '20 vol, about 24 min',
    ])
      expect(text).toContain(words)
  })
  it('takes another way, and none that is barred', async () => {
    const wrapper = row('tone', { blocked: 'the scalp was felt' })
    const [, again] = wrapper.findAll('input[type=radio]')
    expect(again!.attributes('disabled')).toBeDefined()
    expect(wrapper.text()).toContain('no, the scalp was felt')
    await wrapper.findAll('input[type=radio]')[0]!.trigger('change')
    expect(wrapper.emitted('way')).toEqual([['tone']])
  })
})
