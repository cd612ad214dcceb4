import { defineStore } from 'pinia'
import { ref, watchEffect } from 'vue'

/** This device's own choices. */
export const usePrefs = defineStore('prefs', () => {
  const stored = (key: string) => localStorage.getItem(`fervens.${key}`)
  const theme = ref<'light' | 'dark'>(
    (stored('theme') as 'light' | 'dark' | null) ??
      (window.matchMedia?.('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'),
  )
  const isMuted = ref(stored('muted') === '1')
  watchEffect(() => {
    document.documentElement.dataset.theme = theme.value
    localStorage.setItem('fervens.theme', theme.value)
    localStorage.setItem('fervens.muted', isMuted.value ? '1' : '0')
  })
  return { theme, isMuted }
})
