import { keepPreviousData, queryOptions } from '@tanstack/vue-query'
import { type Ref, unref } from 'vue'
import { deviceId } from '../lib/kept'
import type { EventIn } from './events'
import type { WaitingAct } from './waiting'
import { api, data, type Schemas } from './client'

/** Query factories: the only place where server state is named and fetched. */
const SEND_MS = 8_000
export const KEPT_MS = 24 * 3600_000
const path = (id: string) => ({ params: { path: { service_id: id } } })

export const queries = {
  session: () =>
    queryOptions({
      queryKey: ['session'],
      queryFn: async () => data(await api.GET('/api/session')),
      gcTime: KEPT_MS,
      refetchOnMount: 'always', // what was kept may be of another moment
    }),
  day: (day: Ref<string>) =>
    queryOptions({
      queryKey: ['day', day],
      queryFn: async () => data(await api.GET('/api/day', { params: { query: { day: unref(day) } } })),
      refetchInterval: 15_000,
    }),
  head: () =>
    queryOptions({
      queryKey: ['head'],
      queryFn: async () => data(await api.GET('/api/head')),
      staleTime: Infinity,
    }),
  shelf: () => queryOptions({ queryKey: ['shelf'], queryFn: async () => data(await api.GET('/api/shelf')) }),
  palette: (start: Ref<number | null> | number | null) =>
    queryOptions({
      queryKey: ['palette', start],
      queryFn: async () => {
        const level = unref(start)
        return data(await api.GET('/api/palette', { params: { query: level === null ? {} : { start_level: level } } }))
      },
      staleTime: Infinity,
      gcTime: KEPT_MS,
    }),
  clients: (search: Ref<string>) =>
    queryOptions({
      queryKey: ['clients', search],
      queryFn: async () => data(await api.GET('/api/clients', { params: { query: { search: unref(search) } } })),
    }),
  client: (id: string) =>
    queryOptions({
      queryKey: ['client', id],
      queryFn: async () => data(await api.GET('/api/clients/{client_id}', { params: { path: { client_id: id } } })),
    }),
  service: (id: string) =>
    queryOptions({
      queryKey: ['service', id],
      queryFn: async () => data(await api.GET('/api/services/{service_id}', path(id))),
    }),
  plan: (id: string) =>
    queryOptions({
      queryKey: ['plan', id],
      queryFn: async () => data(await api.GET('/api/services/{service_id}/plan', path(id))),
    }),
  versions: (id: string) =>
    queryOptions({
      queryKey: ['versions', id],
      queryFn: async () => data(await api.GET('/api/services/{service_id}/plan/versions', path(id))),
    }),
  board: (id: string) =>
    queryOptions({
      queryKey: ['board', id],
      queryFn: async () => data(await api.GET('/api/services/{service_id}/board', path(id))),
      refetchInterval: 30_000,
      gcTime: KEPT_MS,
    }),
  log: (id: string) =>
    queryOptions({
      queryKey: ['log', id],
      queryFn: async () => data(await api.GET('/api/services/{service_id}/log', path(id))),
    }),
  options: (id: string, key: string) =>
    queryOptions({
      queryKey: ['options', id, key],
      queryFn: async () =>
        data(
          await api.GET('/api/services/{service_id}/lanes/{key}/options', {
            params: { path: { service_id: id, key } },
          }),
        ),
      refetchInterval: 30_000,
    }),
  review: (id: string) =>
    queryOptions({
      queryKey: ['review', id],
      queryFn: async () => data(await api.GET('/api/services/{service_id}/review', path(id))),
      refetchInterval: 60_000,
    }),
  wishes: () =>
    queryOptions({
      queryKey: ['wishes'],
      queryFn: async () => data(await api.GET('/api/wishes')),
      staleTime: Infinity,
    }),
  tone: (id: string, bowls: number, bright = true) =>
    queryOptions({
      queryKey: ['tone', id, bowls, bright],
      queryFn: async () =>
        data(
          await api.GET('/api/services/{service_id}/tone', {
            params: { path: { service_id: id }, query: { bowls, bright } },
          }),
        ),
      refetchInterval: 15_000,
      placeholderData: keepPreviousData,
    }),
  record: (id: string) =>
    queryOptions({
      queryKey: ['record', id],
      queryFn: async () => data(await api.GET('/api/services/{service_id}/record', path(id))),
    }),
}

export const signIn = async (body: Schemas['SignIn']) => data(await api.POST('/api/session', { body }))
export const signOut = async () => data(await api.DELETE('/api/session'))
export const addClient = async (body: Schemas['ClientIn']) => data(await api.POST('/api/clients', { body }))
export const changeClient = async (id: string, body: Schemas['ClientIn']) =>
  data(await api.PATCH('/api/clients/{client_id}', { params: { path: { client_id: id } }, body }))
export const startService = async (client_id: string) => data(await api.POST('/api/services', { body: { client_id } }))
export const writeConsultation = async (id: string, body: Schemas['ConsultationIn']) =>
  data(await api.PUT('/api/services/{service_id}/consultation', { ...path(id), body }))
export const previewPlan = async (id: string, body: Schemas['PlanIn']) =>
  data(await api.POST('/api/services/{service_id}/plan/preview', { ...path(id), body }))
export const writePlan = async (id: string, body: Schemas['PlanIn']) =>
  data(await api.PUT('/api/services/{service_id}/plan', { ...path(id), body }))
export const compareAims = async (id: string, body: Schemas['PlanIn']) =>
  data(await api.POST('/api/services/{service_id}/plan/aims', { ...path(id), body }))
export const keepVersion = async (id: string, body: Schemas['VersionIn']) =>
  data(await api.POST('/api/services/{service_id}/plan/versions', { ...path(id), body }))
export const readFile = async (id: string) => data(await api.GET('/api/services/{service_id}/file', path(id)))
export const importFile = async (document: Record<string, unknown>) =>
  data(await api.POST('/api/services/import', { body: { document } }))
export const readStrandCsv = async (id: string) =>
  data(await api.GET('/api/services/{service_id}/strands/csv', path(id)))
export const writeStrandCsv = async (id: string, revision: number, text: string) =>
  data(await api.POST('/api/services/{service_id}/strands/csv', { ...path(id), body: { revision, text } }))
export const checkMix = async (body: Schemas['MixIn']) => data(await api.POST('/api/mix', { body }))
export const readScale = async (wanted_g: number, seed: number) =>
  data(await api.GET('/api/scale', { params: { query: { wanted_g, seed } } }))
export const takePlan = async (id: string) =>
  data(await api.POST('/api/services/{service_id}/plan/take', { ...path(id), body: { event_id: crypto.randomUUID() } }))

/** Sends an act of this device to the log; its id was made here, so a repeated send is taken once. */
export const send = async (act: WaitingAct) =>
  data(
    await api.POST('/api/services/{service_id}/events', {
      ...path(act.service_id),
      body: {
        event_id: act.event_id,
        kind: act.kind,
        occurred_at: act.occurred_at,
        data: act.data,
        device: deviceId(),
        seen: act.seen,
      } as EventIn, // kind and data were made as one in `act`

      signal: AbortSignal.timeout(SEND_MS),
    }),
  )

/** What the colour reader measures on a lane. */
export const measure = async (id: string, key: string) =>
  data(
    await api.POST('/api/services/{service_id}/lanes/{key}/measure', {
      params: { path: { service_id: id, key } },
    }),
  )

export async function tryFormula(id: string, body: Schemas['FormulaIn']): Promise<Schemas['Tried']> {
  return data(await api.POST('/api/services/{service_id}/tone/try', { ...path(id), body }))
}

/** Puts something on the studio's order list, or takes it off; the list as it then is. */
export const wantToOrder = async (what: string, is_wanted = true) =>
  data(await api.PUT('/api/orders', { body: { what, is_wanted } }))

export const readDemo = async () => data(await api.GET('/api/demo'))
export const wakeDemo = async () => data(await api.POST('/api/demo/wake'))
export const readShorthand = async (text: string, zones: Schemas['OwnZoneIn'][]) =>
  data(await api.POST('/api/shorthand', { body: { text, zones } }))
