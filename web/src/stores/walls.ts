import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { $t } from '../lib/i18n'

/** Walls are warned of before they come; the moments are the server's, the words ours. */
export function useWalls(lanes: () => readonly Schemas['Lane'][]) {
  const on = computed(() => lanes().filter((l) => l.phase === 'processing' || l.phase === 'applying'))
  const at = (lane: Schemas['Lane'], minute: number) => new Date(lane.zero_at).getTime() + minute * 60_000
  const walls = computed(() =>
    on.value.flatMap((l) =>
      l.warn_mins.map((minute) => ({
        code: 'wall',
        zone_key: `${l.key} ${Math.round(l.wall_min - minute)}`,
        zone_keys: [l.key],
        title: $t('chair.wallInMin', { name: l.name, wall_min: Math.round(l.wall_min - minute) }),
        detail: '',
        due_at: new Date(at(l, minute)).toISOString(),
        hex: null,
      })),
    ),
  )
  /** When a lane is told of otherwise than before, ms: its warnings, and the wall itself. */
  const moments = computed(() => on.value.flatMap((l) => [...l.warn_mins, l.wall_min].map((minute) => at(l, minute))))
  return { walls, moments }
}
