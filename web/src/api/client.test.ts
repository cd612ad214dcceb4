import { describe, expect, it } from 'vitest'
import { ApiError, isWorthAsking } from './client'

const answered = (status: number) => new ApiError({ title: '', status, code: 'x', detail: '' })

describe('a question that failed', () => {
  it('is asked again while the server is away or has its hands full', () => {
    expect([0, 502, 503, 504].map((s) => isWorthAsking(answered(s)))).toEqual([true, true, true, true])
    expect(isWorthAsking(new TypeError('the answer was cut off'))).toBe(true)
  })
  it('is not asked again when it was refused', () => {
    expect([400, 401, 403, 404, 409, 422, 429, 500].map((s) => isWorthAsking(answered(s)))).toEqual(
      Array(8).fill(false),
    )
  })
})
