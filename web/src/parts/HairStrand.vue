<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core'
import { onMounted, ref, watch } from 'vue'
import { film, fibres, type FibreColours } from '../lib/fibres'

/** A strand of hair, drawn from the colours the core gives for its fibres: dry, wet, or under product. */
const props = defineProps<{
  colours: FibreColours
  seed: number
  isWet?: boolean
  /** Colour of the product on it, when there is some. */
  paste?: string | null
  label: string
}>()
const canvas = ref<HTMLCanvasElement | null>(null)
const draw = () => {
  const el = canvas.value
  const context = el?.getContext('2d')
  if (!el || !context) return
  const ratio = Math.min(window.devicePixelRatio || 1, 2)
  const [width, height] = [el.clientWidth * ratio, el.clientHeight * ratio]
  if (width === 0) return
  if (el.width !== width || el.height !== height) Object.assign(el, { width, height })
  context.globalAlpha = 1
  context.fillStyle = props.colours.body
  context.fillRect(0, 0, width, height)
  context.lineCap = 'round'
  /** A soft line through places evenly spread from one end to the other. */
  const line = (from: number, to: number, across: readonly number[]) => {
    const step = (to - from) / (across.length - 1)
    const at = (i: number): [number, number] => [(from + step * i) * width, across[i]! * height]
    context.beginPath()
    context.moveTo(...at(0))
    for (let i = 1; i < across.length - 1; i++) {
      const [x, y] = at(i)
      const [nextX, nextY] = at(i + 1)
      context.quadraticCurveTo(x, y, (x + nextX) / 2, (y + nextY) / 2)
    }
    context.lineTo(...at(across.length - 1))
    context.stroke()
  }
  // the strand lies across: from the scalp on the left to its end on the right
  for (const f of fibres(props.seed, 560, props.isWet ?? false)) {
    context.strokeStyle = props.colours[f.colour]
    context.lineWidth = Math.max(f.width * height, 1)
    context.globalAlpha = f.colour === 'sheen' ? 0.5 : 0.85
    line(0, 1, f.x)
  }
  if (props.paste) {
    context.strokeStyle = props.paste
    context.globalAlpha = 0.62
    for (const s of film(props.seed)) {
      context.lineWidth = s.width * height * 1.6
      line(s.from, s.to, [s.x, s.x + 0.03, s.x])
    }
  }
  context.globalAlpha = 1
}
onMounted(draw)
useResizeObserver(canvas, draw)
watch(() => [props.colours, props.seed, props.isWet, props.paste], draw, { flush: 'post' })
</script>

<template>
  <canvas ref="canvas" class="block h-32 w-full rounded-[5px]" role="img" :aria-label="label" />
</template>
