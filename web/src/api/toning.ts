import type { Schemas } from './client'
import type { EventData } from './events'

/** A bowl that went on some parts, as the log takes it; `before` tells how long ago it was on each, min. */
export const bowlApplied = (
  step: Schemas['ToneStep'],
  bowl: Schemas['ToneBowl'],
  ids: readonly string[],
  before: readonly number[] = [],
): EventData<'ToneBowlApplied'> => {
  const two = bowl.shade_keys.length > 1
  const parts = ids.flatMap((id, i) => {
    const plan = step.lanes.find((l) => l.id === id)?.proposal
    if (!plan) return []
    const { minutes, product_g, developer_g } = plan
    return [{ id, minutes, product_g, developer_g, before_min: before[i] ?? 0 }]
  })
  const hasShadow = ids.some((id) => step.lanes.find((l) => l.id === id)?.part)
  return {
    shade_key: bowl.shade_keys[0] ?? '',
    shade_name: bowl.shade_names[0] ?? '',
    ...(two ? { second_key: bowl.shade_keys[1], second_name: bowl.shade_names[1] } : {}),
    share: two ? bowl.share : 1,
    developer_parts: bowl.developer_parts,
    dilution: bowl.dilution,
    ...(hasShadow ? { length_mm: step.shadow_length_mm, blend_mm: step.shadow_blend_mm } : {}),
    parts,
  }
}
