import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import type { Schemas } from '../api/client'
import { record } from '../api/queries'
import { useClock } from './clock'
import { useNotices } from './notices'

/** Acts on one service: each is an event with its own time; the latest can be undone in place. */
export function useActs(serviceId: string) {
  const client = useQueryClient()
  const clock = useClock()
  const notices = useNotices()
  const isBusy = ref(false)

  const refresh = async () => {
    await Promise.all(
      ['service', 'plan', 'tone', 'record'].map((key) => client.invalidateQueries({ queryKey: [key, serviceId] })),
    )
    void client.invalidateQueries({ queryKey: ['day'] })
  }

  let queue: Promise<unknown> = Promise.resolve()

  const send = async (kind: string, values: Record<string, unknown>, said?: string): Promise<boolean> => {
    isBusy.value = true
    try {
      const board: Schemas['BoardOut'] = await record(serviceId, kind, clock.moment(), values)
      await client.cancelQueries({ queryKey: ['board', serviceId] }) // an older answer must not overwrite this one
      client.setQueryData(['board', serviceId], board)
      const undone = board.undo
      if (said) notices.say(said, undone ? () => void undo(undone) : undefined)
      void refresh()
      return true
    } catch (error) {
      notices.fail(error)
      void client.invalidateQueries({ queryKey: ['board', serviceId] })
      return false
    } finally {
      isBusy.value = false
    }
  }
  /** Acts go to the log one after another, in the order of the hand; none is dropped. */
  const act = (kind: string, values: Record<string, unknown> = {}, said?: string): Promise<boolean> => {
    const done = queue.then(() => send(kind, values, said))
    queue = done
    return done
  }

  const undo = async (what: Schemas['UndoOut']) => {
    if (await act('EventVoided', { event_id: what.event_id })) notices.say(`Taken back: ${what.text}`)
  }

  return { act, undo, isBusy, refresh }
}
