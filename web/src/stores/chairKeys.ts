import { useEventListener } from '@vueuse/core'
import { onBeforeUnmount } from 'vue'

/** A second digit of a zone's number is waited for so long. */
const DIGITS_MS = 600
const TYPED_INTO = ['INPUT', 'TEXTAREA', 'SELECT']
const HAVE_THEIR_OWN = ['BUTTON', 'A', 'SUMMARY']

/** Single keys at the chair: digits open a zone, space does what is due, U takes back. Keys that are held act once. */
export function useChairKeys(chair: {
  isOff: () => boolean
  /** Of zones: past nine a second digit is waited for. */
  count: () => number
  open: (number: number) => void
  /** What space does now; null when nothing is due. */
  act: () => (() => void) | null
  undo: () => void
}): void {
  let typed = ''
  let typing: number | undefined
  const openTyped = () => {
    window.clearTimeout(typing)
    const number = Number(typed)
    typed = ''
    if (number >= 1 && number <= chair.count()) chair.open(number)
  }
  const onDigit = (digit: string) => {
    window.clearTimeout(typing)
    typed += digit
    if (Number(typed) * 10 > chair.count() || typed.length > 1) openTyped()
    else typing = window.setTimeout(openTyped, DIGITS_MS)
  }
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.repeat || chair.isOff() || event.ctrlKey || event.metaKey || event.altKey) return
    const target = event.target instanceof HTMLElement ? event.target : null
    if (target && (TYPED_INTO.includes(target.tagName) || target.isContentEditable)) return
    if (/^\d$/.test(event.key) && (typed || event.key !== '0')) onDigit(event.key)
    else if (event.key === ' ') {
      if (target && HAVE_THEIR_OWN.includes(target.tagName)) return // what has the focus is meant
      const act = chair.act()
      if (!act) return
      event.preventDefault()
      act()
    } else if (event.key.toLowerCase() === 'u') chair.undo()
  })
  onBeforeUnmount(() => window.clearTimeout(typing))
}
