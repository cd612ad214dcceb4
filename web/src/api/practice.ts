import { queryOptions } from '@tanstack/vue-query'
import { type Ref, unref } from 'vue'
import { api, data, type Schemas } from './client'
import { KEPT_MS } from './queries'

const of = (service_id: string) => ({ params: { path: { service_id } } })

/** Practice: rounds, their debriefs, classes and the eye drill. */
export const practice = {
  room: () => queryOptions({ queryKey: ['practice'], queryFn: async () => data(await api.GET('/api/practice')) }),
  round: (id: string) =>
    queryOptions({
      queryKey: ['round', id],
      queryFn: async () => data(await api.GET('/api/practice/{service_id}', of(id))),
      gcTime: KEPT_MS,
    }),
  debrief: (id: Ref<string>) =>
    queryOptions({
      queryKey: ['debrief', id],
      queryFn: async () => data(await api.GET('/api/practice/{service_id}/debrief', of(unref(id)))),
      staleTime: Infinity,
    }),
  sheet: (id: Ref<string>) =>
    queryOptions({
      queryKey: ['class', id],
      queryFn: async () => data(await api.GET('/api/practice/{service_id}/class', of(unref(id)))),
    }),
}

export const beginRound = async (body: Schemas['PracticeRoundIn']) => data(await api.POST('/api/practice', { body }))
export const dropRound = async (id: string) => data(await api.DELETE('/api/practice/{service_id}', of(id)))
export const setClock = async (id: string, body: Schemas['ClockIn']) =>
  data(await api.PUT('/api/practice/{service_id}/clock', { ...of(id), body }))
export const endRound = async (id: string) => data(await api.POST('/api/practice/{service_id}/end', of(id)))
export const tryAgain = async (id: string, until: string | null) =>
  data(await api.POST('/api/practice/{service_id}/again', { ...of(id), body: { until } }))
export const roundFile = async (id: string, played: boolean) =>
  data(
    await api.GET('/api/practice/{service_id}/file', {
      params: { path: { service_id: id }, query: { played } },
    }),
  )
export const bringRound = async (document: Record<string, unknown>) =>
  data(await api.POST('/api/practice/file', { body: { document } }))
export const share = async (is_shared: boolean) => data(await api.PUT('/api/practice/sharing', { body: { is_shared } }))
export const beginDrill = async (mode: Schemas['ReadingMode']) =>
  data(await api.POST('/api/practice/drill', { params: { query: { mode } } }))
export const answerDrill = async (body: Schemas['DrillIn']) =>
  data(await api.POST('/api/practice/drill/answers', { body }))
