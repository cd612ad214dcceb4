import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { undoable } from '../api/waiting'
import type { Schemas } from '../api/client'
import type { EventData, EventKind } from '../api/events'
import { useClock } from './clock'
import { useNotices } from './notices'
import { useOutbox } from './outbox'

const AT_THE_CHAIR = ['chair', 'review', 'tone']

/** Acts on one service: each is an event with its own time; the latest can be undone in place. */
export function useActs(serviceId: string) {
  const client = useQueryClient()
  const clock = useClock()
  const notices = useNotices()
  const outbox = useOutbox()
  const isBusy = ref(false)

  const refresh = async (keys = ['service', 'plan', 'review', 'tone', 'record', 'log', 'round']) => {
    await Promise.all(keys.map((key) => client.invalidateQueries({ queryKey: [key, serviceId] })))
    void client.invalidateQueries({ queryKey: ['day'] })
  }

  /** True when it was sent or waits on this device; false when it was refused, which is then said. */
  const act = async <K extends EventKind>(kind: K, values: EventData<K>, said?: string): Promise<boolean> => {
    isBusy.value = true
    const event_id = crypto.randomUUID()
    const known = client.getQueryData<Schemas['BoardOut']>(['board', serviceId])
    try {
      const sent = await outbox.add({
        event_id,
        service_id: serviceId,
        kind,
        occurred_at: clock.moment().toISOString(),
        data: values,
        seen: known?.position ?? null,
        text: said ?? kind,
      })
      if (sent.how === 'refused') {
        notices.fail(sent.error)
        void client.invalidateQueries({ queryKey: ['board', serviceId] })
        return false
      }
      if (sent.how === 'waits') {
        const undo = () => void undoOf({ event_id, text: said ?? kind })
        notices.say(`${said ? `${said} ` : ''}Kept here; it goes out when the line is back.`, undo)
        return true
      }
      const undone = sent.board.undo
      if (said) notices.say(said, undone ? () => void undoOf(undone) : undefined)
      const before = client.getQueryData<Schemas['ServiceOut']>(['service', serviceId])
      const isSameStep = before?.step === sent.board.step && AT_THE_CHAIR.includes(sent.board.step)
      void refresh(isSameStep ? ['review', 'tone', 'record', 'log', 'round'] : undefined)
      return true
    } finally {
      isBusy.value = false
    }
  }

  const undoOf = async (what: Schemas['UndoOut']) => {
    if (await act('EventVoided', { event_id: what.event_id })) notices.say(`Taken back: ${what.text}`)
  }

  /** What Undo takes back now: an act still on its way comes before what the board knows. */
  const undoNow = (ofBoard: Schemas['UndoOut'] | null | undefined) => undoable(outbox.of(serviceId), ofBoard)

  return { act, undo: undoOf, undoNow, isBusy, refresh }
}
