import createClient, { type Middleware } from 'openapi-fetch'
import type { components, paths } from './schema'
import { $t } from '../lib/i18n'
import { cookie } from '../lib/kept'

export type Schemas = components['schemas']
export type Problem = Schemas['Problem']

/** A problem+json answer, or no answer at all. */
export class ApiError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
  }
}

/** A server that is away, starts anew or has its hands full answers so. */
const PASSING = new Set([0, 502, 503, 504])
/** Whether the same question may be answered in a moment: what was refused for a reason stays refused. */
export const isWorthAsking = (error: unknown) => !(error instanceof ApiError) || PASSING.has(error.problem.status)

/** The build of this page, and of the one its server has by now. */
export const ownBuild = () => document.querySelector('meta[name="fervens-build"]')?.getAttribute('content') ?? ''
let serversBuild = ''
/** Whether the server has a newer page than this one: then it may refuse what this page says. */
export const isOutdated = () => serversBuild !== '' && ownBuild() !== '' && serversBuild !== ownBuild()
export const OUTDATED = 'fervens-outdated'

const middleware: Middleware = {
  onResponse({ response }) {
    const told = response.headers.get('X-Fervens-Build') ?? ''
    if (told && told !== serversBuild) {
      serversBuild = told
      if (isOutdated()) window.dispatchEvent(new Event(OUTDATED))
    }
    return response
  },
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-CSRFToken', cookie('csrftoken'))
    return request
  },
  onError() {
    return new ApiError({
      title: $t('common.noAnswer'),
      status: 0,
      code: 'no_connection',
      detail: $t('client.theServerCannotBeReached'),
    })
  },
}

export const api = createClient<paths>({ baseUrl: '/', credentials: 'same-origin' })
api.use(middleware)

interface Answer<T> {
  data?: T
  error?: unknown
  response: Response
}

/** The data of an answer; throws ApiError for a problem. */
export function data<T>(answer: Answer<T>): T {
  if (answer.data !== undefined && answer.response.ok) return answer.data
  const found = answer.error as Partial<Problem> | undefined
  throw new ApiError({
    title: found?.title ?? $t('common.error'),
    status: answer.response.status,
    code: found?.code ?? 'server_error',
    detail: found?.detail ?? $t('client.theServerFailedWhatYou'),
    field: found?.field,
  })
}
