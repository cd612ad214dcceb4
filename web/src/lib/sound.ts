/** Short tones made in the browser: one voice for what is due, another for a wall. */
let context: AudioContext | undefined

const tone = (at: number, hertz: number, length: number) => {
  if (!context) return
  const oscillator = context.createOscillator()
  const gain = context.createGain()
  oscillator.type = 'triangle'
  oscillator.frequency.value = hertz
  gain.gain.setValueAtTime(0, at)
  gain.gain.linearRampToValueAtTime(0.25, at + 0.02)
  gain.gain.exponentialRampToValueAtTime(0.001, at + length)
  oscillator.connect(gain).connect(context.destination)
  oscillator.start(at)
  oscillator.stop(at + length)
}

/** Browsers are mute until the page was touched once. */
export const isAwake = (): boolean => navigator.userActivation?.hasBeenActive ?? true

const play = (notes: readonly [number, number][]) => {
  if (isAwake()) setTimeout(() => sound(notes)) // what is due is shown first: a sound card takes its time to wake
}
const sound = (notes: readonly [number, number][]) => {
  try {
    context ??= new AudioContext()
    void context.resume()
    for (const [delay, hertz] of notes) tone(context.currentTime + delay, hertz, 0.35)
  } catch {
    // a browser without sound still shows what is due
  }
}

export const soundDue = () => play([[0, 523.25], [0.18, 783.99]]) // prettier-ignore
export const soundWall = () => play([[0, 880], [0.25, 622.25], [0.5, 880], [0.75, 622.25]]) // prettier-ignore
