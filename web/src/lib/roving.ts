import type { Directive } from 'vue'

/**
 * One stop of the Tab key for a group of buttons or links: arrows, Home and End go among them, as in any list. What is
 * disabled is passed over.
 */
const ITEMS = 'button, a[href]'
const items = (group: HTMLElement) =>
  [...group.querySelectorAll<HTMLElement>(ITEMS)].filter((item) => !(item as HTMLButtonElement).disabled)

function mark(group: HTMLElement, active?: HTMLElement) {
  const all = items(group)
  const kept = active ?? all.find((item) => item.tabIndex === 0 && item.dataset.roving) ?? all[0]
  for (const item of all) {
    item.dataset.roving = 'on'
    item.tabIndex = item === kept ? 0 : -1
  }
}

const STEP: Record<string, (at: number, count: number) => number> = {
  ArrowRight: (at, count) => (at + 1) % count,
  ArrowDown: (at, count) => (at + 1) % count,
  ArrowLeft: (at, count) => (at - 1 + count) % count,
  ArrowUp: (at, count) => (at - 1 + count) % count,
  Home: () => 0,
  End: (_, count) => count - 1,
}

export const vRoving: Directive<HTMLElement> = {
  mounted(group) {
    mark(group)
    group.addEventListener('keydown', (event) => {
      const all = items(group)
      const at = all.indexOf(event.target as HTMLElement)
      const step = STEP[event.key]
      if (at < 0 || !step || event.ctrlKey || event.metaKey || event.altKey) return
      event.preventDefault()
      const next = all[step(at, all.length)]
      if (!next) return
      mark(group, next)
      next.focus()
    })
    group.addEventListener('focusin', (event) => {
      if (items(group).includes(event.target as HTMLElement)) mark(group, event.target as HTMLElement)
    })
  },
  updated: (group) => mark(group),
}
