import { queryOptions } from '@tanstack/vue-query'
import { api, data, type Schemas } from './client'

/** One's own account, invitations, resets. */
export const accounts = {
  own: () => queryOptions({ queryKey: ['account'], queryFn: async () => data(await api.GET('/api/account')) }),
  invitations: () =>
    queryOptions({ queryKey: ['invitations'], queryFn: async () => data(await api.GET('/api/invitations')) }),
  invitation: (secret: string) =>
    queryOptions({
      queryKey: ['invitation', secret],
      queryFn: async () => data(await api.GET('/api/invitation/{secret}', { params: { path: { secret } } })),
      retry: false,
    }),
  reset: (uid: string, token: string) =>
    queryOptions({
      queryKey: ['reset', uid, token],
      queryFn: async () => data(await api.GET('/api/reset/{uid}/{token}', { params: { path: { uid, token } } })),
      retry: false,
    }),
}
export const changeAccount = async (body: Schemas['AccountIn']) => data(await api.PATCH('/api/account', { body }))
export const changePassword = async (body: Schemas['PasswordIn']) =>
  data(await api.POST('/api/account/password', { body }))
export const writeLanguage = async (language: string) =>
  data(await api.PUT('/api/account/language', { body: { language } }))
export const signOutEverywhere = async () => data(await api.POST('/api/account/sign-out-everywhere'))
export const sayHere = async () => data(await api.POST('/api/account/here'))
export const setUpFactor = async (old_password: string) =>
  data(await api.POST('/api/account/second-factor', { body: { old_password } }))
export const confirmFactor = async (code: string) =>
  data(await api.PUT('/api/account/second-factor', { body: { code } }))
export const switchFactorOff = async (old_password: string) =>
  data(await api.DELETE('/api/account/second-factor', { body: { old_password } }))
export const newRecoveryCodes = async (old_password: string) =>
  data(await api.POST('/api/account/recovery-codes', { body: { old_password } }))
export const invite = async (body: Schemas['InvitationIn']) => data(await api.POST('/api/invitations', { body }))
export const takeInvitationBack = async (invitation_id: string) =>
  data(await api.DELETE('/api/invitations/{invitation_id}', { params: { path: { invitation_id } } }))
export const takeUp = async (secret: string, body: Schemas['TakeUpIn']) =>
  data(await api.POST('/api/invitation/{secret}', { params: { path: { secret } }, body }))
export const makeReset = async (member_id: number) =>
  data(await api.POST('/api/members/{member_id}/reset', { params: { path: { member_id } } }))
export const askReset = async (email: string) => data(await api.POST('/api/reset', { body: { email } }))
export const reset = async (uid: string, token: string, password: string) =>
  data(await api.POST('/api/reset/{uid}/{token}', { params: { path: { uid, token } }, body: { password } }))
