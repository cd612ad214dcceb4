import { queryOptions } from '@tanstack/vue-query'
import { sendForm } from './afterwards'
import { api, ApiError, data, type Schemas } from './client'
import { $t } from '../lib/i18n'

/** The camera with a card, and calibration rounds of one's own eye. */
export const camera = {
  card: () =>
    queryOptions({
      queryKey: ['card'],
      queryFn: async () => data(await api.GET('/api/card')),
      staleTime: 300_000,
    }),
}

export const measureCard = async (text: string) => data(await api.PUT('/api/card', { body: { text } }))
export const forgetCard = async () => data(await api.DELETE('/api/card'))

const withPicture = (file: Blob) => {
  const form = new FormData()
  form.set('picture', file, 'strand.jpg')
  return form
}
/** Reads a lane from a picture; nothing is noted by that. */
export const readLane = (id: string, key: string, file: Blob) =>
  sendForm<Schemas['CameraOut']>(`/api/services/${id}/lanes/${encodeURIComponent(key)}/camera`, withPicture(file))
/** Reads a strand that belongs to no service. */
export const readStrand = (file: Blob) => sendForm<Schemas['CameraOut']>('/api/camera', withPicture(file))

async function picture(path: string): Promise<Blob> {
  const answer = await fetch(path, { credentials: 'same-origin' }).catch(() => null)
  if (answer?.ok) return answer.blob()
  const told = (await answer?.json().catch(() => null)) as { detail?: string } | null
  throw new ApiError({
    title: $t('camera.noPicture'),
    status: answer?.status ?? 0,
    code: 'no_picture',
    detail: told?.detail ?? $t('camera.theServerCannotBeReached'),
  })
}
/** A picture of simulated hair under the card, where a camera is simulated. */
export const simulatedPicture = (id: string, key: string) =>
  picture(`/api/services/${id}/lanes/${encodeURIComponent(key)}/camera/simulated`)
export const strandPicture = (seed: number, number: number) => picture(`/api/eyes/strands/${seed}/${number}`)
export const simulatedStrands = async () => data(await api.GET('/api/eyes/strands'))

export const keepRound = async (body: Schemas['RoundIn']) => data(await api.POST('/api/eyes/round', { body }))
export const undoRound = async () => data(await api.DELETE('/api/eyes/round'))
