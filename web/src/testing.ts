import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { defineComponent, h } from 'vue'
import type { Schemas } from './api/client'

/** Runs a composable inside a small component, as the page would. */
export function run<T>(use: () => T): { result: T; client: QueryClient; unmount: () => void } {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  const pinia = createPinia()
  setActivePinia(pinia)
  let result!: T
  const Host = defineComponent({
    setup() {
      result = use()
      return () => h('div')
    },
  })
  const wrapper = mount(Host, { global: { plugins: [pinia, [VueQueryPlugin, { queryClient: client }]] } })
  return { result, client, unmount: () => wrapper.unmount() }
}

export const point = (minute: number, level: number, hex = '#806040') => ({
  minute,
  hex,
  level_slow: level - 0.4,
  level_likely: level,
  level_fast: level + 0.4,
})

export const START = new Date('2026-03-01T09:00:00Z').getTime()
export const at = (minute: number) => new Date(START + minute * 60_000).toISOString()

/** A lane put on at minute 0 to 6 and processing since. */
export const lane = (more: Partial<Schemas['Lane']> = {}): Schemas['Lane'] => ({
  key: 'crown',
  zone_key: 'crown',
  across: -0.05,
  name: 'Crown',
  zone_name: 'Crown',
  part: '',
  order: 1,
  phase: 'processing',
  volume_strength: 20,
  lightener: 'Chalk',
  start_level: 4,
  target_level: 8,
  started_at: at(0),
  zero_at: at(6),
  is_forecast: false,
  fibres: [
    { minute: 0, shade: '#302010', light: '#604020', sheen: '#706050' },
    { minute: 44, shade: '#a08050', light: '#e0c090', sheen: '#f0e0c0' },
  ],
  wall_min: 44,
  end_min: 44,
  window_min: { early: 20, likely: 26, late: 38 },
  level_now: { slow: 6.6, likely: 7, fast: 7.4 },
  level_first: { slow: 6.8, likely: 7.2, fast: 7.6 },
  span_min: 5,
  hex_first: '#ab8150',
  hex_now: '#a67c49',
  hex_target: '#b99360',
  undertone_now: 'yellow-orange',
  curve: [point(0, 4, '#513727'), point(10, 6, '#8d6335'), point(20, 7, '#a67c49'), point(44, 8.4, '#c19d6b')],
  crossings: [{ level: 6, minute: 10 }],
  readings: [],
  rinsed_min: null,
  achieved_level: null,
  advice: { act: 'leave', due_min: 18, text: 'Leave it', then: 'read', foils: 'first', is_misfit: false },
  ratio_extent: 1,
  ratio_rate: 1,
  has_bowl: true,
  is_passed_wall: false,
  visit: 1,
  leaves: 'basin',
  warn_mins: [34, 41],
  stop_reason: null,
  notes: [],
  lift_lost_share: 0,
  application_count: 1,
  is_heated: false,
  is_last_placed: false,
  ...more,
})
