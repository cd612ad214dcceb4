import { beforeEach, describe, expect, it, vi } from 'vitest'
import { deviceId } from '../lib/kept'
import { run } from '../testing'
import { useLine } from './line'

vi.mock('../api/queries', () => ({ send: vi.fn() }))

class FakeSource {
  static readonly CLOSED = 2
  static opened: FakeSource[] = []
  readyState = 1
  onerror: (() => void) | null = null
  private heard = new Map<string, (e: unknown) => void>()
  constructor(readonly url: string) {
    FakeSource.opened.push(this)
  }
  addEventListener(name: string, does: (e: unknown) => void) {
    this.heard.set(name, does)
  }
  tell(name: string, data: object = {}) {
    this.heard.get(name)?.({ data: JSON.stringify({ server_now: new Date().toISOString(), is_live: true, ...data }) })
  }
  close() {
    this.readyState = 2
  }
}
const opened = () => {
  const { result, client } = run(() => useLine())
  const asked: unknown[] = []
  client.invalidateQueries = ((f?: { queryKey?: unknown }) => {
    asked.push(f?.queryKey ?? 'all')
    return Promise.resolve()
  }) as never
  result.open()
  return { line: result, client, asked, source: () => FakeSource.opened.at(-1)! }
}

describe('the line', () => {
  beforeEach(() => {
    FakeSource.opened = []
    vi.stubGlobal('EventSource', FakeSource)
    vi.useFakeTimers()
    localStorage.clear()
  })

  it('takes a board anew when another device changed it, and not when it has that already', () => {
    const { client, asked, source } = opened()
    source().tell('hello')
    client.setQueryData(['board', 's1'], { position: 5 })
    source().tell('changed', { what: 'ReadingTaken', service: 's1', position: 5 })
    expect(asked).not.toContainEqual(['board', 's1'])
    source().tell('changed', { what: 'ReadingTaken', service: 's1', position: 6 })
    expect(asked).toContainEqual(['board', 's1'])
    expect(asked).toContainEqual(['log', 's1'])
    expect(asked).not.toContainEqual(['service', 's1'])
    asked.length = 0
    source().tell('changed', { what: 'PlanTaken', service: 's1', position: 7, device: deviceId() })
    expect(asked).toEqual([]) // its own act: the answer said it all
    source().tell('changed', { what: 'PlanTaken', service: 's1', position: 7 })
    expect(asked).toContainEqual(['service', 's1'])
  })

  it('shows the board that comes with the news of a followed service, and never an older one', () => {
    const { client, asked, source } = opened()
    source().tell('hello')
    const shown = () => client.getQueryData<{ position: number }>(['board', 's1'])?.position
    client.setQueryData(['board', 's1'], { position: 5 })
    source().tell('changed', { what: 'ReadingTaken', service: 's1', position: 6, board: { position: 6 } })
    expect(shown()).toBe(6)
    source().tell('changed', { what: 'ReadingTaken', service: 's1', position: 5, board: { position: 5 } })
    expect(shown()).toBe(6)
    expect(asked).not.toContainEqual(['board', 's1'])
    expect(asked).toContainEqual(['log', 's1'])
  })

  it('says when it is behind, and takes everything anew when the database is back', () => {
    const { line, asked, source } = opened()
    source().tell('hello')
    expect(line.state).toBe('live')
    source().tell('changed', { what: 'behind' })
    expect(line.state).toBe('behind')
    source().tell('changed', { what: 'resync' })
    expect(line.state).toBe('live')
    expect(asked).toContain('all')
  })

  it('knows a silent line for lost and opens another; back again it takes everything anew', () => {
    const { line, asked, source } = opened()
    source().tell('hello')
    vi.advanceTimersByTime(19_000)
    source().tell('ping')
    vi.advanceTimersByTime(19_000)
    expect(line.state).toBe('live')
    vi.advanceTimersByTime(2_000)
    expect(line.state).toBe('lost')
    expect(FakeSource.opened).toHaveLength(2)
    expect(asked).not.toContain('all')
    source().tell('hello')
    expect(line.state).toBe('live')
    expect(asked).toContain('all')
  })

  it('follows one service, and all again', () => {
    const { line, source } = opened()
    expect(source().url).toBe('/api/stream')
    line.follow('s1')
    line.follow('s1')
    const followed = `/api/stream?service=s1&device=${deviceId()}`
    expect(FakeSource.opened.map((s) => s.url)).toEqual(['/api/stream', followed])
    line.follow(null)
    expect(source().url).toBe('/api/stream')
  })

  it('keeps the line before until the new one stands, so that nothing is missed between, and takes nothing anew', () => {
    const { line, client, asked, source } = opened()
    const first = source()
    first.tell('hello')
    client.setQueryData(['board', 's1'], { position: 5 })
    line.follow('s1')
    const second = source()
    line.follow('s2') // she went on before it stood
    expect([first.readyState, second.readyState]).toEqual([1, 2])
    first.tell('changed', { what: 'Rinsed', service: 's1', position: 6 })
    expect(asked).toContainEqual(['board', 's1'])
    asked.length = 0
    source().tell('hello', { position: 9 })
    expect(first.readyState).toBe(2)
    expect(line.state).toBe('live')
    expect(asked).toEqual([])
    line.close()
    expect(source().readyState).toBe(2)
  })

  it('takes a board that was fetched before the line stood, if something came between', () => {
    const { line, client, asked, source } = opened()
    source().tell('hello')
    client.setQueryData(['board', 's1'], { position: 5 })
    line.follow('s1')
    source().tell('hello', { position: 5 })
    expect(asked).toEqual([])
    line.follow(null)
    line.follow('s1')
    source().tell('hello', { position: 6 })
    expect(asked).toEqual([['board', 's1']])
  })

  it('opens again by itself when the server refused it, and asks who is in when the session ended', () => {
    const { line, asked, source } = opened()
    source().close()
    source().onerror?.()
    expect(line.state).toBe('lost')
    vi.advanceTimersByTime(1_600)
    expect(FakeSource.opened).toHaveLength(2)
    source().tell('hello')
    source().tell('ended')
    expect(asked).toContainEqual(['session'])
    expect(source().readyState).toBe(2)
  })
})
