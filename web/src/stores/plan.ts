import { useQueryClient } from '@tanstack/vue-query'
import { computed, type Ref, ref, shallowRef } from 'vue'
import { keepAnswer } from '../api/answers'
import { ApiError, type Schemas } from '../api/client'
import { previewPlan, queries, writePlan } from '../api/queries'
import { $t } from '../lib/i18n'

const NUDGE_KEEP_MS = 600
const HISTORY_MAX = 40

/** Everything a technician sets on a plan, without the revision it was set at. */
export type Choice = Omit<Schemas['PlanIn'], 'revision'>
/** What is set for lanes by hand. */
export type OwnOf = 'volumes' | 'minutes' | 'visits'
/** What is said of lanes by name: what covers them, and their product. */
export type NamedOf = 'coverings' | 'lighteners'
const PROPOSED = { visit_mins: [], round_starts: [], volumes: {}, minutes: {}, visits: {} }
const TRIP_APART_MIN = 15

/** The plan being made: kept on the server after each change, with undo; a drag only looks, until it is let go. */
export function usePlan(id: string, isLocked: Ref<boolean>) {
  const client = useQueryClient()
  const shown = shallowRef<Schemas['PlanOut'] | null>(null) // replaced whole; its curves are long
  const problem = ref('')
  /** In a what-if nothing is kept until it is said so. */
  const isWhatIf = ref(false)
  const choice = ref<Choice>({
    lightener_key: '',
    ...PROPOSED,
    coverings: {},
    lighteners: {},
    rows: {},
    has_additive: false,
    uses_known: true,
    order: [],
    keeps_order: false,
    aim: 'simple',
    step: 'whole',
    bowl_style: 'usual',
    delicate_way: 'weaker_last',
    hands: 1,
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
    visit_mins: plan.visit_mins,
    round_starts: plan.round_starts,
    has_additive: plan.has_additive,
    uses_known: plan.uses_known || plan.known === null,
    volumes: plan.volumes,
    minutes: plan.minutes,
    visits: plan.own_visits,
    coverings: plan.coverings,
    lighteners: plan.lighteners,
    rows: plan.rows,
    order: plan.order,
    keeps_order: plan.keeps_order,
    aim: plan.aim,
    step: plan.step,
    bowl_style: plan.bowl_style,
    delicate_way: plan.delicate_way,
    hands: plan.hands,
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
    problem.value = error instanceof ApiError ? error.problem.detail : $t('plan.thePlanCouldNotBe')
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
      // a product that was left open is chosen now
      if (choice.value.lightener_key === null) choice.value = { ...choice.value, lightener_key: plan.lightener_key }
      kept = choice.value
      keepAnswer(client, ['plan', id], plan)
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
  /** Lines as they stand: the technician's own, or where the proposal has its trips to the basin. */
  const lines = () => {
    const own = choice.value.visit_mins ?? []
    return own.length ? own : (shown.value?.visits ?? []).map((v) => v.asked_min)
  }
  let held: { lines: number[]; at: number } | null = null
  /** Takes hold of a trip's line; until it is let go the others stay where they are. */
  const hold = (visit: number) => {
    const at = shown.value?.visits[visit]?.asked_min ?? 0
    const own = lines()
    held = { lines: own, at: own.reduce((best, t, i) => (Math.abs(t - at) < Math.abs(own[best]! - at) ? i : best), 0) }
  }
  const moveTo = (minute: number) => {
    if (!held) return
    const moved = [...held.lines]
    moved[held.at] = Math.max(1, Math.round(minute))
    choice.value = { ...choice.value, visit_mins: moved.sort((a, b) => a - b) }
    void look()
  }
  const setVisit = (visit: number, minute: number) => {
    if (!held) hold(visit)
    moveTo(minute)
  }
  const letGo = () => {
    held = null
    return keep()
  }
  const nudge = (visit: number, by: number) => {
    if (isLocked.value || !shown.value?.visits[visit]) return
    if (!held) hold(visit)
    if (held) {
      held.lines = [...held.lines]
      held.lines[held.at] = (held.lines[held.at] ?? 0) + by
      moveTo(held.lines[held.at]!)
    }
    window.clearTimeout(timer)
    timer = window.setTimeout(() => void letGo(), NUDGE_KEEP_MS)
  }
  /** One trip to the basin more, after the last; or this one less. */
  const addVisit = () => change({ visit_mins: [...lines(), Math.round(Math.max(...lines(), 20)) + TRIP_APART_MIN] })
  const dropVisit = (visit: number) => {
    hold(visit)
    const rest = held!.lines.filter((_, i) => i !== held!.at)
    held = null
    return change({ visit_mins: rest })
  }
  const setVolume = (lane: Schemas['PlanLane'], by: number) => {
    const now = choice.value.volumes?.[lane.key] ?? Math.round(lane.volume_strength) // taps come faster than answers
    const step = by > 0 ? Math.floor(now / by + 1) * by : Math.ceil(now / -by - 1) * -by // on to the next full five
    return setOwn('volumes', [lane.key], Math.min(lane.strongest_volume, Math.max(1, step)))
  }
  /** The same of something for several lanes at once; null to have it proposed again. */
  const setOwn = (what: OwnOf, keys: readonly string[], value: number | null) => {
    const own: Record<string, number> = { ...choice.value[what] }
    for (const key of keys)
      if (value === null) delete own[key]
      else own[key] = value
    return change({ [what]: own })
  }
  /** A covering or a product of their own for several lanes; null for what the zone has. Trips are found anew. */
  const setNamed = (what: NamedOf, keys: readonly string[], value: string | null) => {
    const own: Record<string, string> = { ...choice.value[what] }
    for (const key of keys)
      if (value === null) delete own[key]
      else own[key] = value
    return change({ [what]: own, visit_mins: [] })
  }
  /** Zones worked in so many rows, or in one piece again; what was set for their lanes is proposed anew. */
  const setRows = (zones: readonly string[], count: number) => {
    const rows = { ...choice.value.rows }
    for (const zone of zones)
      if (count > 1) rows[zone] = count
      else delete rows[zone]
    const others = <T>(own: Record<string, T> | undefined) =>
      Object.fromEntries(Object.entries(own ?? {}).filter(([key]) => !zones.includes(key.split('.')[0]!)))
    const { volumes, minutes, visits, coverings, lighteners } = choice.value
    return change({
      rows,
      volumes: others(volumes),
      minutes: others(minutes),
      visits: others(visits),
      coverings: others(coverings),
      lighteners: others(lighteners),
      visit_mins: [],
    })
  }
  /** Strengths from the first of some lanes to the last: "10 20 30" parts them in three. */
  const ladder = (keys: readonly string[], strengths: readonly number[]) => {
    const own = { ...choice.value.volumes }
    keys.forEach((key, i) => (own[key] = strengths[Math.floor((i * strengths.length) / keys.length)]!))
    return change({ volumes: own })
  }
  /** These lanes as they stand; what is changed for others moves them no more. */
  const lock = (keys: readonly string[]) => {
    const of = (shown.value?.lanes ?? []).filter((l) => keys.includes(l.key))
    const volumes = { ...choice.value.volumes, ...Object.fromEntries(of.map((l) => [l.key, l.volume_strength])) }
    const minutes = { ...choice.value.minutes, ...Object.fromEntries(of.map((l) => [l.key, l.minutes_on])) }
    return change({ volumes, minutes })
  }
  const free = (keys: readonly string[]) => {
    const without = <T>(own: Record<string, T> | undefined) =>
      Object.fromEntries(Object.entries(own ?? {}).filter(([key]) => !keys.includes(key)))
    const { volumes, minutes, visits, coverings, lighteners } = choice.value
    return change({
      volumes: without(volumes),
      minutes: without(minutes),
      visits: without(visits),
      coverings: without(coverings),
      lighteners: without(lighteners),
    })
  }
  /** Zones in another order; trips are found anew. */
  const reorder = (order: string[]) => {
    if (order.join() === choice.value.order?.join()) return Promise.resolve()
    return change({ order, keeps_order: true, round_starts: [], visit_mins: [] })
  }
  const move = (key: string, by: number) => {
    const order = [...(choice.value.order ?? [])]
    const index = order.indexOf(key)
    if (index < 0 || index + by < 0 || index + by >= order.length) return Promise.resolve()
    order.splice(index, 1)
    order.splice(index + by, 0, key)
    return reorder(order)
  }
  /** The head is parted before this zone, or no longer is: what comes before is rinsed and toned first. */
  const part = (key: string) => {
    const starts = choice.value.round_starts ?? []
    const next = starts.includes(key) ? starts.filter((k) => k !== key) : [...starts, key]
    return change({ round_starts: next, visit_mins: [], keeps_order: true })
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
    setVisit,
    letGo,
    nudge,
    addVisit,
    dropVisit,
    keep,
    change,
    setVolume,
    setOwn,
    setNamed,
    setRows,
    ladder,
    lock,
    free,
    reorder,
    move,
    part,
    undo,
    whatIf,
    proposeAll: () => change({ ...PROPOSED }),
    canUndo: computed(() => past.value.length > 0 && !isLocked.value),
  }
}
