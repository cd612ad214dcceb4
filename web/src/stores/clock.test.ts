import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useClock } from './clock'

const START = new Date('2026-03-01T10:00:00Z').getTime()
let counter = 0
const later = (ms: number, wallMs = ms) => {
  counter += ms
  vi.setSystemTime(Date.now() + wallMs)
}
beforeEach(() => {
  vi.useFakeTimers({ toFake: ['Date', 'setInterval', 'clearInterval'] })
  vi.setSystemTime(START)
  counter = 0
  vi.spyOn(performance, 'now').mockImplementation(() => counter)
  localStorage.clear()
  setActivePinia(createPinia())
})
afterEach(() => {
  vi.useRealTimers()
  vi.restoreAllMocks()
})
const at = (ms: number) => new Date(START + ms).toISOString()
const run = (seconds: number) => {
  for (let i = 0; i < seconds * 2; i++) {
    counter += 500
    vi.advanceTimersByTime(500)
  }
}

describe("the server's clock on a device", () => {
  it('goes on rightly when the clock of the device is set back', () => {
    const clock = useClock()
    clock.learn(at(5_000))
    run(10)
    expect(clock.now).toBe(START + 15_000)
    vi.setSystemTime(Date.now() - 3_600_000)
    run(1)
    expect(clock.now).toBe(START + 16_000)
    clock.learn(at(16_200))
    expect(clock.changedMs).toBe(0)
  })
  it('goes by the clock of the device after it slept', () => {
    const clock = useClock()
    clock.learn(at(0))
    later(500, 600_000) // the counter stood still
    run(1)
    expect(clock.now).toBe(START + 601_000)
  })
  it('tells when the clock of the server was changed, once it is seen no more', () => {
    const clock = useClock()
    clock.learn(at(0))
    run(8)
    clock.learn(at(8_400)) // as answers travel
    expect(clock.changedMs).toBe(0)
    clock.learn(at(8_400 - 1_800_000))
    expect(Math.round(clock.changedMs / 60_000)).toBe(-30)
    clock.seen()
    expect(clock.changedMs).toBe(0)
  })
})
