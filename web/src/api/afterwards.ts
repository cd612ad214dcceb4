import { keepPreviousData, queryOptions } from '@tanstack/vue-query'
import { type Ref, unref } from 'vue'
import { cookie } from '../lib/kept'
import { api, data, type Problem, type Schemas, ApiError } from './client'
import { $t } from '../lib/i18n'

/** What comes after the service: the card, coming back, the diary, the shelf, the studio. */
const service = (id: string) => ({ params: { path: { service_id: id } } })
const client = (id: string) => ({ params: { path: { client_id: id } } })

export const afterwards = {
  history: (id: string) =>
    queryOptions({
      queryKey: ['history', id],
      queryFn: async () => data(await api.GET('/api/clients/{client_id}/history', client(id))),
    }),
  next: (id: string) =>
    queryOptions({
      queryKey: ['next', id],
      queryFn: async () => data(await api.GET('/api/services/{service_id}/next', service(id))),
    }),
  search: (text: Ref<string>) =>
    queryOptions({
      queryKey: ['search', text],
      queryFn: async () => data(await api.GET('/api/search', { params: { query: { text: unref(text) } } })),
    }),
  week: (day: Ref<string>) =>
    queryOptions({
      queryKey: ['week', day],
      queryFn: async () => data(await api.GET('/api/week', { params: { query: { day: unref(day) } } })),
    }),
  stock: () => queryOptions({ queryKey: ['stock'], queryFn: async () => data(await api.GET('/api/stock')) }),
  learning: () => queryOptions({ queryKey: ['learning'], queryFn: async () => data(await api.GET('/api/learning')) }),
  members: () => queryOptions({ queryKey: ['members'], queryFn: async () => data(await api.GET('/api/members')) }),
  eyes: () => queryOptions({ queryKey: ['eyes'], queryFn: async () => data(await api.GET('/api/eyes')) }),
  links: () => queryOptions({ queryKey: ['links'], queryFn: async () => data(await api.GET('/api/links')) }),
  studio: () => queryOptions({ queryKey: ['studio'], queryFn: async () => data(await api.GET('/api/studio')) }),
  audit: (page: number) =>
    queryOptions({
      queryKey: ['audit', page],
      queryFn: async () => data(await api.GET('/api/audit', { params: { query: { page } } })),
      placeholderData: keepPreviousData,
    }),
  requestForm: (secret: string) =>
    queryOptions({
      queryKey: ['request', secret],
      queryFn: async () => data(await api.GET('/api/request/{secret}', { params: { path: { secret } } })),
      retry: false,
    }),
}

/** Sends a form with files; the answer's data, or ApiError. */
export async function sendForm<T>(path: string, form: FormData): Promise<T> {
  let answer: Response
  try {
    answer = await fetch(path, {
      method: 'POST',
      body: form,
      credentials: 'same-origin',
      headers: { 'X-CSRFToken': cookie('csrftoken') },
    })
  } catch {
    throw new ApiError({
      title: $t('common.noAnswer'),
      status: 0,
      code: 'no_connection',
      detail: $t('afterwards.theServerCannotBeReached'),
    })
  }
  const body = (await answer.json().catch(() => null)) as unknown
  if (answer.ok) return body as T
  const found = (body ?? {}) as Partial<Problem>
  throw new ApiError({
    title: found.title ?? $t('common.error'),
    status: answer.status,
    code: found.code ?? 'server_error',
    detail: found.detail ?? $t('afterwards.theServerRefusedTheFile'),
    field: found.field,
  })
}

export const addPhoto = async (id: string, file: File, kind: string, caption = '') => {
  const form = new FormData()
  form.set('photo', file)
  form.set('kind', kind)
  if (caption) form.set('caption', caption)
  return sendForm<Schemas['RecordOut']>(`/api/services/${id}/photos`, form)
}
export const removePhoto = async (id: string, photo_id: string) =>
  data(
    await api.DELETE('/api/services/{service_id}/photos/{photo_id}', {
      params: { path: { service_id: id, photo_id } },
    }),
  )
export const addAddendum = async (id: string, text: string) =>
  data(await api.POST('/api/services/{service_id}/addenda', { ...service(id), body: { text } }))
export const readReadings = async (id: string) =>
  data(await api.GET('/api/services/{service_id}/readings/csv', service(id)))
export const readColours = async (id: string) => data(await api.GET('/api/services/{service_id}/colours', service(id)))
export const takeColours = async (id: string, text: string) =>
  data(await api.POST('/api/services/{service_id}/colours', { ...service(id), body: { text, mode: 'dry' } }))
export const startAgain = async (id: string, body: Schemas['AgainIn']) =>
  data(await api.POST('/api/clients/{client_id}/again', { ...client(id), body }))
export const noteReminder = async (id: string, is_sent: boolean) =>
  data(await api.PUT('/api/services/{service_id}/reminder', { ...service(id), body: { is_sent } }))
export const moveVisit = async (id: string, starts_at: string) =>
  data(await api.PUT('/api/services/{service_id}/time', { ...service(id), body: { starts_at } }))
export const cancelVisit = async (id: string) => data(await api.DELETE('/api/services/{service_id}', service(id)))
export const eraseClient = async (id: string, typed_name: string) =>
  data(await api.POST('/api/clients/{client_id}/erase', { ...client(id), body: { typed_name } }))

type Kind = Schemas['ProductOut']['kind']
export const addProduct = async (kind: Kind, body: Schemas['ProductIn']) =>
  data(await api.POST('/api/stock/{kind}', { params: { path: { kind } }, body }))
export const changeProduct = async (kind: Kind, key: string, body: Schemas['ProductIn']) =>
  data(await api.PATCH('/api/stock/{kind}/{key}', { params: { path: { kind, key } }, body }))
export const removeProduct = async (kind: Kind, key: string) =>
  data(await api.DELETE('/api/stock/{kind}/{key}', { params: { path: { kind, key } } }))
export const carryLearnt = async (key: string) =>
  data(await api.POST('/api/learning/{key}/carry', { params: { path: { key } } }))
export const undoLearnt = async (key: string) =>
  data(await api.POST('/api/learning/{key}/undo', { params: { path: { key } } }))

export const changeMember = async (member_id: number, body: Schemas['MemberChange']) =>
  data(await api.PATCH('/api/members/{member_id}', { params: { path: { member_id } }, body }))
export const changeStudio = async (body: Schemas['StudioIn']) => data(await api.PATCH('/api/studio', { body }))
export const makeLink = async (kind: Schemas['LinkIn']['kind']) =>
  data(await api.POST('/api/links', { body: { kind } }))
export const takeShelfOut = async (form: 'csv' | 'file') =>
  data(await api.GET('/api/shelf/out', { params: { query: { form } } }))
export const previewShelf = async (text: string) => data(await api.POST('/api/shelf/preview', { body: { text } }))
export const bringShelfIn = async (text: string) => data(await api.POST('/api/shelf/in', { body: { text } }))
export const countAlike = async (service_id: string) =>
  data(await api.GET('/api/requests/{service_id}/alike', { params: { path: { service_id } } })).requests
export const clearRequests = async (service_id: string) =>
  data(await api.DELETE('/api/requests/{service_id}', { params: { path: { service_id } } })).requests
export const revokeLink = async (link_id: string) =>
  data(await api.DELETE('/api/links/{link_id}', { params: { path: { link_id } } }))
export const readClientsCsv = async () => data(await api.GET('/api/tables/clients'))
export const previewClients = async (text: string) =>
  data(await api.POST('/api/tables/clients/preview', { body: { text } }))
export const takeClients = async (text: string) => data(await api.POST('/api/tables/clients', { body: { text } }))
export const takeArchive = async (file: File) => {
  const form = new FormData()
  form.set('file', file)
  return sendForm<Schemas['ArchiveIn']>('/api/archive', form)
}
export const sendRequest = async (secret: string, values: Record<string, string>, photos: readonly File[]) => {
  const form = new FormData()
  for (const [name, value] of Object.entries(values)) form.set(name, value)
  for (const photo of photos) form.append('photos', photo)
  return sendForm<Schemas['RequestTaken']>(`/api/request/${encodeURIComponent(secret)}`, form)
}
