import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { point } from '../testing'
import AimCards from './AimCards.vue'
import PlanLanes from './PlanLanes.vue'
import Stepper from './Stepper.vue'
import StrandChart from './StrandChart.vue'
import TonerIdea from './TonerIdea.vue'
import VerdictCard from './VerdictCard.vue'

const aim = (name: Schemas['Aim'], more: Partial<Schemas['AimOut']> = {}): Schemas['AimOut'] => ({
  aim: name,
  finish_min: 90,
  spread_levels: 0.1,
  strongest_volume: 20,
  contact_load_volume_min: 4000,
  contact_min: 45,
  bowl_count: 5,
  wave_count: 1,
  short_count: 0,
  visits: 1,
  chair_min: 170,
  lanes: [
    {
      name: 'Crown',
      volume_strength: 20,
      start_min: 0,
      end_min: 8,
      rinse_min: 45,
      hexes: ['#111111', '#eeeeee'],
      is_short: false,
    },
  ],
  ...more,
})
const lane = (key: string, wave: number, more: Partial<Schemas['PlanLane']> = {}): Schemas['PlanLane'] => ({
  key,
  zone_key: key.split('.')[0] ?? key,
  part: 'whole',
  name: key,
  lightener: '',
  wave,
  start_level: 4,
  target_level: 8,
  volume_strength: 20,
  is_own_volume: false,
  strongest_volume: 20,
  limit_reason: 'delicate hair',
  start_min: 0,
  end_min: 8,
  wall_min: 50,
  rinse_min: 45,
  ready_min: { early: 30, likely: 45, late: null },
  level_at_rinse: 8,
  hex_at_rinse: '#b99360',
  hex_target: '#b99360',
  reason: null,
  note: '',
  curve: [point(0, 4), point(42, 8)],
  crossings: [],
  ...more,
})
const plan = {
  order: ['crown', 'top', 'nape'],
  zone_names: { crown: 'Crown', top: 'Top', nape: 'Nape' },
  waves: [
    {
      number: 1,
      zone_keys: ['crown', 'top'],
      start_min: 0,
      finish_min: 45,
      finish_least_min: 20,
      finish_most_min: 50,
      is_own_finish: false,
    },
    {
      number: 2,
      zone_keys: ['nape'],
      start_min: 60,
      finish_min: 100,
      finish_least_min: 80,
      finish_most_min: 110,
      is_own_finish: false,
    },
  ],
  lanes: [lane('crown', 1), lane('crown.root', 1, { reason: 'too slow' }), lane('top', 1), lane('nape', 2)],
} as unknown as Schemas['PlanOut']

describe('the parts of a plan', () => {
  it('takes an aim with one tap and says what it costs', async () => {
    const cards = mount(AimCards, {
      props: {
        aims: [aim('gentle', { visits: 2, short_count: 1 }), aim('quick', { visits: null })],
        taken: 'gentle',
        isLocked: false,
      },
    })
    expect(cards.text()).toContain('2 visits; 1 of 1 short today')
    expect(cards.text()).toContain('Not in six visits')
    await cards.findAll('button')[1]!.trigger('click')
    expect(cards.emitted('take')).toEqual([['quick']])
  })

  it('gives each wave its line, and steps it by keys', async () => {
    const lanes = mount(PlanLanes, { props: { plan, isLocked: false } })
    const lines = lanes.findAll('[role=slider]')
    expect(lines.map((l) => l.attributes('aria-valuenow'))).toEqual(['45', '100'])
    await lines[1]!.trigger('keydown', { key: 'ArrowRight' })
    await lines[0]!.trigger('keydown', { key: 'PageUp' })
    expect(lanes.emitted('nudge')).toEqual([
      [1, 1],
      [0, 5],
    ])
  })

  it('moves a zone by its grip, once for all its lanes', async () => {
    const lanes = mount(PlanLanes, { props: { plan, isLocked: false } })
    const grips = lanes.findAll('button[aria-label^="Move "]')
    expect(grips).toHaveLength(3)
    await grips[1]!.trigger('keydown', { key: 'ArrowUp' })
    expect(lanes.emitted('move')).toEqual([['top', -1]])
    expect(lanes.text()).toContain('stops short')
  })

  it('stops a developer at what is allowed', () => {
    const lanes = mount(PlanLanes, { props: { plan, isLocked: false } })
    const stronger = lanes.find('button[aria-label="crown: stronger developer"]')
    expect(stronger.attributes('disabled')).toBeDefined()
    expect(stronger.attributes('title')).toContain('delicate hair')
  })

  it('locks the shades that may not go on, with the reason once', async () => {
    const idea = (key: string, blocked: string | null) => ({
      key,
      name: key,
      level: 9,
      is_oxidative: true,
      hex: '#aaaaaa',
      blocked,
    })
    const shades = mount(TonerIdea, {
      props: {
        ideas: [idea('fog', 'No patch test.'), idea('rime', 'No patch test.'), idea('wash', null)],
        taken: '',
        isLocked: false,
      },
    })
    const buttons = shades.findAll('button')
    expect(buttons.map((b) => b.attributes('disabled') !== undefined)).toEqual([true, true, false])
    expect(shades.text().match(/No patch test/g)).toHaveLength(1)
    await buttons[2]!.trigger('click')
    expect(shades.emitted('take')).toEqual([['wash']])
  })
})

describe('smaller parts', () => {
  it('steps and types a number inside its limits', async () => {
    const step = mount(Stepper, { props: { label: 'Length', unit: 'mm', min: 10, max: 30, step: 15, modelValue: 20 } })
    const [less, more] = step.findAll('button')
    await more!.trigger('click')
    await less!.trigger('click')
    const input = step.find('input')
    await input.setValue('12,5')
    await input.trigger('change')
    expect(step.emitted('update:modelValue')!.map((e) => e[0])).toEqual([30, 10, 12.5, 12.5])
  })

  it('tells a verdict against by its words', () => {
    const verdict = { kind: 'not_today', title: 'Not today', visits: null, lines: [{ sign: 'stop', text: 'Scalp is broken.' }], reach: [], chair: [], needed_min: 0 } // prettier-ignore
    const card = mount(VerdictCard, { props: { verdict: verdict as Schemas['Verdict'] } })
    expect(card.find('h2').classes()).toContain('text-stop')
    expect(card.text()).toContain('Scalp is broken.')
    expect(card.find('details').exists()).toBe(false)
  })

  it('draws a strand with its readings where they were taken', () => {
    const chart = mount(StrandChart, {
      props: {
        points: [point(0, 4), point(25, 7), point(50, 8)],
        readings: [{ minutes: 25, level: 7 }],
        hexes: ['#aa8855'],
        startLevel: 4,
        labelMaxMin: 50,
        now: 25,
        label: 'Strand A',
      },
    })
    const dot = chart.find('circle')
    const nowLine = chart.findAll('line').find((l) => l.attributes('stroke') === 'var(--signal)')
    expect(dot.attributes('fill')).toBe('#aa8855')
    expect(dot.attributes('cx')).toBe(nowLine!.attributes('x1'))
    expect(chart.attributes('aria-label')).toBe('Strand A')
  })
})
