import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { ApiError, type Schemas } from '../api/client'
import { previewPlan, writePlan } from '../api/queries'
import { run } from '../testing'
import { usePlan } from './plan'

const fetchPlan = vi.fn()
vi.mock('../api/queries', () => ({
  previewPlan: vi.fn(),
  writePlan: vi.fn(),
  queries: { plan: (id: string) => ({ queryKey: ['plan', id], queryFn: () => fetchPlan() }) },
}))
const look = vi.mocked(previewPlan)
const write = vi.mocked(writePlan)

const visit = (number: number, at_min: number): Schemas['BasinVisit'] => ({
  number,
  round: 1,
  at_min,
  asked_min: at_min,
  lane_keys: number === 1 ? ['a', 'b'] : ['c'],
  least_min: 20,
  most_min: 120,
})
const plan = (more: Partial<Schemas['PlanOut']> = {}) =>
  ({
    revision: 3,
    lightener_key: 'chalk',
    order: ['a', 'b', 'c'],
    visit_mins: [],
    round_starts: [],
    volumes: { b: 25 },
    minutes: {},
    own_visits: {},
    coverings: {},
    lighteners: {},
    rows: {},
    keeps_order: false,
    delicate_way: 'weaker_last',
    hands: 1,
    has_additive: false,
    uses_known: true,
    known: null,
    aim: 'even',
    step: 'whole',
    bowl_style: 'fresh',
    toner_key: '',
    is_proposed: true,
    visits: [visit(1, 60), visit(2, 100)],
    bowls: [],
    lanes: [
      { key: 'a', volume_strength: 20, strongest_volume: 30, is_own_volume: false, minutes_on: 40 },
      { key: 'b', volume_strength: 25, strongest_volume: 40, is_own_volume: true, minutes_on: 35 },
    ],
    ...more,
  }) as unknown as Schemas['PlanOut']
const problem = (code: string, detail: string) => new ApiError({ title: '', status: 409, code, detail } as never)
const started = (locked = false) => {
  const { result } = run(() => usePlan('s1', ref(locked)))
  result.accept(plan())
  return result
}

describe('the plan being made', () => {
  beforeEach(() => {
    vi.useRealTimers()
    for (const mock of [look, write, fetchPlan]) mock.mockReset()
    write.mockImplementation(async (_id, body) => plan({ revision: body.revision + 1 }))
  })

  it('takes over what is saved: own developers, and no line of its own while it is proposed', () => {
    const made = started()
    expect(made.choice.value).toEqual({
      lightener_key: 'chalk',
      visit_mins: [],
      coverings: {},
      lighteners: {},
      rows: {},
      round_starts: [],
      has_additive: false,
      uses_known: true,
      volumes: { b: 25 },
      minutes: {},
      visits: {},
      order: ['a', 'b', 'c'],
      keeps_order: false,
      delicate_way: 'weaker_last',
      hands: 1,
      aim: 'even',
      step: 'whole',
      bowl_style: 'fresh',
      toner_key: '',
    })
    made.accept(plan({ is_proposed: false, visit_mins: [60, 104], revision: 4 }))
    expect(made.choice.value).toMatchObject({ visit_mins: [60, 104] })
  })

  it('drags one line and leaves the others where they are', async () => {
    look.mockResolvedValue(plan())
    const made = started()
    made.setVisit(0, 71.6)
    expect(made.choice.value.visit_mins).toEqual([72, 100])
    made.setVisit(0, 120) // past the other: it is the same line still
    expect(made.choice.value.visit_mins).toEqual([100, 120])
    made.setVisit(0, 55)
    expect(made.choice.value.visit_mins).toEqual([55, 100])
    await made.letGo()
    made.setVisit(1, 90)
    expect(made.choice.value.visit_mins).toEqual([55, 90])
    await made.letGo()
    await made.dropVisit(0)
    expect(made.choice.value.visit_mins).toEqual([90])
    await made.addVisit()
    expect(made.choice.value.visit_mins).toEqual([90, 105])
  })

  it('an answer counts as old: a patch test cleared while it was on its way is seen at the next opening', async () => {
    let answer!: (p: Schemas['PlanOut']) => void
    write.mockImplementation(() => new Promise((done) => (answer = done)))
    const { result: made, client, unmount } = run(() => usePlan('s1', ref(false)))
    made.accept(plan())
    const keeping = made.change({ toner_key: 'wash' })
    unmount()
    answer(plan({ revision: 4, toner_key: 'wash' }))
    await keeping
    fetchPlan.mockResolvedValue(plan({ revision: 4, toner_key: 'fog' }))
    const opened = await client.fetchQuery({ queryKey: ['plan', 's1'], queryFn: () => fetchPlan(), staleTime: 60_000 })
    expect(opened.toner_key).toBe('fog')
  })

  it('asks for the newest look only, and once at a time', async () => {
    const answers: ((p: Schemas['PlanOut']) => void)[] = []
    look.mockImplementation(() => new Promise((done) => answers.push(done)))
    const made = started()
    for (const minute of [50, 55, 61, 70]) made.setVisit(0, minute)
    expect(look).toHaveBeenCalledTimes(1)
    answers[0]!(plan({ finish_min: 50 }))
    await flushPromises()
    expect(look).toHaveBeenCalledTimes(2)
    expect(look.mock.calls[1]![1].visit_mins).toEqual([70, 100])
    answers[1]!(plan({ finish_min: 70 }))
    await flushPromises()
    expect(made.shown.value?.finish_min).toBe(70)
    expect(look).toHaveBeenCalledTimes(2)
  })

  it('does not let a late look overwrite what was kept since', async () => {
    let answer!: (p: Schemas['PlanOut']) => void
    look.mockImplementation(() => new Promise((done) => (answer = done)))
    const made = started()
    made.setVisit(0, 50)
    await made.keep()
    expect(made.shown.value?.revision).toBe(4)
    answer(plan({ revision: 3, finish_min: 50 }))
    await flushPromises()
    expect(made.shown.value?.revision).toBe(4)
  })

  it('keeps a nudged line once the keys rest', async () => {
    vi.useFakeTimers()
    look.mockResolvedValue(plan({ finish_min: 61 }))
    const made = started()
    made.nudge(0, 1)
    made.nudge(0, 1)
    expect(write).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(700)
    expect(write).toHaveBeenCalledTimes(1)
    expect(write.mock.calls[0]![1].visit_mins).toEqual([62, 100])
  })

  it('steps a developer by fives within what is allowed', async () => {
    const made = started()
    const [first] = plan().lanes
    await made.setVolume(first!, 5)
    expect(made.choice.value.volumes).toEqual({ a: 25, b: 25 })
    await made.setVolume(first!, 5) // the second tap comes before the answer to the first
    expect(made.choice.value.volumes?.a).toBe(30)
    await made.setVolume(first!, 5)
    expect(made.choice.value.volumes?.a).toBe(30)
    await made.change({ volumes: { a: 22 } })
    await made.setVolume(first!, -5)
    expect(made.choice.value.volumes?.a).toBe(20)
    await made.change({ volumes: { a: 1 } })
    await made.setVolume(first!, -5)
    expect(made.choice.value.volumes?.a).toBe(1)
  })

  it('sets several lanes at once, by a ladder, and locks and frees them', async () => {
    const made = started()
    await made.setOwn('volumes', ['a', 'b'], 30)
    expect(made.choice.value.volumes).toEqual({ a: 30, b: 30 })
    await made.ladder(['a', 'b', 'c', 'd'], [20, 30])
    expect(made.choice.value.volumes).toEqual({ a: 20, b: 20, c: 30, d: 30 })
    await made.setOwn('minutes', ['a'], 25)
    await made.lock(['b'])
    expect(made.choice.value.minutes).toEqual({ a: 25, b: 35 })
    await made.setNamed('coverings', ['a', 'b'], 'film')
    await made.setNamed('lighteners', ['a'], 'clay')
    await made.setNamed('coverings', ['b'], null)
    expect(made.choice.value).toMatchObject({ coverings: { a: 'film' }, lighteners: { a: 'clay' } })
    await made.free(['a', 'b', 'c', 'd'])
    const nothing = { volumes: {}, minutes: {}, visits: {}, coverings: {}, lighteners: {} }
    expect(made.choice.value).toMatchObject(nothing)
  })

  it('parts a zone into rows, and forgets what was set for it in one piece', async () => {
    const made = started()
    await made.setOwn('volumes', ['a', 'b.root'], 30)
    await made.setRows(['b'], 2)
    expect(made.choice.value).toMatchObject({ rows: { b: 2 }, volumes: { a: 30 } })
    await made.setOwn('minutes', ['b.row1'], 30)
    await made.setRows(['b'], 1)
    expect(made.choice.value).toMatchObject({ rows: {}, minutes: {} })
  })

  it('leaves the product open once, and takes the one that was found', async () => {
    write.mockImplementation(async (_id, body) => plan({ revision: body.revision + 1, lightener_key: 'clay' }))
    const made = started()
    await made.change({ lightener_key: null })
    expect(write.mock.calls.at(-1)![1].lightener_key).toBeNull()
    expect(made.choice.value.lightener_key).toBe('clay')
    expect(made.canUndo.value).toBe(true)
  })

  it('writes one choice at a time, and then the newest', async () => {
    const answers: ((p: Schemas['PlanOut']) => void)[] = []
    write.mockImplementation(() => new Promise((done) => answers.push(done)))
    const made = started()
    const [first] = plan().lanes
    const writes = [5, 5, 5].map((by) => made.setVolume(first!, by))
    expect(write).toHaveBeenCalledTimes(1)
    answers[0]!(plan({ revision: 4 }))
    await flushPromises()
    expect(write).toHaveBeenCalledTimes(2)
    expect(write.mock.calls[1]![1]).toMatchObject({ revision: 4, volumes: { a: 30 } })
    answers[1]!(plan({ revision: 5 }))
    await Promise.all(writes)
    expect(write).toHaveBeenCalledTimes(2)
  })

  it('moves a zone and takes each change back in turn', async () => {
    const made = started()
    expect(made.canUndo.value).toBe(false)
    await made.move('b', -1)
    expect(made.choice.value.order).toEqual(['b', 'a', 'c'])
    await made.move('b', -1) // first already
    await made.proposeAll()
    expect(made.choice.value.volumes).toEqual({})
    await made.undo()
    expect(made.choice.value.volumes).toEqual({ b: 25 })
    expect(made.choice.value.order).toEqual(['b', 'a', 'c'])
    await made.undo()
    expect(made.choice.value.order).toEqual(['a', 'b', 'c'])
    expect(made.canUndo.value).toBe(false)
    expect(write.mock.calls.at(-1)![1].order).toEqual(['a', 'b', 'c'])
  })

  it('parts the head and joins it again', async () => {
    const made = started()
    await made.part('b')
    expect(made.choice.value.round_starts).toEqual(['b'])
    await made.part('b')
    expect(made.choice.value.round_starts).toEqual([])
  })

  it('keeps nothing of a what-if until it is said so', async () => {
    look.mockResolvedValue(plan())
    const made = started()
    await made.whatIf(true)
    await made.change({ aim: 'quick' })
    await made.change({ has_additive: true })
    expect(write).not.toHaveBeenCalled()
    expect(look).toHaveBeenCalledTimes(2)
    await made.undo()
    expect(made.choice.value).toMatchObject({ aim: 'quick', has_additive: false })
    await made.whatIf(false)
    expect(made.choice.value.aim).toBe('even')
    expect(write).not.toHaveBeenCalled()
    await made.whatIf(true)
    await made.change({ aim: 'gentle' })
    await made.whatIf(false, true)
    expect(write.mock.calls[0]![1]).toMatchObject({ aim: 'gentle', revision: 3 })
    await made.undo()
    expect(write.mock.calls[1]![1].aim).toBe('even')
  })

  it('shows why a choice cannot be kept, and what was shown stays', async () => {
    write.mockRejectedValueOnce(problem('volume_over_limit', 'volumes.a: at most 20 vol, got 30.'))
    const made = started()
    await made.change({ volumes: { a: 30 } })
    expect(made.problem.value).toContain('at most 20 vol')
    expect(made.shown.value?.revision).toBe(3)
    await made.proposeAll()
    expect(made.problem.value).toBe('')
  })

  it('takes over the plan of someone who was faster', async () => {
    write.mockRejectedValueOnce(problem('changed_elsewhere', 'Someone else changed this.'))
    fetchPlan.mockResolvedValue(plan({ revision: 9, lightener_key: 'soot' }))
    const made = started()
    await made.change({ has_additive: true })
    expect(made.choice.value).toMatchObject({ lightener_key: 'soot', has_additive: false })
    expect(made.problem.value).toContain('Someone else')
  })

  it('sends nothing once the plan is at the chair', async () => {
    const made = started(true)
    await made.change({ has_additive: true })
    made.nudge(0, 5)
    expect(write).not.toHaveBeenCalled()
    expect(look).not.toHaveBeenCalled()
  })
})
