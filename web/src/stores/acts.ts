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

  const act = async (kind: string, values: Record<string, unknown> = {}, said?: string): Promise<boolean> => {
    if (isBusy.value) return false
    isBusy.value = true
    try {
      const board: Schemas['BoardOut'] = await record(serviceId, kind, clock.moment(), values)
      client.setQueryData(['board', serviceId], board)
      if (said) {
        const undone = board.undo
        notices.say(said, undone ? () => void undo(undone) : undefined)
      }
      await refresh()
      return true
    } catch (error) {
      notices.fail(error)
      await client.invalidateQueries({ queryKey: ['board', serviceId] })
      return false
    } finally {
      isBusy.value = false
    }
  }

  const undo = async (what: Schemas['UndoOut']) => {
    await act('EventVoided', { event_id: what.event_id })
    notices.say(`Taken back: ${what.text}`)
  }

  return { act, undo, isBusy, refresh }
}
