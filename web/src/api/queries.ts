import { queryOptions } from '@tanstack/vue-query'
import { type Ref, unref } from 'vue'
import { api, data, type Schemas } from './client'

/** Query factories: the only place where server state is named and fetched. */
const path = (id: string) => ({ params: { path: { service_id: id } } })

export const queries = {
  session: () => queryOptions({ queryKey: ['session'], queryFn: async () => data(await api.GET('/api/session')) }),
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
      refetchInterval: 8_000,
    }),
  tone: (id: string) =>
    queryOptions({
      queryKey: ['tone', id],
      queryFn: async () => data(await api.GET('/api/services/{service_id}/tone', path(id))),
      refetchInterval: 15_000,
    }),
  record: (id: string) =>
    queryOptions({
      queryKey: ['record', id],
      queryFn: async () => data(await api.GET('/api/services/{service_id}/record', path(id))),
    }),
}

export const signIn = async (username: string, password: string) =>
  data(await api.POST('/api/session', { body: { username, password } }))
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

/** Adds an event to the log; the id is made here, so a repeated send is taken once. */
export const record = async (id: string, kind: string, occurredAt: Date, values: Record<string, unknown> = {}) => {
  const body = { event_id: crypto.randomUUID() as string, kind, occurred_at: occurredAt.toISOString(), data: values }
  const send = async () => data(await api.POST('/api/services/{service_id}/events', { ...path(id), body }))
  try {
    return await send()
  } catch (error) {
    if (error instanceof Error && 'problem' in error && (error.problem as { status: number }).status === 0)
      return send()
    throw error
  }
}
