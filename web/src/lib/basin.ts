interface BasinAct {
  code: string
  ids: string[]
  title: string
  detail: string
  due_at: string
  hex: string | null
}

/** Acts at the basin as the chair's alarms take them: only what falls due, not what is still to go on. */
export const dueAtBasin = (acts: readonly BasinAct[]) =>
  acts
    .filter((a) => a.code !== 'apply')
    .map((a) => ({
      code: a.code === 'stop' ? 'stop' : 'rinse',
      zone_key: a.ids[0] ?? '',
      zone_keys: a.ids,
      title: a.title,
      detail: a.detail,
      due_at: a.due_at,
      hex: a.hex,
    }))

/** Whether the basin's first act comes before the chair's, so that it stands large. */
export const isBasinFirst = (
  basin: readonly BasinAct[],
  chair: readonly { code: string; due_at: string }[],
): boolean => {
  const mine = dueAtBasin(basin)[0]
  const other = chair[0]
  if (!mine) return false
  return !other || other.code === 'tone' || (other.code !== 'stop' && mine.due_at < other.due_at)
}
