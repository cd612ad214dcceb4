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

const wave = (number: number, more: Partial<Schemas['WavePlan']> = {}) => ({
  number,
  zone_keys: number === 1 ? ['a', 'b'] : ['c'],
  start_min: 0,
  finish_min: 60 * number,
  finish_least_min: 45,
  finish_most_min: 90 * number,
  is_own_finish: false,
  ...more,
})
const plan = (more: Partial<Schemas['PlanOut']> = {}) =>
  ({
    revision: 3,
    lightener_key: 'chalk',
    order: ['a', 'b', 'c'],
    wave_starts: ['a', 'c'],
    volumes: { b: 25 },
    has_additive: false,
    aim: 'even',
    step: 'whole',
    bowl_style: 'fresh',
    toner_key: '',
    is_proposed: true,
    waves: [wave(1), wave(2)],
    bowls: [],
    lanes: [
      { key: 'a', volume_strength: 20, strongest_volume: 30, is_own_volume: false },
      { key: 'b', volume_strength: 25, strongest_volume: 40, is_own_volume: true },
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
      finish_mins: [],
      wave_starts: null,
      has_additive: false,
      volumes: { b: 25 },
      order: ['a', 'b', 'c'],
      aim: 'even',
      step: 'whole',
      bowl_style: 'fresh',
      toner_key: '',
    })
    made.accept(plan({ is_proposed: false, waves: [wave(1, { is_own_finish: true }), wave(2)], revision: 4 }))
    expect(made.choice.value).toMatchObject({ finish_mins: [60], wave_starts: ['a', 'c'] })
  })

  it('holds the line to where it can stand', async () => {
    look.mockResolvedValue(plan())
    const made = started()
    made.setFinish(0, 200)
    expect(made.choice.value.finish_mins).toEqual([90])
    made.setFinish(0, 3.2)
    expect(made.choice.value.finish_mins).toEqual([45])
    // the second line keeps the first where it stands, and the partings
    made.setFinish(1, 101.6)
    expect(made.choice.value).toMatchObject({ finish_mins: [45, 102], wave_starts: ['a', 'c'] })
    made.setFinish(0, 50)
    expect(made.choice.value.finish_mins).toEqual([50]) // what follows a line that moves is proposed anew
    await flushPromises()
  })

  it('asks for the newest look only, and once at a time', async () => {
    const answers: ((p: Schemas['PlanOut']) => void)[] = []
    look.mockImplementation(() => new Promise((done) => answers.push(done)))
    const made = started()
    for (const minute of [50, 55, 61, 70]) made.setFinish(0, minute)
    expect(look).toHaveBeenCalledTimes(1)
    answers[0]!(plan({ finish_min: 50 }))
    await flushPromises()
    expect(look).toHaveBeenCalledTimes(2)
    expect(look.mock.calls[1]![1].finish_mins).toEqual([70])
    answers[1]!(plan({ finish_min: 70 }))
    await flushPromises()
    expect(made.shown.value?.finish_min).toBe(70)
    expect(look).toHaveBeenCalledTimes(2)
  })

  it('does not let a late look overwrite what was kept since', async () => {
    let answer!: (p: Schemas['PlanOut']) => void
    look.mockImplementation(() => new Promise((done) => (answer = done)))
    const made = started()
    made.setFinish(0, 50)
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
    expect(write.mock.calls[0]![1].finish_mins).toEqual([62])
  })

  it('steps a developer within what is allowed', async () => {
    const made = started()
    const [first] = plan().lanes
    await made.setVolume(first!, 1)
    expect(made.choice.value.volumes).toEqual({ a: 21, b: 25 })
    await made.setVolume(first!, 1) // the second tap comes before the answer to the first
    expect(made.choice.value.volumes.a).toBe(22)
    await made.change({ volumes: { a: 30 } })
    await made.setVolume(first!, 1)
    expect(made.choice.value.volumes.a).toBe(30)
    await made.change({ volumes: { a: 1 } })
    await made.setVolume(first!, -1)
    expect(made.choice.value.volumes.a).toBe(1)
  })

  it('writes one choice at a time, and then the newest', async () => {
    const answers: ((p: Schemas['PlanOut']) => void)[] = []
    write.mockImplementation(() => new Promise((done) => answers.push(done)))
    const made = started()
    const [first] = plan().lanes
    const writes = [1, 1, 1].map((by) => made.setVolume(first!, by))
    expect(write).toHaveBeenCalledTimes(1)
    answers[0]!(plan({ revision: 4 }))
    await flushPromises()
    expect(write).toHaveBeenCalledTimes(2)
    expect(write.mock.calls[1]![1]).toMatchObject({ revision: 4, volumes: { a: 23 } })
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

  it('parts waves and joins them again', async () => {
    const made = started()
    await made.part('b')
    expect(made.choice.value.wave_starts).toEqual(['c', 'b'])
    made.accept(plan({ revision: 9 }))
    await made.part('c')
    expect(made.choice.value.wave_starts).toEqual([])
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
