import type { Schemas } from '../api/client'

/** The way through a service, by what it does. */
export const waysThrough: Record<Schemas['ServiceKind'], readonly Schemas['Step'][]> = {
  lighten_and_tone: ['consultation', 'plan', 'chair', 'review', 'tone', 'record'],
  tone_only: ['consultation', 'tone', 'record'],
  deepen: ['consultation', 'tone', 'record'],
  strand_test: ['consultation', 'strands', 'record'],
}
