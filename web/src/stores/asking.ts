import { reactive } from 'vue'
import { ApiError } from '../api/client'
import { $t } from '../lib/i18n'

/** A form that is being sent: whether, what went wrong, and with which field. */
export const useAsking = () => {
  const asking = reactive({ isBusy: false, problem: '', field: '', code: '' })
  const ask = async <T>(does: () => Promise<T>): Promise<T | undefined> => {
    Object.assign(asking, { isBusy: true, problem: '', field: '', code: '' })
    try {
      return await does()
    } catch (error) {
      const told = error instanceof ApiError ? error.problem : null
      asking.problem = told?.detail ?? $t('asking.thatFailedHereWhatYou')
      asking.field = told?.field ?? ''
      asking.code = told?.code ?? ''
      return undefined
    } finally {
      asking.isBusy = false
    }
  }
  return { asking, ask }
}
