import { queryOptions } from '@tanstack/vue-query'
import { api, data, type Schemas } from './client'

/** The first visit of a new server, and the first steps of a new studio. */
export const begins = {
  isOpen: (token: string) =>
    queryOptions({
      queryKey: ['begin', token],
      queryFn: async () => data(await api.GET('/api/begin', { params: { query: { token } } })),
      retry: false,
    }),
  steps: () =>
    queryOptions({ queryKey: ['begin-steps'], queryFn: async () => data(await api.GET('/api/begin/steps')) }),
}
export const begin = async (body: Schemas['BeginIn']) => data(await api.POST('/api/begin', { body }))
