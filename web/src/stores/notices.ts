import { defineStore } from 'pinia'
import { ref } from 'vue'
import { ApiError } from '../api/client'
import { FileError } from '../lib/files'
import { $t } from '../lib/i18n'

export interface Notice {
  id: number
  text: string
  isError: boolean
  undo?: () => void
  /** The same put right in one tap: what it should have been. */
  fixes?: readonly Fix[]
}
export interface Fix {
  name: string
  label: string
  do: () => void
}

/** What just happened, with its undo; or what went wrong and what is kept. */
export const useNotices = defineStore('notices', () => {
  const list = ref<Notice[]>([])
  let next = 1
  const drop = (id: number) => {
    list.value = list.value.filter((n) => n.id !== id)
  }
  const add = (text: string, more: Partial<Notice> = {}) => {
    const id = next++
    list.value = [...list.value.slice(-1), { id, text, isError: false, ...more }]
    window.setTimeout(() => drop(id), more.isError ? 12_000 : 7_000)
  }
  const clear = () => (list.value = [])
  /** Sheets that are open: notices stand in the top one then, never over it. */
  const sheets = ref<number[]>([])
  let nextSheet = 1
  const openSheet = () => {
    list.value = list.value.filter((n) => n.isError) // what was done before is not said over what is opened now
    const id = nextSheet++
    sheets.value = [...sheets.value, id]
    return id
  }
  const closeSheet = (id: number) => (sheets.value = sheets.value.filter((s) => s !== id))
  /** Steps with a bar at their foot say what happened there. */
  const bars = ref(0)
  const openBar = () => {
    bars.value += 1
    return () => {
      bars.value -= 1
    }
  }
  const say = (text: string, undo?: () => void, fixes?: readonly Fix[]) => add(text, { undo, fixes })
  const fail = (error: unknown) => {
    const text =
      error instanceof ApiError
        ? error.problem.detail
        : error instanceof FileError
          ? error.message
          : $t('common.somethingFailedHereNothingWas')
    if (!(error instanceof ApiError || error instanceof FileError)) console.error(error)
    add(text, { isError: true })
  }
  return { list, sheets, bars, openBar, openSheet, closeSheet, say, fail, drop, clear }
})
