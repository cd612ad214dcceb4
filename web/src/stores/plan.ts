import { useQueryClient } from '@tanstack/vue-query'
import { computed, type Ref, ref, shallowRef } from 'vue'
import { ApiError, type Schemas } from '../api/client'
import { previewPlan, queries, writePlan } from '../api/queries'

const NUDGE_KEEP_MS = 600
const HISTORY_MAX = 40

/** Everything a technician sets on a plan, without the revision it was set at. */
export type Choice = Omit<Schemas['PlanIn'], 'revision' | 'wave_starts'> & { wave_starts: string[] | null }

/** The plan being made: kept on the server after each change, with undo; a drag only looks, until it is let go. */
export function usePlan(id: string, isLocked: Ref<boolean>) {
  const client = useQueryClient()
  const shown = shallowRef<Schemas['PlanOut'] | null>(null) // replaced whole; its curves are long
  const problem = ref('')
  /** In a what-if nothing is kept until it is said so. */
  const isWhatIf = ref(false)
  const choice = ref<Choice>({
    lightener_key: '',
    finish_mins: [],
    wave_starts: null,
    has_additive: false,
    volumes: {},
    order: [],
    aim: 'even',
    step: 'whole',
    bowl_style: 'fresh',
    toner_key: '',
  })
  const past = ref<Choice[]>([])
  let revision = -1
  let timer: number | undefined
  let turns = 0
  let isAsking = false
  let isAgain = false
  let kept: Choice = choice.value

  const choiceOf = (plan: Schemas['PlanOut']): Choice => ({
    lightener_key: plan.lightener_key,
    finish_mins: plan.waves.slice(0, plan.waves.findLastIndex((w) => w.is_own_finish) + 1).map((w) => w.finish_min),
    wave_starts: plan.is_proposed ? null : plan.wave_starts,
    has_additive: plan.has_additive,
    volumes: plan.volumes,
    order: plan.order,
    aim: plan.aim,
    step: plan.step,
    bowl_style: plan.bowl_style,
    toner_key: plan.toner_key,
  })
  const accept = (plan: Schemas['PlanOut']) => {
    if (plan.revision === revision && shown.value) {
      // the same choices; what they rest on (shelf, patch test, strands) may have changed all the same
      if (choice.value === kept && !isWhatIf.value) shown.value = plan
      return
    }
    revision = plan.revision
    shown.value = plan
    choice.value = choiceOf(plan)
    kept = choice.value
  }
  const body = (): Schemas['PlanIn'] => ({ ...choice.value, revision })
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
  const sendOnce = async () => {
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
  // One writing at a time, and then the newest choice: two at once would each think the other came from elsewhere.
  let sending: Promise<void> | null = null
  let isNewer = false
  const sendNewest = async () => {
    do {
      isNewer = false
      await sendOnce()
    } while (isNewer)
  }
  const send = (): Promise<void> => {
    if (isLocked.value) return Promise.resolve()
    if (isWhatIf.value) return look()
    isNewer = true
    sending ??= sendNewest().finally(() => (sending = null))
    return sending
  }
  let before: Choice | null = null
  const remember = () => {
    const from = before ?? kept
    if (JSON.stringify(choice.value) !== JSON.stringify(from)) past.value = [...past.value.slice(-HISTORY_MAX), from]
    before = isWhatIf.value ? choice.value : null
  }
  const keep = async () => {
    remember()
    await send()
  }
  const change = (part: Partial<Choice>) => {
    choice.value = { ...choice.value, ...part }
    return keep()
  }
  /** Drags one wave's line; the partings and the other waves' own lines stay as they are. */
  const setFinish = (wave: number, minute: number) => {
    const plan = shown.value
    const at = plan?.waves[wave]
    if (!plan || !at) return
    const own = [...choice.value.finish_mins]
    // a later wave follows an earlier one: it is proposed anew behind the line that moves
    const lines = plan.waves.slice(0, wave + 1).map((w, i) => own[i] ?? w.finish_min)
    lines[wave] = Math.min(at.finish_most_min, Math.max(at.finish_least_min, Math.round(minute)))
    choice.value = { ...choice.value, finish_mins: lines, wave_starts: choice.value.wave_starts ?? plan.wave_starts }
    void look()
  }
  const nudge = (wave: number, by: number) => {
    const at = shown.value?.waves[wave]
    if (!at || isLocked.value) return
    setFinish(wave, (choice.value.finish_mins[wave] ?? at.finish_min) + by)
    window.clearTimeout(timer)
    timer = window.setTimeout(() => void keep(), NUDGE_KEEP_MS)
  }
  const setVolume = (lane: Schemas['PlanLane'], by: number) => {
    const now = choice.value.volumes[lane.key] ?? Math.round(lane.volume_strength) // taps come faster than answers
    const volume = Math.min(lane.strongest_volume, Math.max(1, now + by))
    return change({ volumes: { ...choice.value.volumes, [lane.key]: volume } })
  }
  /** Zones in another order; waves and lines are found anew. */
  const reorder = (order: string[]) => {
    if (order.join() === choice.value.order.join()) return Promise.resolve()
    return change({ order, wave_starts: null, finish_mins: [] })
  }
  const move = (key: string, by: number) => {
    const order = [...choice.value.order]
    const index = order.indexOf(key)
    if (index < 0 || index + by < 0 || index + by >= order.length) return Promise.resolve()
    order.splice(index, 1)
    order.splice(index + by, 0, key)
    return reorder(order)
  }
  /** A wave begins at this zone, or no longer does. */
  const part = (key: string) => {
    const plan = shown.value
    if (!plan) return Promise.resolve()
    const first = plan.waves[0]?.zone_keys[0]
    const starts = plan.wave_starts.filter((k) => k !== first)
    const next = starts.includes(key) ? starts.filter((k) => k !== key) : [...starts, key]
    return change({ wave_starts: next, finish_mins: [] })
  }
  const undo = async () => {
    const last = past.value[past.value.length - 1]
    if (!last) return
    past.value = past.value.slice(0, -1)
    choice.value = last
    before = isWhatIf.value ? last : null
    await send()
  }
  const whatIf = async (isOn: boolean, isKept = false) => {
    isWhatIf.value = isOn
    if (isOn) {
      before = choice.value
      return
    }
    if (isKept) {
      before = null
      past.value = [...past.value, kept]
      return send()
    }
    choice.value = kept
    before = null
    past.value = []
    await look()
  }
  return {
    shown,
    problem,
    choice,
    isWhatIf,
    accept,
    body,
    setFinish,
    nudge,
    keep,
    change,
    setVolume,
    reorder,
    move,
    part,
    undo,
    whatIf,
    proposeAll: () => change({ volumes: {}, finish_mins: [], wave_starts: null }),
    canUndo: computed(() => past.value.length > 0 && !isLocked.value),
  }
}
