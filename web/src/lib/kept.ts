/** What this device keeps between visits: its own name, and lists that survive a reload and a closed tab. */
export function deviceId(): string {
  const kept = localStorage.getItem('fervens.device')
  if (kept) return kept
  const made = crypto.randomUUID()
  localStorage.setItem('fervens.device', made)
  return made
}

/** A cookie's value, or nothing. */
export const cookie = (name: string): string =>
  document.cookie
    .split('; ')
    .find((part) => part.startsWith(`${name}=`))
    ?.slice(name.length + 1) ?? ''

export function keptList<T>(key: string): T[] {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(key) ?? '[]')
    return Array.isArray(found) ? (found as T[]) : []
  } catch {
    return []
  }
}

export const keepList = (key: string, list: readonly unknown[]): void => localStorage.setItem(key, JSON.stringify(list))
