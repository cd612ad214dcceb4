import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { ref } from 'vue'

/** The server's clock on this device: timers are derived from it and from event times, never counted. */
export const useClock = defineStore('clock', () => {
  const offsetMs = useLocalStorage('fervens.clock', 0)
  const now = ref(Date.now() + offsetMs.value)
  const tick = () => {
    now.value = Date.now() + offsetMs.value
  }
  const learn = (serverNow: string) => {
    offsetMs.value = new Date(serverNow).getTime() - Date.now()
    tick()
  }
  useIntervalFn(tick, 500)
  return { now, learn, moment: () => new Date(Date.now() + offsetMs.value) }
})
