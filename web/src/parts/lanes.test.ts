import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { at, lane, point, START } from '../testing'
import ChairLane from './ChairLane.vue'
import Strip from './Strip.vue'
import ToneLane from './ToneLane.vue'

const axis = { from: 0, to: 60 }
const strip = (more: object = {}) =>
  mount(Strip, {
    props: {
      axis,
      zero: 6,
      points: lane().curve,
      applyFrom: 0,
      end: 50,
      now: 26,
      wall: 50,
      window: { early: 26, likely: 32, late: 44 },
      crossings: lane().crossings,
      readings: [{ event_id: 'r', minute: 10, level: 6.5, hex: '#9a703e' }],
      check: 30,
      label: 'Crown',
      ...more,
    },
  })
const styles = (wrapper: ReturnType<typeof strip>) => wrapper.findAll('div').map((d) => d.attributes('style') ?? '')

describe('a lane of the chair', () => {
  it('names the part first and the zone behind it, neither cut', () => {
    const made = mount(ChairLane, {
      props: {
        lane: lane({ name: 'Left back side lengths', zone_name: 'Left back side', part: 'lengths' }),
        number: 1,
        axis,
        zero: 6,
        now: 26,
        isUrgent: false,
      },
    })
    const name = made.find('button .line-clamp-2')
    expect(name.text().replace(/\s+/g, ' ')).toBe('lengths, Left back side')
    expect(name.classes()).not.toContain('truncate')
  })
})

describe('a strip', () => {
  it('says itself in words and draws application, lived and expected hair at their minutes', () => {
    const wrapper = strip()
    expect(wrapper.attributes('role')).toBe('img')
    expect(wrapper.attributes('aria-label')).toBe('Crown')
    const all = styles(wrapper)
    expect(all[1]).toContain('left: 0%; width: 10%')
    expect(all[2]).toMatch(/left: 10%; width: 73\.3/)
    expect(all[3]).toMatch(/left: 10%; width: 33\.3/)
  })
  it('paints the lived part with its own stretch of the curve', () => {
    const lived = strip().findAll('div')[3]!.element as HTMLElement
    // 44 minutes of curve over 20 minutes of strip
    expect(lived.style.backgroundSize).toContain('220')
    expect(lived.style.backgroundPosition.startsWith('0')).toBe(true)
  })
  it('leaves the window open to the wall when the target may not be reached by it', () => {
    const closed = strip().find('.border-t-2')
    expect(closed.attributes('style')).toMatch(/left: 43\.3\d*%; width: (30|29\.9\d*)%/)
    const open = strip({ window: { early: 26, likely: 32, late: null } }).find('.border-t-2')
    expect(open.classes()).toContain('border-e-0')
    expect(open.attributes('style')).toMatch(/width: (40(\.0\d*)?|39\.9\d*)%/)
    expect(
      strip({ window: { early: null, likely: null, late: null } })
        .find('.border-t-2')
        .exists(),
    ).toBe(false)
  })
  it('has no lived part while the application has not ended', () => {
    expect(strip({ isForecast: true }).findAll('div').length).toBe(strip().findAll('div').length - 1)
  })
  it('drops window, wall and look once it is rinsed', () => {
    const wrapper = strip({ isRinsed: true, check: null })
    expect(wrapper.find('.border-t-2').exists()).toBe(false)
    expect(wrapper.find('.border-dotted').exists()).toBe(false)
  })
  it('shows readings and crossings that lie on the axis', () => {
    expect(strip().text()).toContain('6.5')
    expect(strip({ axis: { from: 30, to: 60 } }).text()).not.toContain('6.5')
  })
})

const chair = (more: Partial<Schemas['Lane']> = {}, minute = 26) =>
  mount(ChairLane, { props: { lane: lane(more), number: 3, axis, zero: 6, now: minute, isUrgent: false } })

describe('a lane at the chair', () => {
  it('shows the level now, between the minutes the server gave', () => {
    expect(chair({}, 21).text()).toContain('6.5')
    expect(chair({}, 26).text()).toContain('7.0')
  })
  it('says when it should be ready and how far the wall is', () => {
    expect(chair().text()).toContain('in 0 to 18 · wall 24')
    expect(chair({ window_min: { early: 30, likely: 40, late: null } }).text()).toContain('from 10 · wall 24')
    expect(chair({ window_min: { early: null, likely: null, late: null } }).text()).toContain('wall in 24 min')
  })
  it.each([
    [{ phase: 'waiting', has_bowl: false }, 26, 'waits'],
    [{ phase: 'waiting', has_bowl: true }, 26, 'bowl is mixed'],
    [{ phase: 'applying', is_forecast: true }, 2, 'last section in 4 min'],
    [{ phase: 'rinsed', achieved_level: 8 }, 26, 'rinsed'],
    [{ phase: 'rinsed', is_passed_wall: true }, 26, 'rinsed past the label'],
    [{ advice: { act: 'rinse', due_min: 20, text: '', then: 'read' } }, 26, 'ready: rinse'],
    [{ advice: { act: 'short', due_min: 20, text: '', then: 'rinse' } }, 26, 'will stop short'],
    [{ advice: { act: 'leave', due_min: 25, text: '', then: 'rinse' } }, 26, 'rinse in 5 · wall 24'],
    [{}, 48, 'wall in 2:00'],
    [{}, 51, 'label passed +1:00'],
  ] as [Partial<Schemas['Lane']>, number, string][])('%o at %i min says "%s"', (more, minute, words) => {
    expect(chair(more, minute).text()).toContain(words)
  })
  it('warns in the stop colour from three minutes before the wall', () => {
    expect(chair({}, 45).find('.text-stop').exists()).toBe(false)
    expect(chair({}, 48).find('.text-stop').exists()).toBe(true)
  })
  it('opens by its name', async () => {
    const wrapper = chair()
    await wrapper.get('button').trigger('click')
    expect(wrapper.emitted('open')).toHaveLength(1)
    expect(wrapper.get('button').text()).toContain('Crown')
  })
})

const proposal = (more: object = {}) => ({
  bowl: 2,
  formula_name: 'Fog 9 + Oat 9 1:1',
  minutes: 12,
  hex: '#bbaa99',
  delta_e: 3.25,
  levels_deeper: 0.4,
  is_too_deep: false,
  needed: null,
  grams: 25,
  steps: [5, 10].map((minute) => ({ minute, hex: '#ccbbaa' })),
  outcome: { little_hex: '#ccbbaa', likely_hex: '#bbaa99', much_hex: '#aa9988' },
  start_min: 2,
  on_min: 3,
  rinse_min: 18,
  ...more,
})
const clockOf = (more: object = {}) => ({
  formula_name: 'Fog 9',
  shade_key: 'fog',
  applied_at: at(0),
  minutes: 12,
  window_min: { early: 9, likely: 12, late: 16 },
  due_at: at(12),
  label_max_min: 20,
  label_at: at(20),
  emulsify_at: at(6),
  strand_at: at(7),
  rinsed_at: null,
  on_min: 5,
  hex_now: '#c0b090',
  curve: [point(0, 9, '#d2b488'), point(20, 9, '#a59b84')],
  strand_count: 0,
  warning: 'It only looks dark',
  strand_scale: [],
  ...more,
})
const tone = (more: object = {}, minute = 5) =>
  mount(ToneLane, {
    props: {
      lane: {
        id: 'crown', key: 'crown', part: '', name: 'Crown', level: 9, is_read: true, undertone: 'pale yellow',
        says: 'Pale yellow at 9: violet', now_hex: '#c8a676', wanted_hex: '#b5b0a8', proposal: proposal(), toner: null,
        remedies: [], probe_change: null, meeting: [], ...more,
      } as unknown as Schemas['ToneLane'], // prettier-ignore
      now: START + minute * 60_000,
      isNext: true,
      isBusy: false,
      isLocked: false,
    },
  })
const press = (wrapper: ReturnType<typeof tone>, text: string) =>
  wrapper
    .findAll('button')
    .find((b) => b.text() === text)!
    .trigger('click')

describe('a zone at the basin', () => {
  it('says its bowl, time, place in the order and what it leaves', () => {
    const text = tone().text()
    for (const words of ['2', '12 min', 'from +3', 'difference 3.3', '0.4 deeper', 'with bowl 2'])
      expect(text).toContain(words)
  })
  it('can have its bowl put on alone', async () => {
    const wrapper = tone()
    await press(wrapper, 'On')
    expect(wrapper.emitted('apply')).toHaveLength(1)
  })
  it('says when nothing may be used, and when a formula leaves it too deep or out of reach', async () => {
    expect(tone({ proposal: null }).text()).toContain('No toner that may go on this person')
    expect(
      tone({ proposal: proposal({ is_too_deep: true }) })
        .find('.text-stop')
        .text(),
    ).toContain('Too deep')
    const needed = {
      families: ['violet'],
      level: 9,
      developer_parts: 2,
      delta_e: 2,
      says: 'violet 9, 1:2, would reach it',
    }
    const missed = tone({ proposal: proposal({ needed }) })
    expect(missed.text()).toContain('Out of reach, nearest shown; violet 9, 1:2, would reach it')
    await press(missed, 'onto the order list')
    expect(missed.emitted('order')).toEqual([[needed.says]])
  })
  it('asks for a reading when there was none after the rinse', async () => {
    const wrapper = tone({ is_read: false })
    await press(wrapper, 'not read yet: read it')
    expect(wrapper.emitted('read')).toHaveLength(1)
  })
  it('counts to the minute it is due, warns, and offers emulsifying, a strand and the rinse', async () => {
    const wrapper = tone({ proposal: null, toner: clockOf() })
    expect(wrapper.get('[role=timer]').text()).toBe('7:00')
    expect(wrapper.text()).toContain('ready 9–16 min, label 20')
    expect(wrapper.text()).toContain('It only looks dark')
    for (const [text, event] of [['Emulsified', 'emulsify'], ['Strand', 'strand'], ['Rinsed', 'rinse']] as const) {
      await press(wrapper, text)
      expect(wrapper.emitted(event)).toHaveLength(1)
    } // prettier-ignore
  })
  it('shows what a rinsed toner left, and counts in the stop colour past the label', () => {
    expect(tone({ proposal: null, toner: clockOf({ rinsed_at: at(11), on_min: 11 }) }, 30).text()).toContain(
      'on for 11 min',
    )
    expect(tone({ proposal: null, toner: clockOf() }, 21).find('.text-stop').exists()).toBe(true)
  })
  it('shows both ways for a rest of dye and what a probe moved', () => {
    const way = { title: 'Counter it with red or pink', formula_name: 'Coral', hex: '#bba', delta_e: 4, gained_l: -1.5 }
    const text = tone({ remedies: [way], probe_change: 'Before the probe: Fog 9, 12 min.' }).text()
    expect(text).toContain('Counter it with red or pink')
    expect(text).toContain('1.5 L* darker')
    expect(text).toContain('Before the probe')
  })
})
