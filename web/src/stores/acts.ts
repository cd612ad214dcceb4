import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { undoable } from '../api/waiting'
import type { Schemas } from '../api/client'
import type { EventData, EventKind, Read } from '../api/events'
import { levelText } from '../lib/time'
import { router } from '../router'
import { useClock } from './clock'
import { type Fix, useNotices } from './notices'
import { useOutbox } from './outbox'
import { $t } from '../lib/i18n'

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
  const act = async <K extends EventKind>(
    kind: K,
    values: EventData<K>,
    said?: string,
    more: { occurredAt?: string; fixes?: (event_id: string, occurredAt: string) => Fix[] } = {},
  ): Promise<boolean> => {
    isBusy.value = true
    const event_id = crypto.randomUUID()
    const occurred_at = more.occurredAt ?? clock.moment().toISOString()
    const fixes = more.fixes?.(event_id, occurred_at)
    const known = client.getQueryData<Schemas['BoardOut']>(['board', serviceId])
    try {
      const sent = await outbox.add({
        event_id,
        service_id: serviceId,
        kind,
        occurred_at,
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
        notices.say($t('acts.keptHereItGoesOut', { what: said ? `${said} ` : '' }), undo, fixes)
        return true
      }
      const undone = sent.board.undo
      if (said) notices.say(said, undone ? () => void undoOf(undone) : undefined, fixes)
      const before = client.getQueryData<Schemas['ServiceOut']>(['service', serviceId])
      const isSameStep = before?.step === sent.board.step && AT_THE_CHAIR.includes(sent.board.step)
      void refresh(isSameStep ? ['review', 'tone', 'record', 'log', 'round'] : undefined)
      return true
    } finally {
      isBusy.value = false
    }
  }

  /** A level that was read; read half a level off, it is put right in one tap, at the moment the hair was looked at. */
  const read = (values: Read, name: string, occurredAt?: string): Promise<boolean> => {
    const fixes = (event_id: string, at: string): Fix[] =>
      [values.level - 0.5, values.level + 0.5]
        .filter((level) => level >= 1 && level <= 10)
        .map((level) => ({
          name: levelText(level),
          label: $t('acts.notBut', { level: levelText(values.level), level2: levelText(level) }),
          do: () =>
            void act('EventVoided', { event_id }).then(
              (is) => is && read({ ...values, level }, name, at), // the same look, told right
            ),
        }))
    const said = $t('acts.readAt', { name, level: levelText(values.level) })
    return act('ReadingTaken', values, said, { occurredAt, fixes: values.instrument ? undefined : fixes })
  }

  const standsAt = () => client.getQueryData<Schemas['BoardOut']>(['board', serviceId])?.step
  /** Takes an act back; who stood at the step that it had led to is led back as well. */
  const undoOf = async (what: Schemas['UndoOut']) => {
    const stood = standsAt()
    if (!(await act('EventVoided', { event_id: what.event_id }))) return
    notices.say($t('acts.takenBack', { text: what.text }))
    const stands = standsAt()
    if (stands && stands !== stood && router.currentRoute.value.name === stood)
      await router.push({ name: stands, params: { id: serviceId } })
  }

  /** What Undo takes back now: an act still on its way comes before what the board knows. */
  const undoNow = (ofBoard: Schemas['UndoOut'] | null | undefined) => undoable(outbox.of(serviceId), ofBoard)

  return { act, read, undo: undoOf, undoNow, isBusy, refresh }
}
