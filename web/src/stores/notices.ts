import { defineStore } from 'pinia'
import { ref } from 'vue'
import { ApiError } from '../api/client'
import { FileError } from '../lib/files'

export interface Notice {
  id: number
  text: string
  isError: boolean
  undo?: () => void
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
  const say = (text: string, undo?: () => void) => add(text, { undo })
  const fail = (error: unknown) => {
    const text =
      error instanceof ApiError
        ? error.problem.detail
        : error instanceof FileError
          ? error.message
          : 'Something failed here. Nothing was sent; try again.'
    if (!(error instanceof ApiError || error instanceof FileError)) console.error(error)
    add(text, { isError: true })
  }
  return { list, say, fail, drop }
})
