import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '../api/client'
import { point } from '../testing'
import AimCards from './AimCards.vue'
import PlanLanes from './PlanLanes.vue'
import PlanTools from './PlanTools.vue'
import Stepper from './Stepper.vue'
import { strandAxes } from '../lib/strip'
import StrandChart from './StrandChart.vue'
import TonerIdea from './TonerIdea.vue'
import VerdictCard from './VerdictCard.vue'

const aim = (name: Schemas['Aim'], more: Partial<Schemas['AimOut']> = {}): Schemas['AimOut'] => ({
  aim: name,
  same_as: null,
  why: null,
  last_rinse_min: 90,
  chair_min: 160,
  visit_count: 2,
  strengths: [20],
  bowl_count: 3,
  short_count: 0,
  spread_levels: 0.1,
  contact_load_volume_min: 4000,
  sessions: 1,
  price: { minutes: 90, visits: 30, wiped: 0, strengths: 0, bowls: 12, looks: 4, missed: 7.6, strain: 2, spared: 0 },
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
const lane = (key: string, visit: number, more: Partial<Schemas['PlanLane']> = {}): Schemas['PlanLane'] => ({
  key,
  fibres: [],
  zone_key: key.split('.')[0] ?? key,
  part: 'whole',
  name: key,
  lightener: '',
  covering: 'foil',
  foil_count: 8,
  side: '',
  round: 1,
  visit,
  start_level: 4,
  target_level: 8,
  volume_strength: 20,
  is_own_volume: false,
  is_own_minutes: false,
  is_own_visit: false,
  is_delicate: false,
  strongest_volume: 20,
  limit_reason: 'delicate hair',
  start_min: 0,
  end_min: 8,
  wall_min: 50,
  rinse_min: 45,
  ending: 'rinsed',
  minutes_on: 45,
  ready_min: { early: 30, likely: 45, late: null },
  level_at_rinse: 8,
  level_low: 7.5,
  level_high: 8.5,
  hex_at_rinse: '#b99360',
  hex_target: '#b99360',
  reason: null,
  note: '',
  curve: [point(0, 4), point(42, 8)],
  crossings: [],
  ...more,
})
const lighteners = [
  { key: 'chalk', name: 'Chalk', label_max_min: 50 },
  { key: 'clay', name: 'Clay', label_max_min: 45 },
] as Schemas['LightenerOut'][]
const plan = {
  coverings: {},
  lighteners: {},
  rows: { top: 2 },
  order: ['crown', 'top', 'nape'],
  zone_names: { crown: 'Crown', top: 'Top', nape: 'Nape' },
  round_starts: [],
  last_rinse_min: 100,
  visits: [
    {
      number: 1,
      round: 1,
      at_min: 45,
      asked_min: 45,
      lane_keys: ['crown', 'crown.root', 'top'],
      least_min: 20,
      most_min: 50,
    },
    { number: 2, round: 1, at_min: 100, asked_min: 100, lane_keys: ['nape'], least_min: 80, most_min: 110 },
  ],
  busy: [
    { doing: 'apply', start_min: 0, end_min: 8, lane_keys: ['crown'], is_clash: false },
    { doing: 'basin', start_min: 45, end_min: 52, lane_keys: ['crown'], is_clash: false },
  ],
  lanes: [lane('crown', 1), lane('crown.root', 1, { reason: 'too slow' }), lane('top', 1), lane('nape', 2)],
} as unknown as Schemas['PlanOut']

describe('the parts of a plan', () => {
  it('takes an aim with one tap, shows those alike once, and says what each costs', async () => {
    const cards = mount(AimCards, {
      props: {
        aims: [
          aim('simple', { why: '20 vol on all; 30 would save 6 min.' }),
          aim('gentle', { same_as: 'simple' }),
          aim('even', { sessions: 2, short_count: 1 }),
          aim('quick', { sessions: null }),
        ],
        taken: 'gentle',
        isLocked: false,
      },
    })
    const buttons = cards.findAll('[role=group] button[aria-pressed]')
    expect(buttons.map((b) => b.attributes('aria-pressed'))).toEqual(['true', 'false', 'false'])
    expect(buttons[0]!.text()).toContain('Gentle the same')
    expect(buttons[0]!.text()).toContain('2 h 40')
    expect(cards.text()).toContain('30 would save 6 min')
    await buttons[2]!.trigger('click')
    expect(cards.emitted('take')).toEqual([['quick']])
    await cards.find('button[aria-expanded]').trigger('click')
    expect(cards.text()).toContain('2 sessions; 1 of 1 short today')
    expect(cards.text()).toContain('Not in six sessions')
    expect(cards.text()).toContain('Weighed at 146 min: minutes 90, trips 30, bowls 12, looks 4, levels missed 8')
  })

  it('gives each trip its line, and steps and drops it by keys', async () => {
    const lanes = mount(PlanLanes, { props: { plan, isLocked: false, selected: [] } })
    const lines = lanes.findAll('[role=slider]')
    expect(lines.map((l) => l.attributes('aria-valuenow'))).toEqual(['45', '100'])
    await lines[1]!.trigger('keydown', { key: 'ArrowRight' })
    await lines[0]!.trigger('keydown', { key: 'PageUp' })
    expect(lanes.emitted('nudge')).toEqual([
      [1, 1],
      [0, 5],
    ])
    await lines[0]!.trigger('keydown', { key: 'Delete' })
    expect(lanes.emitted('drop')).toEqual([[0]])
    expect(lanes.find('[aria-label^="Hands: 8 min applying, 1 trip"]').exists()).toBe(true)
  })

  it('sets several lanes by one hand, and says what is no strength', async () => {
    const tools = mount(PlanTools, { props: { plan, selected: ['crown', 'top'], lighteners } })
    const strength = tools.find('input[aria-label="Strength, or a ladder"]')
    await strength.setValue('20 30')
    await tools.findAll('form')[0]!.trigger('submit')
    expect(tools.emitted('ladder')).toEqual([
      [
        ['crown', 'top'],
        [20, 30],
      ],
    ])
    await strength.setValue('25')
    await tools.findAll('form')[0]!.trigger('submit')
    expect(tools.emitted('own')).toEqual([['volumes', ['crown', 'top'], 25]])
    await strength.setValue('strong')
    await tools.findAll('form')[0]!.trigger('submit')
    expect(tools.text()).toContain('must be from 0.5 to 40 vol')
    await tools
      .findAll('button')
      .find((b) => b.text() === 'Roots')
      ?.trigger('click')
    await tools
      .findAll('button')
      .find((b) => b.text() === 'All')!
      .trigger('click')
    expect(tools.emitted('select')!.at(-1)![0]).toHaveLength(4)
    const [covering, product, rows] = tools.findAll('select')
    expect(rows!.text()).toContain('Rows differ')
    await rows!.setValue('3')
    expect(tools.emitted('rows')).toEqual([[['crown', 'top'], 3]])
    await covering!.setValue('film')
    await product!.setValue('clay')
    await covering!.setValue('')
    expect(tools.emitted('of')).toEqual([
      ['coverings', ['crown', 'top'], 'film'],
      ['lighteners', ['crown', 'top'], 'clay'],
      ['coverings', ['crown', 'top'], null],
    ])
  })

  it('sets handles of trips that are close together on two levels', () => {
    const near = { ...plan, visits: plan.visits.map((v, i) => ({ ...v, at_min: 45 + 3 * i })) }
    const lanes = mount(PlanLanes, { props: { plan: near, isLocked: false, selected: [] } })
    const tops = lanes
      .findAll('[role=slider] span:last-child')
      .map((s) => s.classes().find((c) => c.startsWith('top-')))
    expect(tops).toEqual(['top-0', 'top-[25px]'])
    expect(lanes.findAll('[role=slider]').every((s) => s.classes().includes('w-5'))).toBe(true)
  })

  it('moves a zone by its grip, once for all its lanes', async () => {
    const lanes = mount(PlanLanes, { props: { plan, isLocked: false, selected: [] } })
    const grips = lanes.findAll('button[aria-label^="Move "]')
    expect(grips).toHaveLength(3)
    await grips[1]!.trigger('keydown', { key: 'ArrowUp' })
    expect(lanes.emitted('move')).toEqual([['top', -1]])
    expect(lanes.text()).toContain('rinse 45, short')
  })

  it('stops a developer at what is allowed, and says why when asked for more', async () => {
    const lanes = mount(PlanLanes, { props: { plan, isLocked: false, selected: [] } })
    const stronger = lanes.find('button[aria-label="crown: stronger developer"]')
    expect(stronger.attributes('aria-disabled')).toBe('true')
    await stronger.trigger('click') // asked for more than it may have: why is told in its row
    expect(lanes.emitted('volume')).toBeUndefined()
    expect(lanes.emitted('toggle')).toEqual([['crown']])
    await lanes.setProps({ selected: ['crown'] })
    expect(lanes.text()).toContain('at most 20 vol: delicate hair')
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
        axes: strandAxes([{ curve: [point(0, 4), point(25, 7), point(50, 8)], start_level: 4 }]),
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
