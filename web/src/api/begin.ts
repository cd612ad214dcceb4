import { queryOptions } from '@tanstack/vue-query'
import { api, data, type Schemas } from './client'

/** The first visit of a new server, and the first steps of a new studio. */
export const begins = {
  isOpen: () =>
    queryOptions({ queryKey: ['begin'], queryFn: async () => data(await api.GET('/api/begin')), retry: false }),
  steps: () =>
    queryOptions({ queryKey: ['begin-steps'], queryFn: async () => data(await api.GET('/api/begin/steps')) }),
}
export const begin = async (body: Schemas['BeginIn']) => data(await api.POST('/api/begin', { body }))
