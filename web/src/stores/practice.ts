import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { practice, setClock } from '../api/practice'
import { useClock } from './clock'
import { useNotices } from './notices'

/** The server's clock of a round stops when it is not told; it is told well before. */
const TELL_MS = 8_000
export const SPEEDS = [1, 5, 20, 60] as const

/** The practice round that is open: its own clock, what was asked, what goes wrong, and how its hair looks. */
export const usePractice = defineStore('practice', () => {
  const client = useQueryClient()
  const clock = useClock()
  const notices = useNotices()
  const id = ref<string | null>(null)
  const query = useQuery(computed(() => ({ ...practice.round(id.value ?? ''), enabled: id.value !== null })))
  const round = computed(() => (id.value && query.data.value?.service_id === id.value ? query.data.value : null))
  const speed = ref<number>(SPEEDS[0])
  /** The learner let it stand; a sheet that is open lets it stand as well, while one thinks. */
  const isHeld = ref(true)
  const isThinking = computed(() => notices.sheets.length > 0)
  const isRunning = computed(() => round.value !== null && !round.value.is_over && !isHeld.value && !isThinking.value)
  /** When each thing the board asks for falls due, ms. */
  const dues = ref<readonly number[]>([])
  /** What was due by then the learner lets be, until the next act. */
  const passedAt = ref(-Infinity)
  /** Time that is hurried on stops where something falls due: nothing changes under the hand that reads it. */
  const until = computed(() =>
    speed.value > 1 ? Math.min(Infinity, ...dues.value.filter((at) => at > passedAt.value)) : Infinity,
  )
  const hasStopped = computed(() => isRunning.value && clock.now >= until.value)
  /** When what the board asks for falls due. */
  const falls = (at: readonly number[]) => {
    dues.value = at
  }
  /** The hand did something: what it let be waits for it again. */
  const acted = () => {
    passedAt.value = -Infinity
  }
  let isKnown = false

  const tell = async () => {
    if (!id.value || round.value?.is_over) return
    const of = id.value
    const stop = Number.isFinite(until.value) ? new Date(until.value).toISOString() : null
    try {
      await setClock(of, { at: clock.moment().toISOString(), speed: isRunning.value ? speed.value : 0, until: stop })
    } catch {
      // without a line it runs on here, and the acts bring it along
    }
  }
  let known = Infinity
  const run = () => {
    if (!round.value) return
    known = until.value
    clock.runFrom(
      isKnown ? clock.moment().getTime() : new Date(round.value.now).getTime(),
      isRunning.value ? speed.value : 0,
      until.value,
    )
    isKnown = true
  }
  watch([round, isRunning, speed, until], ([now], [before]) => {
    if (!now) return
    const isFirst = now.service_id !== before?.service_id
    const isAsWanted = clock.run?.speed === (isRunning.value ? speed.value : 0) && known === until.value
    if (isFirst || !isAsWanted) {
      run()
      if (!isFirst) void tell()
    }
  })
  useIntervalFn(() => void (isRunning.value && tell()), TELL_MS)
  useEventListener(document, 'visibilitychange', () => {
    if (document.hidden && isRunning.value) isHeld.value = true
  })

  /** Opens a round; null leaves it, and the clock on the wall is back. */
  const follow = (service: string | null) => {
    if (service === id.value) return
    if (id.value && isKnown) {
      isHeld.value = true
      void tell()
    }
    id.value = service
    isKnown = false
    isHeld.value = true
    falls([])
    acted()
    if (service === null) clock.endRun()
  }
  /** Time that goes by at once: a telephone, a test that is waited out. */
  const forward = (minutes: number) => {
    clock.runFrom(clock.moment().getTime() + minutes * 60_000, isRunning.value ? speed.value : 0, until.value)
    void tell()
  }
  /** Hands are busy until a moment: time goes by to there, or to what goes wrong before. Whether it got there. */
  const passUntil = (moment: number) => {
    const now = clock.moment().getTime()
    const wrong = (round.value?.mishaps ?? [])
      .filter((m) => !m.is_hidden && m.answer === null)
      .map((m) => new Date(m.at).getTime())
      .filter((at) => at > now && at < moment)
    const to = Math.min(moment, ...wrong)
    if (to > now) forward((to - now) / 60_000)
    return to >= moment
  }
  /** Lets it run, also past what has fallen due. */
  const runOn = () => {
    passedAt.value = clock.now
    isHeld.value = false
  }
  const renew = () => client.invalidateQueries({ queryKey: ['round', id.value] })
  /** The round of a service, if that is the one which is open. */
  const of = (service: string) => (round.value?.service_id === service ? round.value : null)
  const help = computed<Schemas['Help']>(() => round.value?.help ?? 'full')
  return {
    id,
    round,
    of,
    help,
    speed,
    isHeld,
    isThinking,
    isRunning,
    hasStopped,
    falls,
    acted,
    follow,
    forward,
    passUntil,
    runOn,
    renew,
    tell,
  }
})
