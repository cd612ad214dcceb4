import { useManualRefHistory } from '@vueuse/core'
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { keepAnswer } from '../api/answers'
import { ApiError, type Schemas } from '../api/client'
import { queries, writeConsultation } from '../api/queries'
import { useNotices } from './notices'

export type Draft = Omit<Schemas['ConsultationIn'], 'revision' | 'zones' | 'strands'> & {
  zones: Schemas['ZoneOut'][]
  strands: Schemas['StrandIn'][]
}
const HISTORY_MAX = 60
const WAIT_MS = 350

/** Of an answer only what may be sent back: what the server adds of its own is refused as unknown. */
type Ours<In, Out> = { [K in Exclude<keyof Out, keyof In>]: true }
const STRAND_ANSWERS: Ours<Schemas['StrandIn'], Schemas['StrandOut']> = {
  curve: true,
  reading_hexes: true,
  reading_undertones: true,
  start_hex: true,
  extent_ratio: true,
  rate_ratio: true,
  has_suffered: true,
  label_max_min: true,
  next_look_min: true,
}
const ZONE_ANSWERS: Ours<Schemas['Zone'], Schemas['ZoneOut']> = {
  start_hex: true,
  target_hex: true,
  part_hexes: true,
  pieces_hexes: true,
  touches_the_scalp: true,
}
const without = <T extends object>(all: T, answers: object) =>
  JSON.parse(JSON.stringify(Object.fromEntries(Object.entries(all).filter(([key]) => !(key in answers)))))
const strandOf = (s: Schemas['StrandOut']): Schemas['StrandIn'] => without(s, STRAND_ANSWERS)
const zoneIn = (z: Schemas['ZoneOut']): Schemas['Zone'] => without(z, ZONE_ANSWERS)
const stretchIn = ({ rest_mm, pulled_mm, back_mm, has_snapped }: Schemas['StretchOut']): Schemas['StretchIn'] => ({
  rest_mm,
  pulled_mm,
  back_mm,
  has_snapped,
})
const draftOf = (s: Schemas['ServiceOut']): Draft => ({
  kind: s.kind,
  wish: s.wish,
  tone: s.tone,
  wanted_level: s.wanted_level,
  scalp: s.scalp,
  elasticity: s.elasticity,
  salts_test: s.salts_test,
  salts_signs: s.salts_signs ?? null,
  stretch: s.stretch ? stretchIn(s.stretch) : null,
  reacts_to_oxidative: s.reacts_to_oxidative,
  allergies: s.allergies,
  medication: s.medication,
  home_care: [...(s.home_care ?? [])],
  is_clarified: s.is_clarified,
  time_min: s.time_min,
  booked_min: s.booked_min,
  zones: JSON.parse(JSON.stringify(s.zones)) as Schemas['ZoneOut'][],
  strands: (s.strands ?? []).map(strandOf),
})

/** The consultation as it is being read: kept on the server a moment after each change, with undo and redo. */
export function useConsultation(service: Schemas['ServiceOut']) {
  const client = useQueryClient()
  const notices = useNotices()
  const draft = ref<Draft>(draftOf(service))
  const copy = (value: Draft) => JSON.parse(JSON.stringify(value)) as Draft
  const history = useManualRefHistory(draft, { capacity: HISTORY_MAX, clone: copy })
  const state = ref<'kept' | 'waiting' | 'keeping' | 'failed'>('kept')
  let revision = service.revision
  let timer: number | undefined
  let running: Promise<void> = Promise.resolve()

  const send = async () => {
    state.value = 'keeping'
    const { zones, ...rest } = draft.value
    const sent = draft.value
    try {
      // the colours are the server's and are not sent back
      const answer = await writeConsultation(service.id, { ...rest, revision, zones: zones.map(zoneIn) })
      revision = answer.revision
      keepAnswer(client, ['service', service.id], answer)
      if (draft.value === sent) {
        // only colours come back changed; what is typed meanwhile is never overwritten
        const colours = new Map(answer.zones.map((z) => [z.key, z]))
        for (const zone of draft.value.zones) {
          const got = colours.get(zone.key)
          if (!got) continue
          const { start_hex, target_hex, part_hexes, pieces_hexes, touches_the_scalp } = got
          Object.assign(zone, { start_hex, target_hex, part_hexes, pieces_hexes, touches_the_scalp })
        }
        // what the small tests came to is the server's to say
        Object.assign(draft.value, { elasticity: answer.elasticity, salts_test: answer.salts_test })
        state.value = 'kept'
      }
    } catch (error) {
      state.value = 'failed'
      notices.fail(error)
      if (error instanceof ApiError && error.problem.code === 'changed_elsewhere') {
        const fresh = await client.fetchQuery({ ...queries.service(service.id), staleTime: 0 })
        revision = fresh.revision
        draft.value = draftOf(fresh)
        state.value = 'kept'
      }
    }
  }
  let isQueued = false
  /** After the keeping that runs, once: what is typed meanwhile goes in one. */
  const queue = () => {
    if (isQueued) return
    isQueued = true
    running = running.then(() => {
      isQueued = false
      return send()
    })
  }
  /** What the server has said of the draft since (colours) belongs to what undo comes back to. */
  const settleHistory = () => {
    history.last.value = { ...history.last.value, snapshot: copy(draft.value) }
  }
  /** Someone else's writing, or a file's, takes the place of what is here. */
  const accept = (fresh: Schemas['ServiceOut']) => {
    revision = fresh.revision
    settleHistory()
    draft.value = draftOf(fresh)
    history.commit()
    state.value = 'kept'
  }
  const schedule = () => {
    state.value = 'waiting'
    window.clearTimeout(timer)
    timer = window.setTimeout(() => {
      timer = undefined
      queue()
    }, WAIT_MS)
  }
  const change = (edit: (d: Draft) => void) => {
    settleHistory()
    const next = copy(draft.value)
    edit(next)
    draft.value = next
    history.commit()
    schedule()
  }
  const step = (can: boolean, go: () => void) => {
    if (!can) return
    settleHistory()
    go()
    schedule()
  }
  /** Everything typed so far is on the server when this resolves. */
  const settle = async () => {
    if (timer !== undefined) {
      window.clearTimeout(timer)
      timer = undefined
      queue()
    }
    await running
  }
  return {
    draft,
    state,
    accept,
    revision: () => revision,
    change,
    settle,
    undo: () => step(history.canUndo.value, history.undo),
    redo: () => step(history.canRedo.value, history.redo),
    canUndo: history.canUndo,
    canRedo: history.canRedo,
  }
}
