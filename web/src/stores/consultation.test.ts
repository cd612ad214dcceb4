import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiError, type Schemas } from '../api/client'
import { writeConsultation } from '../api/queries'
import { run } from '../testing'
import { useConsultation } from './consultation'
import { useNotices } from './notices'

const fetchService = vi.fn()
vi.mock('../api/queries', () => ({
  writeConsultation: vi.fn(),
  queries: { service: (id: string) => ({ queryKey: ['service', id], queryFn: () => fetchService() }) },
}))
const write = vi.mocked(writeConsultation)
const zone = (key: string, start_level = 4) => ({
  key,
  name: key,
  start_level,
  target_level: 8,
  start_hex: '#513727',
  target_hex: '#b99360',
})
const service = (more: object = {}) =>
  ({ id: 's1', revision: 0, wish: '', tone: 'neutral', wanted_level: null, scalp: 'sound', elasticity: 'returns', salts_test: 'not_done', zones: [zone('crown')], ...more }) as unknown as Schemas['ServiceOut'] // prettier-ignore
const answer = (body: { revision: number; zones: unknown[]; wish?: string }) =>
  service({ revision: body.revision + 1, wish: body.wish, zones: (body.zones as object[]).map((z) => ({ ...z, start_hex: '#000001' })) }) // prettier-ignore

describe('the consultation being read', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    write.mockReset()
    write.mockImplementation(async (_id, body) => answer(body as never))
  })
  afterEach(() => vi.useRealTimers())

  it('keeps a moment after the last change, once', async () => {
    const { result } = run(() => useConsultation(service()))
    result.change((d) => (d.wish = 'Fair'))
    result.change((d) => (d.wish = 'Fair and cool'))
    expect(result.state.value).toBe('waiting')
    expect(write).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(400)
    expect(write).toHaveBeenCalledTimes(1)
    expect(write.mock.calls[0]![1]).toMatchObject({ wish: 'Fair and cool', revision: 0 })
    expect(result.state.value).toBe('kept')
  })

  it('counts on from the revision the server answered with', async () => {
    const { result } = run(() => useConsultation(service()))
    result.change((d) => (d.wish = 'A'))
    await result.settle()
    result.change((d) => (d.wish = 'B'))
    await result.settle()
    expect(write.mock.calls.map((c) => c[1].revision)).toEqual([0, 1])
  })

  it('takes the colours of zones from the server and nothing else', async () => {
    const { result } = run(() => useConsultation(service()))
    result.change((d) => (d.zones[0]!.start_level = 5))
    await result.settle()
    expect(result.draft.value.zones[0]).toMatchObject({ start_level: 5, start_hex: '#000001' })
  })

  it('does not overwrite what is typed while it is being kept', async () => {
    let done!: (s: Schemas['ServiceOut']) => void
    write.mockImplementationOnce(() => new Promise((resolve) => (done = resolve)))
    const { result } = run(() => useConsultation(service()))
    result.change((d) => (d.wish = 'first'))
    await vi.advanceTimersByTimeAsync(400)
    result.change((d) => (d.wish = 'second'))
    done(answer({ revision: 0, zones: [], wish: 'first' }))
    await flushPromises()
    expect(result.draft.value.wish).toBe('second')
    await vi.advanceTimersByTimeAsync(400)
    expect(write.mock.calls[1]![1]).toMatchObject({ wish: 'second', revision: 1 })
  })

  it('keeps what is typed during a slow keeping in one go, not change by change', async () => {
    let done!: (s: Schemas['ServiceOut']) => void
    write.mockImplementationOnce(() => new Promise((resolve) => (done = resolve)))
    const { result } = run(() => useConsultation(service()))
    for (const wish of ['first', 'second', 'third', 'fourth']) {
      result.change((d) => (d.wish = wish))
      await vi.advanceTimersByTimeAsync(400)
    }
    expect(write).toHaveBeenCalledTimes(1)
    done(answer({ revision: 0, zones: [], wish: 'first' }))
    await flushPromises()
    expect(write).toHaveBeenCalledTimes(2)
    expect(write.mock.calls[1]![1]).toMatchObject({ wish: 'fourth', revision: 1 })
    expect(result.state.value).toBe('kept')
  })

  it('undoes and redoes, and forgets the redone when something new is written', () => {
    const { result } = run(() => useConsultation(service()))
    result.change((d) => (d.wish = 'A'))
    result.change((d) => d.zones.push(zone('top') as never))
    result.undo()
    expect(result.draft.value.zones.map((z) => z.key)).toEqual(['crown'])
    expect(result.canRedo.value).toBe(true)
    result.redo()
    expect(result.draft.value.zones).toHaveLength(2)
    result.undo()
    result.change((d) => (d.wish = 'B'))
    expect(result.canRedo.value).toBe(false)
    result.undo()
    result.undo()
    expect(result.draft.value.wish).toBe('')
    expect(result.canUndo.value).toBe(false)
  })

  it('says so when it could not be kept, and keeps it with the next change', async () => {
    write.mockRejectedValueOnce(
      new ApiError({ title: '', status: 0, code: 'no_connection', detail: 'No answer.' } as never),
    )
    const { result } = run(() => useConsultation(service()))
    result.change((d) => (d.wish = 'A'))
    await result.settle()
    expect(result.state.value).toBe('failed')
    expect(result.draft.value.wish).toBe('A')
    expect(useNotices().list.at(-1)).toMatchObject({ text: 'No answer.', isError: true })
    result.change((d) => (d.tone = 'cool'))
    await result.settle()
    expect(write.mock.calls[1]![1]).toMatchObject({ wish: 'A', tone: 'cool' })
    expect(result.state.value).toBe('kept')
  })

  it('shows the version of someone who was faster', async () => {
    write.mockRejectedValueOnce(
      new ApiError({ title: '', status: 409, code: 'changed_elsewhere', detail: 'Changed.' } as never),
    )
    fetchService.mockResolvedValue(service({ revision: 7, wish: 'Theirs' }))
    const { result } = run(() => useConsultation(service()))
    result.change((d) => (d.wish = 'Mine'))
    await result.settle()
    expect(result.draft.value.wish).toBe('Theirs')
    result.change((d) => (d.wish = 'Both'))
    await result.settle()
    expect(write.mock.calls[1]![1].revision).toBe(7)
  })
})
