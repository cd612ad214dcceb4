/**
 * The focus is never lost: where what had it goes away or is disabled (an act was taken, a step changed, a sheet closed),
 * it goes to what stands there now, else to where the next act is told, else to the page's content.
 */
const FOCUSABLE =
  'button:not([disabled]), a[href], input:not([disabled]), select:not([disabled]), textarea:not([disabled]), [tabindex="0"]'

const isUsable = (element: Element | null | undefined): element is HTMLElement =>
  element instanceof HTMLElement &&
  element.isConnected &&
  element.matches(FOCUSABLE) &&
  element.getClientRects().length > 0

/** Where focus goes when `lost` cannot keep it; `around` are what it stood in, nearest first. */
export function successor(
  lost: HTMLElement | null,
  around: readonly HTMLElement[],
  page: ParentNode,
): HTMLElement | null {
  if (isUsable(lost)) return lost
  for (const place of around) {
    if (!place.isConnected || place.id === 'main') continue
    if (place.matches(NEXT)) return reachable(place) // never the next act's own button: a stray Space would do it
    const found = [...place.querySelectorAll(FOCUSABLE)].find(isUsable)
    if (found) return found as HTMLElement
  }
  return reachable(page.querySelector<HTMLElement>(NEXT) ?? page.querySelector<HTMLElement>('#main'))
}

const NEXT = '[data-next]'
const reachable = (place: HTMLElement | null) => {
  if (place && !place.hasAttribute('tabindex')) place.tabIndex = -1
  return place
}

/** What changes in a row is waited for. */
const SETTLES_MS = 60
const SHEET = '[role="dialog"]'
const BOUNDS = 'section, form, fieldset, article, li, [role="group"], [role="dialog"], main'

interface Had {
  last: HTMLElement | null
  around: HTMLElement[]
}
const around = (of: HTMLElement): HTMLElement[] => {
  const found: HTMLElement[] = []
  for (let at = of.parentElement?.closest<HTMLElement>(BOUNDS); at; at = at.parentElement?.closest(BOUNDS))
    found.push(at)
  return found
}

export function keepFocus(root: Document = document) {
  // what had it on the page, and in the sheet that is open over it: a sheet that closes gives it back to what opened it
  const had: Record<'page' | 'sheet', Had> = { page: { last: null, around: [] }, sheet: { last: null, around: [] } }
  root.addEventListener('focusin', (event) => {
    const target = event.target as HTMLElement
    had[target.closest(SHEET) ? 'sheet' : 'page'] = { last: target, around: around(target) }
  })
  let timer: number | undefined
  const check = () => {
    if (root.activeElement !== root.body) return
    const sheet = root.querySelector<HTMLElement>(SHEET)
    const { last, around: places } = had[sheet ? 'sheet' : 'page']
    if (last) successor(last, places, sheet ?? root)?.focus({ preventScroll: true })
  }
  const soon = () => {
    window.clearTimeout(timer)
    timer = window.setTimeout(check, SETTLES_MS)
  }
  const watching = new MutationObserver(soon)
  watching.observe(root.body, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled', 'hidden', 'inert'],
  })
  // a key that is held down acts once
  root.addEventListener(
    'keydown',
    (event) => {
      const isButton = (event.target as HTMLElement).matches?.('button, a[href], summary, [role="button"]')
      if (event.repeat && isButton && (event.key === 'Enter' || event.key === ' ')) event.preventDefault()
    },
    true,
  )
  // a click on nothing takes the focus away on purpose
  root.addEventListener('pointerdown', (event) => {
    if (!(event.target as HTMLElement).closest(FOCUSABLE + ', label, summary')) had.page.last = null
  })
  return () => watching.disconnect()
}
