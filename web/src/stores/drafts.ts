import { defineStore } from 'pinia'
import { reactive } from 'vue'

/** What is being written and not sent yet, by service: it outlasts a look at another step, not the page. */
export const useDrafts = defineStore('drafts', () => {
  const notes = new Map<string, { worked: string; change: string }>()
  /** What worked and what to change, before a service is filed. */
  const filing = (serviceId: string) => {
    const known = notes.get(serviceId)
    if (known) return known
    const made = reactive({ worked: '', change: '' })
    notes.set(serviceId, made)
    return made
  }
  return { filing }
})
