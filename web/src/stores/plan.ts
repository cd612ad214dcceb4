import { useQueryClient } from '@tanstack/vue-query'
import { computed, type Ref, ref } from 'vue'
import { ApiError, type Schemas } from '../api/client'
import { previewPlan, queries, writePlan } from '../api/queries'

export interface Choice {
  lightener: string
  finish: number | null
  additive: boolean
  volumes: Record<string, number>
  order: string[]
}
const HISTORY_MAX = 60
const NUDGE_KEEP_MS = 600

/** The plan as it is being made: looked at while a hand drags, kept when it lets go, with undo. */
export function usePlan(id: string, isLocked: Ref<boolean>) {
  const client = useQueryClient()
  const shown = ref<Schemas['PlanOut'] | null>(null)
  const problem = ref('')
  const choice = ref<Choice>({ lightener: '', finish: null, additive: false, volumes: {}, order: [] })
  const past = ref<Choice[]>([])
  let kept: Choice = choice.value
  let revision = 0
  let isAsking = false
  let isAgain = false
  let turns = 0
  let timer: number | undefined

  /** Takes over what the server has, unless it is what is shown already. */
  const accept = (plan: Schemas['PlanOut']) => {
    if (shown.value && plan.revision === revision) return
    shown.value = plan
    revision = plan.revision
    choice.value = {
      lightener: plan.lightener_key,
      finish: plan.is_proposed_finish ? null : plan.finish_min,
      additive: plan.has_additive,
      volumes: Object.fromEntries(plan.lanes.filter((l) => l.is_own_volume).map((l) => [l.key, l.volume_strength])),
      order: plan.lanes.map((l) => l.key),
    }
    kept = choice.value
  }
  const body = () => ({
    revision,
    lightener_key: choice.value.lightener,
    finish_min: choice.value.finish,
    has_additive: choice.value.additive,
    volumes: choice.value.volumes,
    order: choice.value.order,
  })
  const explain = (error: unknown) => {
    problem.value = error instanceof ApiError ? error.problem.detail : 'The plan could not be worked out here.'
  }
  // A drag asks again as soon as the last answer is there: always the newest choice, never a queue of old ones.
  const look = async () => {
    if (isAsking) {
      isAgain = true
      return
    }
    isAsking = true
    const turn = ++turns
    try {
      const found = await previewPlan(id, body())
      if (turn === turns) {
        shown.value = found // a plan kept meanwhile is newer than this look
        problem.value = ''
      }
    } catch (error) {
      explain(error)
    } finally {
      isAsking = false
      if (isAgain) {
        isAgain = false
        void look()
      }
    }
  }
  const send = async () => {
    if (isLocked.value) return
    window.clearTimeout(timer)
    isAgain = false
    turns++
    try {
      const plan = await writePlan(id, body())
      revision = plan.revision
      shown.value = plan
      problem.value = ''
      kept = choice.value
      client.setQueryData(['plan', id], plan)
      void client.invalidateQueries({ queryKey: ['service', id] })
    } catch (error) {
      explain(error)
      if (error instanceof ApiError && error.problem.code === 'changed_elsewhere') {
        revision = -1
        accept(await client.fetchQuery({ ...queries.plan(id), staleTime: 0 }))
      }
    }
  }
  const keep = async () => {
    if (JSON.stringify(choice.value) !== JSON.stringify(kept)) past.value = [...past.value.slice(-HISTORY_MAX), kept]
    await send()
  }
  const change = (part: Partial<Choice>) => {
    choice.value = { ...choice.value, ...part }
    return keep()
  }
  const setFinish = (minute: number) => {
    const low = shown.value?.finish_least_min ?? 0
    const high = shown.value?.finish_most_min ?? 0
    choice.value = { ...choice.value, finish: Math.min(high, Math.max(low, Math.round(minute))) }
    void look()
  }
  const nudge = (by: number) => {
    if (!shown.value || isLocked.value) return
    setFinish((choice.value.finish ?? shown.value.finish_min) + by)
    window.clearTimeout(timer)
    timer = window.setTimeout(() => void keep(), NUDGE_KEEP_MS)
  }
  const setVolume = (lane: Schemas['PlanLane'], by: number) => {
    const volume = Math.min(lane.strongest_volume, Math.max(1, lane.volume_strength + by))
    return change({ volumes: { ...choice.value.volumes, [lane.key]: volume } })
  }
  const move = (index: number, by: number) => {
    const order = [...choice.value.order]
    const [taken] = order.splice(index, 1)
    if (taken === undefined) return Promise.resolve()
    order.splice(index + by, 0, taken)
    return change({ order })
  }
  const undo = async () => {
    const before = past.value.at(-1)
    if (!before) return
    past.value = past.value.slice(0, -1)
    choice.value = before
    await send()
  }
  return {
    shown,
    problem,
    choice,
    accept,
    setFinish,
    nudge,
    keep,
    change,
    setVolume,
    move,
    undo,
    proposeAll: () => change({ volumes: {}, finish: null }),
    canUndo: computed(() => past.value.length > 0 && !isLocked.value),
  }
}
