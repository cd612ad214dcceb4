import { useQueryClient } from '@tanstack/vue-query'
import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { ApiError, isOutdated, type Schemas } from '../api/client'
import type { EventData } from '../api/events'
import { send } from '../api/queries'
import { keepList, keptList } from '../lib/kept'
import type { WaitingAct } from '../api/waiting'

const KEPT = 'fervens.outbox'
const RETURNED = 'fervens.returned'
/** An act that is answered sooner is never shown as waiting. */
const SHOWN_AFTER_MS = 250
const RETRY_MS = [1_000, 2_000, 4_000, 8_000]
/** An act the server fails on so often is set aside, so that those behind it go out. */
const FAILURES_MAX = 3

export interface ReturnedAct extends WaitingAct {
  reason: string
}
export type Sent = { how: 'sent'; board: Schemas['BoardOut'] } | { how: 'waits' } | { how: 'refused'; error: ApiError }

/** Acts go through here: kept on the device first, sent in the order of the hand, each once, now or when the line is back. */
export const useOutbox = defineStore('outbox', () => {
  const client = useQueryClient()
  const entries = ref<WaitingAct[]>(keptList<WaitingAct>(KEPT))
  const returned = ref<ReturnedAct[]>(keptList<ReturnedAct>(RETURNED))
  const isSending = ref(false)
  const member = ref<string | null>(null)
  const settled = new Map<string, (sent: Sent) => void>()
  const failures = new Map<string, number>()
  let tries = 0
  let timer: number | undefined

  // the list on the device is the truth, other tabs may write it too; `entries` is what the page shows of it
  const list = () => keptList<WaitingAct>(KEPT)
  const show = () => {
    window.clearTimeout(showing)
    entries.value = list()
  }
  let showing: number | undefined
  const drop = (id: string) => {
    keepList(
      KEPT,
      list().filter((e) => e.event_id !== id),
    )
    if (entries.value.length) show()
    else if (list().length === 0) window.clearTimeout(showing)
  }
  const settle = (id: string, sent: Sent) => {
    settled.get(id)?.(sent)
    settled.delete(id)
  }
  const giveBack = (act: WaitingAct, error: ApiError) => {
    drop(act.event_id)
    if (settled.has(act.event_id)) return settle(act.event_id, { how: 'refused', error })
    returned.value = [...returned.value, { ...act, reason: error.problem.detail }]
    keepList(RETURNED, returned.value)
  }
  const own = () => list().filter((e) => e.member === member.value)
  const letWait = () => {
    show()
    for (const entry of own()) settle(entry.event_id, { how: 'waits' })
    window.clearTimeout(timer)
    timer = window.setTimeout(() => void flush(), RETRY_MS[Math.min(tries, RETRY_MS.length - 1)])
    tries += 1
  }

  const sendAll = async () => {
    for (let next = own()[0]; next; next = own()[0]) {
      try {
        const board = await send(next)
        const key = ['board', next.service_id]
        await client.cancelQueries({ queryKey: key }) // an older answer must not overwrite this
        const known = client.getQueryData<Schemas['BoardOut']>(key)
        if (!known || known.position <= board.position) client.setQueryData(key, board)
        drop(next.event_id)
        settle(next.event_id, { how: 'sent', board })
        tries = 0
      } catch (error) {
        const status = error instanceof ApiError ? error.problem.status : 0
        const failed = (failures.get(next.event_id) ?? 0) + (status === 500 ? 1 : 0)
        failures.set(next.event_id, failed)
        const isTemporary = status === 0 || status >= 500 || status === 401 || status === 429
        // a newer server may not understand an old page: the act waits until the page is loaded anew
        const isOfOldPage = isOutdated() && [400, 404, 405, 422].includes(status)
        if (isOfOldPage || (isTemporary && failed < FAILURES_MAX)) return letWait()
        giveBack(next, error as ApiError)
      }
    }
  }
  let running: Promise<void> | null = null
  let isAskedAgain = false
  // two tabs may send the same act at once; the log takes each id once
  const sendUntilDone = async () => {
    do {
      isAskedAgain = false
      await sendAll()
    } while (isAskedAgain)
  }
  const flush = (): Promise<void> => {
    if (!member.value) return Promise.resolve()
    isAskedAgain = true
    if (!running) {
      isSending.value = true
      running = sendUntilDone().finally(() => {
        running = null
        isSending.value = false
      })
    }
    return running
  }

  const add = (act: Omit<WaitingAct, 'member'>): Promise<Sent> => {
    const kept = list()
    const taken =
      act.kind === 'EventVoided'
        ? kept.find((e) => e.event_id === (act.data as EventData<'EventVoided'>).event_id)
        : undefined
    if (taken && !isSending.value) {
      drop(taken.event_id) // it never left: nothing has to be taken back
      return Promise.resolve({ how: 'waits' })
    }
    keepList(KEPT, [...kept, { ...act, member: member.value ?? '' }])
    if (entries.value.length) show()
    else showing = window.setTimeout(show, SHOWN_AFTER_MS)
    const done = new Promise<Sent>((resolve) => settled.set(act.event_id, resolve))
    void flush()
    return done
  }
  const of = (serviceId: string) => entries.value.filter((e) => e.service_id === serviceId)
  const dismiss = (id: string) => {
    returned.value = returned.value.filter((e) => e.event_id !== id)
    keepList(RETURNED, returned.value)
  }
  useEventListener(window, 'online', () => void flush())
  useEventListener(window, 'storage', (e: StorageEvent) => {
    if (e.key === KEPT) show()
    if (e.key === RETURNED) returned.value = keptList<ReturnedAct>(RETURNED)
  })
  const count = computed(() => entries.value.length)
  const others = computed(() => entries.value.filter((e) => e.member !== member.value))
  const signIn = (name: string | null) => {
    member.value = name
    if (name) void flush()
  }
  return { entries, returned, count, others, isSending, add, of, flush, dismiss, signIn }
})
