import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import type { Schemas } from '../api/client'
import { soundDue, soundWall } from '../lib/sound'
import { at, run, START } from '../testing'
import { useAttention } from './attention'
import { usePrefs } from './prefs'

vi.mock('../lib/sound', () => ({ soundDue: vi.fn(), soundWall: vi.fn(), isAwake: () => true }))
const act = (code: string, minute: number, zone_key = 'crown') =>
  ({
    code,
    zone_key,
    zone_keys: [zone_key],
    title: `Do ${zone_key}`,
    detail: '',
    due_at: at(minute),
    hex: null,
  }) as Schemas['NextAct']

const started = (first: Schemas['NextAct'][]) => {
  const acts = ref(first)
  const now = ref(START)
  const { unmount } = run(() =>
    useAttention(
      () => acts.value,
      () => now.value,
      () => 'Ida Fern',
    ),
  )
  const go = async (minute: number) => {
    now.value = START + minute * 60_000
    await nextTick()
  }
  return { acts, go, unmount }
}

describe('attention', () => {
  beforeEach(() => {
    vi.mocked(soundDue).mockReset()
    vi.mocked(soundWall).mockReset()
    localStorage.clear()
  })

  it('calls once when a look falls due, and shows it in the title', async () => {
    const { go, unmount } = started([act('read', 10)])
    await go(5)
    expect(soundDue).not.toHaveBeenCalled()
    expect(document.title).toBe('Ida Fern · Fervens')
    await go(10.1)
    await go(10.2)
    expect(soundDue).toHaveBeenCalledTimes(1)
    expect(document.title).toBe('● Do crown')
    unmount()
    expect(document.title).toBe('Fervens')
  })

  it('does not call for what was due before the page was opened', async () => {
    const { go } = started([act('read', -3)])
    await go(0.1)
    await go(0.2)
    expect(soundDue).not.toHaveBeenCalled()
  })

  it('calls again for another zone, and for the same zone due again', async () => {
    const { acts, go } = started([act('read', 5), act('read', 6, 'top')])
    await go(1)
    await go(5.1)
    await go(6.1)
    expect(soundDue).toHaveBeenCalledTimes(2)
    acts.value = [act('read', 12)]
    await go(7)
    await go(12.1)
    expect(soundDue).toHaveBeenCalledTimes(3)
  })

  it('is silent when muted, but never for a wall', async () => {
    const { go } = started([act('read', 5), act('stop', 8, 'top')])
    usePrefs().isMuted = true
    await go(1)
    await go(5.1)
    expect(soundDue).not.toHaveBeenCalled()
    await go(8.1)
    expect(soundWall).toHaveBeenCalledTimes(1)
  })

  it('warns of a wall twice, muted or not', async () => {
    const { go } = started([act('wall', 5, 'crown 10'), act('wall', 12, 'crown 3')])
    usePrefs().isMuted = true
    await go(1)
    await go(5.1)
    await go(6)
    expect(soundWall).toHaveBeenCalledTimes(1)
    await go(12.1)
    expect(soundWall).toHaveBeenCalledTimes(2)
    expect(soundDue).not.toHaveBeenCalled()
  })

  it('leaves mixing and starting to the hand that does them', async () => {
    const { go } = started([act('mix', 1), act('start', 2)])
    await go(0.5)
    await go(3)
    expect(soundDue).not.toHaveBeenCalled()
  })
})
