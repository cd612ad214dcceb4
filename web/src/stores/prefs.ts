import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, watchEffect } from 'vue'

/** This device's own choices. */
export const usePrefs = defineStore('prefs', () => {
  const isDark = usePreferredDark()
  const chosen = useLocalStorage<'light' | 'dark' | ''>('fervens.theme', '')
  const theme = computed<'light' | 'dark'>({
    get: () => chosen.value || (isDark.value ? 'dark' : 'light'),
    set: (own) => (chosen.value = own),
  })
  const muted = useLocalStorage<'1' | '0'>('fervens.muted', '0')
  const isMuted = computed({ get: () => muted.value === '1', set: (is) => (muted.value = is ? '1' : '0') })
  const keys = useLocalStorage<'1' | '0'>('fervens.keys', '1')
  /** Single keys act at the chair. */
  const hasKeys = computed({ get: () => keys.value === '1', set: (is) => (keys.value = is ? '1' : '0') })
  const chair = useLocalStorage<'head' | 'time'>('fervens.chair', 'head')
  /** At the chair lanes hang from the head; else they lie over one axis of time. */
  const isHead = computed({ get: () => chair.value !== 'time', set: (is) => (chair.value = is ? 'head' : 'time') })
  const studios = useLocalStorage<'1' | '0'>('fervens.studios', '0')
  const isStudios = computed({ get: () => studios.value === '1', set: (is) => (studios.value = is ? '1' : '0') })
  watchEffect(() => {
    document.documentElement.dataset.theme = theme.value
  })
  return { theme, isMuted, isStudios, hasKeys, isHead }
})
