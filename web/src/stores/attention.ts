import { useWakeLock } from '@vueuse/core'
import { onBeforeUnmount, onMounted, watch } from 'vue'
import type { Schemas } from '../api/client'
import { isAwake, soundDue, soundWall } from '../lib/sound'
import { usePrefs } from './prefs'
import { $t } from '../lib/i18n'

const CALLING = ['read', 'rinse', 'wipe', 'rinse_wave', 'stop', 'finish', 'wall']

/** Calls the hand when something falls due: sound, vibration, title; and keeps the screen awake meanwhile. */
export function useAttention(acts: () => readonly Schemas['NextAct'][], now: () => number, name: () => string) {
  const prefs = usePrefs()
  const called = new Set<string>()
  let isFirst = true
  const lock = useWakeLock() // taken again by itself when the page is looked at again

  const due = () => acts().filter((a) => CALLING.includes(a.code) && new Date(a.due_at).getTime() <= now())
  const check = () => {
    if (isFirst && acts().length === 0) return
    const found = due()
    const keys = found.map((a) => `${a.code} ${a.zone_key}`)
    const fresh = found.filter((a) => !called.has(`${a.code} ${a.zone_key}`))
    if (fresh.length > 0 && !isFirst) {
      const isWall = fresh.some((a) => a.code === 'stop' || a.code === 'wall')
      if (isWall)
        soundWall() // a wall is never muted
      else if (!prefs.isMuted) soundDue()
      if (isAwake()) navigator.vibrate?.(isWall ? [200, 100, 200, 100, 200] : [150])
    }
    called.clear()
    for (const key of keys) called.add(key)
    isFirst = false
    document.title = found[0] ? `● ${found[0].title}` : $t('attention.fervens', { name: name() })
  }
  watch([now, acts], check)
  // a device that will not stay awake still shows the right times when it wakes
  onMounted(() => void lock.request('screen').catch(() => undefined))
  onBeforeUnmount(() => {
    void lock.release()
    document.title = 'Fervens'
  })
}
