import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { ApiError } from '../api/client'
import { record } from '../api/queries'
import { useActs } from './acts'
import { useNotices } from './notices'

vi.mock('../api/queries', () => ({ record: vi.fn() }))
const send = vi.mocked(record)
const board = (undo: string | null) => ({ undo: undo ? { event_id: undo, text: 'Crown: rinsed' } : null }) as never

const mounted = () => {
  const client = new QueryClient()
  let acts!: ReturnType<typeof useActs>
  const pinia = createPinia()
  setActivePinia(pinia)
  const Host = defineComponent({
    setup() {
      acts = useActs('s1')
      return () => h('div')
    },
  })
  mount(Host, { global: { plugins: [pinia, [VueQueryPlugin, { queryClient: client }]] } })
  return { acts, client, notices: useNotices() }
}

describe('acts', () => {
  beforeEach(() => send.mockReset())

  it('keeps the board the server answers with and offers to take the act back', async () => {
    send.mockResolvedValueOnce(board('e1')).mockResolvedValueOnce(board(null))
    const { acts, client, notices } = mounted()
    expect(await acts.act('Rinsed', { zone_key: 'crown' }, 'Crown rinsed.')).toBe(true)
    expect(client.getQueryData(['board', 's1'])).toEqual(board('e1'))
    expect(notices.list[0]?.text).toBe('Crown rinsed.')
    notices.list[0]?.undo?.()
    await flushPromises()
    expect(send).toHaveBeenLastCalledWith('s1', 'EventVoided', expect.any(Date), { event_id: 'e1' })
    expect(notices.list.at(-1)?.text).toBe('Taken back: Crown: rinsed')
  })

  it('sends acts one after another and drops none', async () => {
    const order: string[] = []
    send.mockImplementation(async (_id, kind) => {
      order.push(`${kind} sent`)
      await new Promise((done) => setTimeout(done, kind === 'First' ? 15 : 1))
      order.push(`${kind} kept`)
      return board(null)
    })
    const { acts } = mounted()
    await Promise.all([acts.act('First'), acts.act('Second')])
    expect(order).toEqual(['First sent', 'First kept', 'Second sent', 'Second kept'])
  })

  it('says what went wrong and goes on with the next', async () => {
    const problem = { title: 'Does not fit', status: 409, code: 'already_rinsed', detail: 'Rinsed already.' }
    send.mockRejectedValueOnce(new ApiError(problem as never)).mockResolvedValueOnce(board(null))
    const { acts, notices } = mounted()
    expect(await acts.act('Rinsed')).toBe(false)
    expect(notices.list[0]).toMatchObject({ text: 'Rinsed already.', isError: true })
    expect(await acts.act('Rinsed')).toBe(true)
    expect(acts.isBusy.value).toBe(false)
  })
})
