import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { queries } from '../api/queries'
import { laneNow } from '../lib/lane'

const LOOKS = ['read', 'short']
/** Foils that went on so much before the last are looked at apart, min. */
const APART_MIN = 3

/** A look that is next may be told on its card: the levels to choose from, and what is to be expected. */
export function useQuickLook(
  act: () => Schemas['NextAct'] | undefined,
  lanes: () => readonly Schemas['Lane'][],
  now: () => number,
) {
  const looked = computed(() => {
    const next = act()
    const lane = next && LOOKS.includes(next.code) ? lanes().find((l) => l.key === next.zone_key) : undefined
    return lane?.phase === 'processing' && lane.application_count < 2 ? lane : null
  })
  const start = computed(() => looked.value?.start_level ?? null)
  const scale = useQuery(computed(() => ({ ...queries.palette(start.value), enabled: start.value !== null })))
  return computed(() => {
    const lane = looked.value
    const shown = scale.data.value
    if (!lane || !shown) return null
    const isFirstFoils = lane.span_min >= APART_MIN && lane.advice?.foils === 'first'
    const since = (now() - new Date(lane.zero_at).getTime()) / 60_000
    const expected = isFirstFoils ? lane.level_first.likely : laneNow(lane, since).level
    return { levels: shown.levels, hexes: shown.hexes, undertones: shown.undertones, expected, isFirstFoils }
  })
}
