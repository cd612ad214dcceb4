import type { QueryClient } from '@tanstack/vue-query'

/**
 * What a writing answered, kept as the newest seen. It rests on the moment it was asked at, and something else
 * (a patch test, the shelf) may have changed since: it counts as old, so the next opening looks again.
 */
export function keepAnswer(client: QueryClient, queryKey: readonly unknown[], answer: unknown): void {
  client.setQueryData(queryKey, answer)
  void client.invalidateQueries({ queryKey, exact: true, refetchType: 'none' })
}
