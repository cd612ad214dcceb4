import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import type { Schemas } from '../api/client'
import VisitBars from './VisitBars.vue'
import WeekGrid from './WeekGrid.vue'

vi.mock('vue-router', () => ({ RouterLink: { props: ['to'], template: '<a :data-id="to.params.id"><slot /></a>' } }))

const visit = (id: string, starts_at: string, more: Partial<Schemas['WeekVisit']> = {}) =>
  ({
    id,
    client_name: `Client ${id}`,
    starts_at,
    step: 'consultation',
    wish: '',
    booked_min: null,
    source: '',
    ...more,
  }) as Schemas['WeekVisit']

describe('a week', () => {
  const week = {
    monday: '2026-03-02',
    closed: ['2026-03-05', '2026-03-08'],
    visits: [
      visit('a', '2026-03-02T10:00:00'),
      visit('b', '2026-03-08T09:30:00', { booked_min: 240, source: 'request' }),
      visit('c', '2026-03-08T15:00:00', { step: 'record', booked_min: 90 }),
    ],
  }
  const wrapper = mount(WeekGrid, { props: { week, today: '2026-03-03' } })
  const days = wrapper.findAll('section')
  it('has seven days, each with its visits, and says which are free', () => {
    expect(days.map((d) => d.findAll('a').length)).toEqual([1, 0, 0, 0, 0, 0, 2])
    expect(days[1]!.text()).toContain('free')
    expect(days[3]!.text()).toContain('closed')
    expect(days[6]!.text()).toContain('closed') // somebody booked there all the same
    expect(days[3]!.text()).not.toContain('free')
    expect(days[1]!.get('button').classes()).toContain('bg-act')
  })
  it('marks a request that has not been looked at, and what is filed', () => {
    const [request, filed] = days[6]!.findAll('a')
    expect(request!.classes()).toContain('border-signal')
    expect(request!.text()).toContain('request')
    expect(filed!.classes()).not.toContain('border-signal')
    expect(filed!.text()).toContain('filed')
    expect(request!.attributes('style')).toContain('120px')
  })
  it('opens a day', async () => {
    await days[6]!.get('button').trigger('click')
    expect(wrapper.emitted('day')).toEqual([['2026-03-08']])
  })
})

describe('a service in the years', () => {
  it('shows each zone as it was and as it came to be', () => {
    const lane = { before_hex: '#332211', level_hex: '#ccbb99' } as Schemas['LaneThen']
    const wrapper = mount(VisitBars, { props: { lanes: [lane, lane], label: 'two zones' } })
    expect(wrapper.attributes('aria-label')).toBe('two zones')
    const strands = wrapper.findAll('linearGradient')
    expect(strands).toHaveLength(2)
    const colours = strands[0]!.findAll('stop').map((x) => x.attributes('stop-color'))
    expect([colours[0], colours[colours.length - 1]]).toEqual(['#332211', '#ccbb99'])
  })
})
