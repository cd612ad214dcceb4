import { afterEach, describe, expect, it, vi } from 'vitest'
import { addPhoto, sendRequest } from './afterwards'
import { ApiError } from './client'

const answer = (status: number, body: unknown) =>
  vi.fn(() => Promise.resolve(new Response(JSON.stringify(body), { status })))
afterEach(() => vi.unstubAllGlobals())

describe('forms with files', () => {
  it('go out with the token and every file', async () => {
    document.cookie = 'csrftoken=abc'
    const sent = answer(201, { starts_at: 'x', slot_min: 60, expected_min: null })
    vi.stubGlobal('fetch', sent)
    const files = [new File(['a'], 'a.jpg'), new File(['b'], 'b.jpg')]
    expect((await sendRequest('se/cret', { name: 'Nia' }, files)).slot_min).toBe(60)
    const [path, init] = sent.mock.calls[0] as unknown as [string, RequestInit]
    expect(path).toBe('/api/request/se%2Fcret')
    expect((init.headers as Record<string, string>)['X-CSRFToken']).toBe('abc')
    const form = init.body as FormData
    expect(form.get('name')).toBe('Nia')
    expect(form.getAll('photos')).toHaveLength(2)
  })
  it('say what was refused in the words of the server', async () => {
    vi.stubGlobal(
      'fetch',
      answer(422, {
        title: 'Out of limits',
        code: 'value_out_of_limit',
        detail: 'photo: must be a picture.',
        field: 'photo',
      }),
    )
    const failed = await addPhoto('1', new File(['x'], 'x.txt'), 'after').catch((e: unknown) => e)
    expect(failed).toBeInstanceOf(ApiError)
    expect((failed as ApiError).problem.detail).toBe('photo: must be a picture.')
  })
  it('say that nothing was sent when there is no line, or the answer is no JSON', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('down')))
    const down = (await addPhoto('1', new File([''], 'x'), 'after').catch((e: unknown) => e)) as ApiError
    expect(down.problem.code).toBe('no_connection')
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('<html>', { status: 500 })))
    const broken = (await addPhoto('1', new File([''], 'x'), 'after').catch((e: unknown) => e)) as ApiError
    expect(broken.problem.code).toBe('server_error')
  })
})
