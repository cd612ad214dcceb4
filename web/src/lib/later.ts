import { type Component, defineAsyncComponent } from 'vue'

/** Makes what is asked for when it is first asked for, and keeps it: formatters of the browser are dear to make. */
export const lazily = <K, V>(make: (key: K) => V): ((key: K) => V) => {
  const made = new Map<K, V>()
  return (key) => {
    if (!made.has(key)) made.set(key, make(key))
    return made.get(key)!
  }
}

const IDLE_MS = 400
/** When what is on the screen has been drawn. */
const idle = () =>
  new Promise<void>((done) =>
    'requestIdleCallback' in window ? requestIdleCallback(() => done(), { timeout: IDLE_MS }) : setTimeout(done, 50),
  )

/** A part that opens on a tap: brought in behind what is on the screen first, so that it is there when it is asked for. */
export const behind = <T extends Component>(load: () => Promise<{ default: T }>): T =>
  defineAsyncComponent(() => idle().then(load)) as unknown as T
