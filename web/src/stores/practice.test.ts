import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Schemas } from '../api/client'
import { run } from '../testing'
import { useClock } from './clock'
import { useNotices } from './notices'
import { usePractice } from './practice'

const NOW = '2026-03-01T09:00:00.000Z'
const round = (more: Partial<Schemas['RoundOut']> = {}) =>
  ({
    service_id: 's1',
    now: NOW,
    is_over: false,
    help: 'full',
    mishaps: [],
    asked: [],
    lanes: [],
    stills: [],
    strands: [],
    ...more,
  }) as unknown as Schemas['RoundOut']
const answer = vi.fn()
const setClock = vi.fn()
vi.mock('../api/practice', () => ({
  practice: { round: (id: string) => ({ queryKey: ['round', id], queryFn: () => answer() }) },
  setClock: (...what: unknown[]) => setClock(...what),
}))
const opened = async () => {
  const { result, unmount } = run(() => ({ practice: usePractice(), clock: useClock(), notices: useNotices() }))
  result.practice.follow('s1')
  await flushPromises()
  return { ...result, unmount }
}
const minutes = (clock: ReturnType<typeof useClock>) => (clock.moment().getTime() - new Date(NOW).getTime()) / 60_000

describe('the clock of a round', () => {
  beforeEach(() => {
    vi.useFakeTimers({ toFake: ['performance', 'setInterval', 'clearInterval', 'setTimeout', 'clearTimeout', 'Date'] })
    answer.mockReset().mockResolvedValue(round())
    setClock.mockReset().mockResolvedValue(round())
  })

  it('stands still until it is let run, and then runs as fast as it is wanted', async () => {
    const { practice, clock } = await opened()
    vi.advanceTimersByTime(5_000)
    expect(minutes(clock)).toBeCloseTo(0, 5)
    practice.speed = 60
    practice.isHeld = false
    await flushPromises()
    vi.advanceTimersByTime(3_000)
    expect(minutes(clock)).toBeCloseTo(3, 5)
    expect(setClock).toHaveBeenLastCalledWith('s1', expect.objectContaining({ speed: 60 }))
  })

  it('stands while a sheet is open, for then one thinks', async () => {
    const { practice, clock, notices } = await opened()
    practice.speed = 60
    practice.isHeld = false
    await flushPromises()
    vi.advanceTimersByTime(1_000)
    const sheet = notices.openSheet()
    await flushPromises()
    vi.advanceTimersByTime(10_000)
    expect(minutes(clock)).toBeCloseTo(1, 5)
    notices.closeSheet(sheet)
    await flushPromises()
    vi.advanceTimersByTime(1_000)
    expect(minutes(clock)).toBeCloseTo(2, 5)
  })

  it('lets the time of an application pass, or as much of it as goes well', async () => {
    const at = (minute: number) => new Date(new Date(NOW).getTime() + minute * 60_000).toISOString()
    const burns = { key: 'burns-0', is_hidden: false, answer: null, at: at(4) }
    answer.mockResolvedValue(round({ mishaps: [burns] as unknown as Schemas['MishapOut'][] }))
    const { practice, clock } = await opened()
    expect(practice.passUntil(new Date(at(3)).getTime())).toBe(true)
    expect(minutes(clock)).toBeCloseTo(3, 5)
    expect(practice.passUntil(new Date(at(8)).getTime())).toBe(false)
    expect(minutes(clock)).toBeCloseTo(4, 5)
  })

  it('stops hurried time where something falls due, and runs on past it when it is told to', async () => {
    const { practice, clock } = await opened()
    const at = (minute: number) => new Date(NOW).getTime() + minute * 60_000
    practice.falls([at(12), at(10)])
    practice.speed = 60
    practice.runOn()
    await flushPromises()
    vi.advanceTimersByTime(25_000) // a machine that was busy for long: it does not go past it either
    await flushPromises()
    expect(minutes(clock)).toBeCloseTo(10, 5)
    expect(practice.hasStopped).toBe(true)
    expect(setClock).toHaveBeenLastCalledWith('s1', expect.objectContaining({ until: '2026-03-01T09:10:00.000Z' }))
    // the act is done, and the next one is later
    practice.falls([at(12)])
    practice.acted()
    await flushPromises()
    vi.advanceTimersByTime(1_000)
    expect(minutes(clock)).toBeCloseTo(11, 5)
    vi.advanceTimersByTime(5_000)
    expect(minutes(clock)).toBeCloseTo(12, 5)
    practice.runOn()
    await flushPromises()
    vi.advanceTimersByTime(3_000)
    expect(practice.hasStopped).toBe(false)
    expect(minutes(clock)).toBeCloseTo(15, 5)
    // what was let be waits for the hand again once it did something
    practice.acted()
    await flushPromises()
    expect(practice.hasStopped).toBe(true)
  })

  it('never stops time that runs as it does', async () => {
    const { practice, clock } = await opened()
    practice.falls([new Date(NOW).getTime()])
    practice.isHeld = false
    await flushPromises()
    vi.advanceTimersByTime(60_000)
    expect(minutes(clock)).toBeCloseTo(1, 5)
  })

  it('gives the clock on the wall back when the round is left', async () => {
    const { practice, clock } = await opened()
    practice.forward(100)
    expect(minutes(clock)).toBeCloseTo(100, 5)
    practice.follow(null)
    expect(Math.abs(clock.moment().getTime() - Date.now())).toBeLessThan(1_000)
  })

  it('goes on without a line', async () => {
    const { practice, clock } = await opened()
    setClock.mockRejectedValue(new Error('no line'))
    practice.speed = 20
    practice.isHeld = false
    await flushPromises()
    vi.advanceTimersByTime(30_000)
    expect(minutes(clock)).toBeCloseTo(10, 4)
  })
})
