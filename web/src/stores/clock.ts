import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'

export interface Run {
  /** The moment it was at, ms. */
  at: number
  /** When that was, by the device's counter. */
  from: number
  speed: number
  /** The moment it stops at by itself, ms. */
  until: number
}

const TICK_MS = 500
const QUICK_TICK_MS = 100
/** A change that is larger is told: lanes are timed by it. */
const TOLD_MS = 60_000
/** Smaller ones are how answers travel. */
const CHANCE_MS = 3_000

/** The server's clock on this device: timers are derived from it and from event times, never counted. */
export const useClock = defineStore('clock', () => {
  const offsetMs = useLocalStorage('fervens.clock', 0)
  const now = ref(Date.now() + offsetMs.value)
  /** By how much the server's clock was changed, ms; 0 while nothing is to be told. */
  const changedMs = ref(0)
  let hasLearnt = false
  let wall = Date.now()
  let counter = performance.now()
  /** A practice round has a clock of its own; null while there is none. */
  const run = ref<Run | null>(null)
  const runsTo = (r: Run) => Math.min(r.at + (performance.now() - r.from) * r.speed, r.until)
  const tick = () => {
    const [atWall, atCounter] = [Date.now(), performance.now()]
    const off = atWall - wall - (atCounter - counter)
    // the device's own clock was set back: what it is off from the server changes by as much, and lanes go on. Forward
    // it may just have slept, and its clock is right; if not, the server says so in a few seconds.
    if (off < -CHANCE_MS) offsetMs.value -= off
    ;[wall, counter] = [atWall, atCounter]
    now.value = run.value ? runsTo(run.value) : atWall + offsetMs.value
  }
  const learn = (serverNow: string) => {
    tick()
    const told = new Date(serverNow).getTime() - Date.now()
    if (hasLearnt && Math.abs(told - offsetMs.value) > TOLD_MS) changedMs.value = told - offsetMs.value
    hasLearnt = true
    offsetMs.value = told
    tick()
  }
  const seen = () => {
    changedMs.value = 0
  }
  /** Runs a practice round's clock from a moment, so many minutes in one (0 stands still), to where it stops itself. */
  const runFrom = (at: number, speed: number, until = Infinity) => {
    run.value = { at, speed, from: performance.now(), until: Math.max(at, until) }
    tick()
  }
  const endRun = () => {
    run.value = null
    tick()
  }
  const moment = () => new Date(run.value ? runsTo(run.value) : Date.now() + offsetMs.value)
  useIntervalFn(
    tick,
    computed(() => (run.value && run.value.speed > 5 ? QUICK_TICK_MS : TICK_MS)),
  )
  return { now, changedMs, learn, seen, moment, run, runFrom, endRun }
})
