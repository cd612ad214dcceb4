import { useEventListener } from '@vueuse/core'
import { sayHere } from '../api/account'

const EVERY_MS = 60_000

/** Tells the server, once a minute at most, that someone is at this device, so that it is not signed out for idling. */
export const useHere = (isWanted: () => boolean) => {
  let said = Date.now()
  const touched = () => {
    if (!isWanted() || Date.now() - said < EVERY_MS) return
    said = Date.now()
    void sayHere().catch(() => undefined) // the next answer says that it has ended
  }
  useEventListener(window, ['pointerdown', 'keydown'], touched, { passive: true })
}
