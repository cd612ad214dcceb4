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
    expect(open.classes()).toContain('border-r-0')
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

const option = (more: object = {}) => ({
  shade_key: 'fog',
  shade_name: 'Fog 9',
  minutes: 12,
  hex: '#bbaa99',
  delta_e: 3.25,
  depth_lost_levels: 0.4,
  product_g: 10,
  developer_g: 15,
  developer_volume: 7,
  label_max_min: 20,
  blocked: null,
  steps: [5, 10].map((minute) => ({ minute, hex: '#ccbbaa' })),
  ...more,
})
const clockOf = (more: object = {}) => ({
  shade_key: 'fog',
  shade_name: 'Fog 9',
  applied_at: at(0),
  minutes: 12,
  due_at: at(12),
  label_max_min: 20,
  label_at: at(20),
  rinsed_at: null,
  curve: [point(0, 9, '#d2b488'), point(20, 9, '#a59b84')],
  ...more,
})
const tone = (more: object = {}, minute = 5) =>
  mount(ToneLane, {
    props: {
      lane: {
        key: 'crown', name: 'Crown', porosity: 'normal', start_level: 4, target_level: 9, level: 9, is_read: true,
        undertone: 'pale yellow', now_hex: '#c8a676', wanted_hex: '#b5b0a8', options: [option(), option({ shade_key: 'wash', shade_name: 'Wash' })],
        toner: null, ...more,
      } as Schemas['ToneLane'], // prettier-ignore
      now: START + minute * 60_000,
      isBusy: false,
      isLocked: false,
    },
  })

describe('a zone at the tone', () => {
  it('proposes the first shade with time, grams and what it leaves', () => {
    const text = tone().text()
    for (const words of ['Fog 9', '12', '10 g + 15 g of 7 vol', 'difference 3.3', '0.4 level deeper'])
      expect(text).toContain(words)
  })
  it('applies the shade that was picked', async () => {
    const wrapper = tone()
    await wrapper
      .findAll('button')
      .find((b) => b.text().includes('Wash'))!
      .trigger('click')
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'Toner is on')!
      .trigger('click')
    expect((wrapper.emitted('apply')![0]![0] as { shade_key: string }).shade_key).toBe('wash')
  })
  it('offers no way on for a blocked shade, and says why', () => {
    const wrapper = tone({ options: [option({ blocked: 'Patch test not read. Place it.' })] })
    expect(wrapper.text()).toContain('Patch test not read')
    expect(wrapper.findAll('button').some((b) => b.text() === 'Toner is on')).toBe(false)
  })
  it('asks for a reading when there was none after the rinse', async () => {
    const wrapper = tone({ is_read: false })
    await wrapper
      .findAll('button')
      .find((b) => b.text().includes('read it'))!
      .trigger('click')
    expect(wrapper.emitted('read')).toHaveLength(1)
  })
  it('counts down from the moment it went on, then on in the stop colour past the label', () => {
    expect(tone({ toner: clockOf() }, 5).get('[role=timer]').text()).toBe('7:00')
    expect(tone({ toner: clockOf() }, 13).get('[role=timer]').text()).toBe('+1:00')
    expect(tone({ toner: clockOf() }, 13).find('.text-stop').exists()).toBe(false)
    expect(tone({ toner: clockOf() }, 21).find('.text-stop').exists()).toBe(true)
  })
  it('rests once it is rinsed', () => {
    const wrapper = tone({ toner: clockOf({ rinsed_at: at(11) }) }, 40)
    expect(wrapper.find('[role=timer]').exists()).toBe(false)
    expect(wrapper.text()).toContain('on for 11 min')
  })
})
