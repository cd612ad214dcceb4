import { useQueryClient } from '@tanstack/vue-query'
import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Schemas } from '../api/client'
import { deviceId } from '../lib/kept'
import { useClock } from './clock'
import { useOutbox } from './outbox'

const SILENT_MS = 20_000
const REOPEN_MS = 1_500
const OF_SERVICE = ['review', 'tone', 'record', 'log', 'options']
/** What moves a service to another step, or changes what was read and planned. */
const MOVES_ON = [
  'CautionAcknowledged',
  'ConsultationFinished',
  'PlanTaken',
  'Rinsed',
  'WaveRinsed',
  'ServiceClosed',
  'LighteningResumed',
  'ReviewFinished',
  'EventVoided',
  'consultation',
  'plan',
]

interface Notice {
  what: string
  service?: string
  position?: number
  device?: string
  /** The board as it then stands, when this device follows the service. */
  board?: Schemas['BoardOut']
}

/** The line to the server: hears at once what others did, comes back by itself, and knows when it is behind. */
export const useLine = defineStore('line', () => {
  const client = useQueryClient()
  const clock = useClock()
  const outbox = useOutbox()
  const state = ref<'opening' | 'live' | 'behind' | 'lost'>('opening')
  const lastHeard = ref<number | null>(null)
  let source: EventSource | null = null
  /** The line before, until the new one stands: nothing is missed between the two. */
  let former: EventSource | null = null
  let watch: number | undefined
  let again: number | undefined
  let wasLost = false

  const refreshAll = () => void client.invalidateQueries()
  const heard = (isLive: boolean) => {
    lastHeard.value = clock.now
    state.value = isLive ? 'live' : 'behind'
    window.clearTimeout(watch)
    watch = window.setTimeout(reopen, SILENT_MS)
  }
  const lost = () => {
    state.value = 'lost'
    wasLost = true
  }
  const changed = (notice: Notice) => {
    if (notice.what === 'behind') return heard(false)
    heard(true)
    if (notice.what === 'resync' || !notice.service) return refreshAll()
    if (notice.device === deviceId()) return // its answer says it all
    const known = client.getQueryData<Schemas['BoardOut']>(['board', notice.service])
    if (notice.board) {
      if (!known || known.position <= notice.board.position) {
        void client.cancelQueries({ queryKey: ['board', notice.service] }) // an older one on its way
        client.setQueryData(['board', notice.service], notice.board)
      }
    } else if (!known || !notice.position || known.position < notice.position) {
      void client.invalidateQueries({ queryKey: ['board', notice.service] })
    }
    const keys = MOVES_ON.includes(notice.what) ? [...OF_SERVICE, 'service', 'plan'] : OF_SERVICE
    for (const key of keys) void client.invalidateQueries({ queryKey: [key, notice.service] })
    for (const key of ['day', 'week']) void client.invalidateQueries({ queryKey: [key] })
  }
  /** A board that was taken before the line stood may lack what came between. */
  const takeIfBehind = (service: string, position: number) => {
    const known = client.getQueryData<Schemas['BoardOut']>(['board', service])
    if (known && known.position < position) void client.invalidateQueries({ queryKey: ['board', service] })
  }
  let following: string | null = null
  let isCutOff = false
  const open = () => {
    drop()
    isCutOff = false
    const mine = new EventSource(following ? `/api/stream?service=${following}&device=${deviceId()}` : '/api/stream')
    source = mine
    const on = (name: string, does: (data: Record<string, unknown>) => void) =>
      mine.addEventListener(name, (e) => does(JSON.parse((e as MessageEvent<string>).data) as Record<string, unknown>))
    on('hello', (data) => {
      leaveFormer()
      clock.learn(String(data.server_now))
      heard(data.is_live === true)
      if (wasLost)
        refreshAll() // what happened meanwhile
      else if (following) takeIfBehind(following, Number(data.position ?? 0))
      wasLost = false
      void outbox.flush()
    })
    on('ping', (data) => {
      clock.learn(String(data.server_now))
      heard(data.is_live === true)
    })
    on('changed', (data) => changed(data as unknown as Notice))
    on('ended', () => {
      close()
      void client.invalidateQueries({ queryKey: ['session'] })
    })
    mine.onerror = () => {
      if (source !== mine) return
      leaveFormer()
      lost()
      if (mine.readyState === EventSource.CLOSED) {
        window.clearTimeout(again)
        again = window.setTimeout(open, REOPEN_MS)
      }
    }
    watch = window.setTimeout(reopen, SILENT_MS)
  }
  const reopen = () => {
    lost()
    open()
  }
  const leaveFormer = () => {
    former?.close()
    former = null
  }
  const drop = () => {
    source?.close()
    source = null
    window.clearTimeout(watch)
    window.clearTimeout(again)
  }
  const close = () => {
    leaveFormer()
    drop()
  }
  useEventListener(window, 'offline', () => {
    if (!source) return
    isCutOff = true
    lost()
    close()
  })
  useEventListener(window, 'online', () => {
    if (isCutOff) open()
  })
  /** Hear of one service only, or of all again. */
  const follow = (serviceId: string | null) => {
    if (serviceId === following) return
    following = serviceId
    if (!source) return
    if (former) source.close()
    else former = source
    source = null
    open()
  }
  return { state, lastHeard, open, close, follow }
})
