import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiError } from '../api/client'
import * as page from '../api/client'
import { send } from '../api/queries'
import { run } from '../testing'
import { useActs } from './acts'
import { useNotices } from './notices'
import { useOutbox } from './outbox'

vi.mock('../api/queries', () => ({ send: vi.fn() }))
const sent = vi.mocked(send)
const board = (undo: string | null, position = 7) =>
  ({ undo: undo ? { event_id: undo, text: 'Crown: rinsed' } : null, position }) as never
const problem = (status: number, detail = 'Rinsed already.') =>
  new ApiError({ title: '', status, code: 'x', detail } as never)

const signedIn = (name = 'Ada') => {
  const { result, client } = run(() => {
    const outbox = useOutbox()
    outbox.signIn(name)
    return { acts: useActs('s1'), outbox, notices: useNotices() }
  })
  return { ...result, client }
}
const kept = () => JSON.parse(localStorage.getItem('fervens.outbox') ?? '[]') as { kind: string }[]

describe('acts', () => {
  beforeEach(() => {
    sent.mockReset()
    localStorage.clear()
    vi.useRealTimers()
  })

  it('keeps the board the server answers with and offers to take the act back', async () => {
    sent.mockResolvedValueOnce(board('e1')).mockResolvedValueOnce(board(null))
    const { acts, client, notices } = signedIn()
    client.setQueryData(['board', 's1'], { position: 5 })
    expect(await acts.act('Rinsed', { zone_key: 'crown' }, 'Crown rinsed.')).toBe(true)
    expect(sent.mock.calls[0]![0]).toMatchObject({ kind: 'Rinsed', service_id: 's1', member: 'Ada', seen: 5 })
    expect(client.getQueryData(['board', 's1'])).toEqual(board('e1'))
    expect(notices.list[0]?.text).toBe('Crown rinsed.')
    notices.list[0]?.undo?.()
    await flushPromises()
    expect(sent.mock.calls[1]![0]).toMatchObject({ kind: 'EventVoided', data: { event_id: 'e1' } })
    expect(notices.list.at(-1)?.text).toBe('Taken back: Crown: rinsed')
    expect(kept()).toEqual([])
  })

  it('keeps an act that a newer server does not understand until the page is loaded anew', async () => {
    const outdated = vi.spyOn(page, 'isOutdated').mockReturnValue(true)
    sent.mockRejectedValue(problem(422, 'level: must be a field that is known here.'))
    const { acts, outbox } = signedIn()
    await acts.act('Rinsed', { zone_key: 'crown' })
    await flushPromises()
    expect(kept().map((e) => e.kind)).toEqual(['Rinsed'])
    expect(outbox.returned).toEqual([])
    outdated.mockReturnValue(false) // loaded anew
    sent.mockReset().mockResolvedValue(board(null))
    await outbox.flush()
    expect(kept()).toEqual([])
  })

  it('sends acts one after another and drops none', async () => {
    const order: string[] = []
    sent.mockImplementation(async ({ kind }) => {
      order.push(`${kind} sent`)
      await new Promise((done) => setTimeout(done, kind === 'ReviewFinished' ? 15 : 1))
      order.push(`${kind} kept`)
      return board(null)
    })
    const { acts } = signedIn()
    await Promise.all([acts.act('ReviewFinished', {}), acts.act('ConsultationFinished', {})])
    expect(order).toEqual([
      'ReviewFinished sent',
      'ReviewFinished kept',
      'ConsultationFinished sent',
      'ConsultationFinished kept',
    ])
  })

  it('says what went wrong and goes on with the next', async () => {
    sent.mockRejectedValueOnce(problem(409)).mockResolvedValueOnce(board(null))
    const { acts, notices, outbox } = signedIn()
    expect(await acts.act('Rinsed', { zone_key: 'top' })).toBe(false)
    expect(notices.list[0]).toMatchObject({ text: 'Rinsed already.', isError: true })
    expect(outbox.returned).toEqual([])
    expect(await acts.act('Rinsed', { zone_key: 'top' })).toBe(true)
    expect(acts.isBusy.value).toBe(false)
  })

  it('keeps acts without a line, in order, through a reload, and sends each once when it is back', async () => {
    sent.mockRejectedValue(problem(0))
    const first = signedIn()
    expect(await first.acts.act('ApplicationStarted', { zone_key: 'top', volume_strength: 20 }, 'Top: on.')).toBe(true)
    expect(await first.acts.act('ApplicationFinished', { zone_key: 'top' })).toBe(true)
    expect(first.notices.list.at(-1)?.text).toContain('Kept here')
    expect(kept().map((e) => e.kind)).toEqual(['ApplicationStarted', 'ApplicationFinished'])

    const again = signedIn() // the page was closed and opened
    expect(again.outbox.count).toBe(2)
    await flushPromises()
    sent.mockReset()
    sent.mockResolvedValue(board(null))
    await again.outbox.flush()
    expect(sent.mock.calls.map(([e]) => e.kind)).toEqual(['ApplicationStarted', 'ApplicationFinished'])
    expect(again.outbox.count).toBe(0)
    await again.outbox.flush()
    expect(sent).toHaveBeenCalledTimes(2)
  })

  it('takes back an act that never left by dropping it', async () => {
    sent.mockRejectedValue(problem(503))
    const { acts, outbox, notices } = signedIn()
    await acts.act('Rinsed', { zone_key: 'top' }, 'Top rinsed.')
    notices.list.at(-1)?.undo?.()
    await flushPromises()
    expect(outbox.count).toBe(0)
    expect(kept()).toEqual([])
  })

  it('gives back what is refused later, with the reason, and goes on with the rest', async () => {
    sent.mockRejectedValue(problem(0))
    const { acts } = signedIn()
    await acts.act('Rinsed', { zone_key: 'top' }, 'Top rinsed.')
    await acts.act('ReadingTaken', { zone_key: 'back', level: 7, mode: 'wiped' })
    const { outbox } = signedIn()
    await flushPromises()
    sent.mockReset()
    sent.mockRejectedValueOnce(problem(409, 'Filed.')).mockResolvedValueOnce(board(null))
    await outbox.flush()
    expect(outbox.count).toBe(0)
    expect(outbox.returned).toMatchObject([{ text: 'Top rinsed.', reason: 'Filed.' }])
    outbox.dismiss(outbox.returned[0]!.event_id)
    expect(outbox.returned).toEqual([])
  })

  it('sets an act aside that the server fails on for good, so that those behind it go out', async () => {
    vi.useFakeTimers()
    sent.mockImplementation((act) =>
      act.kind === 'Rinsed' ? Promise.reject(problem(500, 'The server failed.')) : Promise.resolve(board(null)),
    )
    const { acts, outbox } = signedIn()
    await acts.act('Rinsed', { zone_key: 'top' }, 'Top rinsed.')
    await acts.act('ReadingTaken', { zone_key: 'back', level: 7, mode: 'wiped' })
    await vi.advanceTimersByTimeAsync(20_000)
    expect(outbox.returned).toMatchObject([{ text: 'Top rinsed.', reason: 'The server failed.' }])
    expect(kept()).toEqual([])
  })

  it("does not send another member's acts", async () => {
    sent.mockRejectedValue(problem(0))
    const { acts } = signedIn('Ada')
    await acts.act('Rinsed', { zone_key: 'top' })
    sent.mockReset()
    const { outbox } = signedIn('Ben')
    await outbox.flush()
    expect(sent).not.toHaveBeenCalled()
    expect(outbox.others).toHaveLength(1)
  })
})
