<script setup lang="ts">
import { computed, useId } from 'vue'
import { half } from '../lib/head'
import { AREA_HALVES, type Fill } from '../stores/zones'
import { $t } from '../lib/i18n'

/** The head from behind, from above and from both sides; zones as areas, tapped to select. */
const props = defineProps<{
  /** Fill of each zone by its key: a colour, its parts from the scalp down, or two kinds in turn. */
  fills: Record<string, Fill>
  /** Which zone holds an area, or a half of one ("crown/1"); an area that is not named belongs to the zone of its key. */
  owners: Record<string, string>
  selected: readonly string[]
  isLocked?: boolean
}>()
const emit = defineEmits<{ toggle: [key: string] }>()
const uid = useId()

interface Area {
  key: string
  d: string
}
const back: Area[] = [
  { key: 'crown', d: 'M20 0 H180 V58 C150 72 50 72 20 58 Z' },
  { key: 'left_back', d: 'M20 56 C40 64 52 67 64 68 L70 128 C52 126 36 122 20 116 Z' },
  { key: 'right_back', d: 'M180 56 C160 64 148 67 136 68 L130 128 C148 126 164 122 180 116 Z' },
  { key: 'high_back', d: 'M64 68 C88 71 112 71 136 68 L132.500 104 C112 109 88 109 67.500 104 Z' },
  {
    key: 'low_back',
    d: 'M67.500 104 C88 109 112 109 132.500 104 L130 128 C148 126 164 122 180 116 V150 C150 160 50 160 20 150 V116 C36 122 52 126 70 128 Z',
  },
  { key: 'nape', d: 'M20 150 C50 160 150 160 180 150 V200 H20 Z' },
]
const above: Area[] = [
  { key: 'fringe', d: 'M64 0 H136 V42 C116 34 84 34 64 42 Z' },
  { key: 'left_temple', d: 'M10 0 H64 V42 L60 62 L10 72 Z' },
  { key: 'right_temple', d: 'M190 0 H136 V42 L140 62 L190 72 Z' },
  { key: 'top', d: 'M64 42 C84 34 116 34 136 42 L140 62 L141 100 C120 91 80 91 59 100 L60 62 Z' },
  { key: 'left_side', d: 'M10 72 L60 62 L59 100 L57 130 L10 134 Z' },
  { key: 'right_side', d: 'M190 72 L140 62 L141 100 L143 130 L190 134 Z' },
  { key: 'crown', d: 'M59 100 C80 91 120 91 141 100 L143 130 C128 150 72 150 57 130 Z' },
  { key: 'high_back', d: 'M10 134 L57 130 C72 150 128 150 143 130 L190 134 V200 H10 Z' },
]
const side = (hand: 'left' | 'right'): Area[] => [
  { key: 'fringe', d: 'M30 84 C46 44 62 20 84 4 L98 44 C82 51 66 60 54 78 Z' },
  { key: 'top', d: 'M84 4 L146 4 L140 40 C124 36 110 38 98 44 Z' },
  { key: 'crown', d: 'M146 4 L210 20 L178 68 C168 54 156 45 140 40 Z' },
  { key: `${hand}_temple`, d: 'M54 78 C66 60 82 51 98 44 L97 82 L86 126 L60 126 L50 90 Z' },
  { key: `${hand}_side`, d: 'M98 44 C110 38 124 36 140 40 L137 96 L112 116 L86 126 L97 82 Z' },
  { key: `${hand}_back`, d: 'M140 40 C156 45 168 54 178 68 L204 100 L170 124 L137 96 Z' },
  { key: 'nape', d: 'M137 96 L170 124 L164 160 L112 160 L112 116 Z' },
]
const hairFromBack =
  'M38 92 C38 42 66 14 100 14 C134 14 162 42 162 92 C162 122 152 148 138 170 C126 181 74 181 62 170 C48 148 38 122 38 92 Z'
const hairFromSide =
  'M52 72 C56 34 92 14 128 20 C166 27 186 62 180 100 C177 124 166 142 152 152 C144 152 136 148 130 142 C126 130 120 120 113 116 C110 102 100 100 96 110 C93 116 92 120 90 125 L80 122 C82 108 78 96 68 88 C60 82 54 80 52 72 Z'
const face =
  'M53 76 C47 84 44 90 43 96 C38 106 33 112 32 116 C34 120 40 119 41 122 C41 127 39 129 41 133 C42 138 43 141 45 146 C54 155 72 152 84 146 C90 152 93 166 92 178 M134 146 C136 158 138 168 142 178'
const views = [
  { name: $t('headMap.back'), x: 0, y: 0, areas: back, clip: 'clip-back', flip: false },
  { name: $t('headMap.above'), x: 216, y: 0, areas: above, clip: 'clip-above', flip: false },
  { name: $t('common.left'), x: 0, y: 206, areas: side('left'), clip: 'clip-side', flip: false },
  { name: $t('common.right'), x: 216, y: 206, areas: side('right'), clip: 'clip-side', flip: true },
]
interface Piece extends Area {
  id: string
  owner: string
  clip: { x: number; width: number } | null
}
/** An area as it is drawn: whole, or in the halves it was split into. */
const pieces = (areas: Area[]): Piece[] =>
  areas.flatMap((area): Piece[] => {
    const halves = AREA_HALVES.filter((h) => props.owners[`${area.key}${h}`])
    if (halves.length === 0) return [{ ...area, id: area.key, owner: props.owners[area.key] ?? area.key, clip: null }]
    return AREA_HALVES.map((h) => {
      const id = `${area.key}${h}`
      return { ...area, id, owner: props.owners[id] ?? area.key, clip: half(area.d, h.slice(1)) }
    })
  })
const gradients = computed(() =>
  Object.entries(props.fills).flatMap(([key, fill]) => (typeof fill === 'string' ? [] : [{ key, ...fill }])),
)
const gradientId = (key: string) => `fill-${uid}-${key.replace('/', '-')}`
const fillAt = (key: string) => {
  const fill = props.fills[key]
  return fill === undefined ? 'url(#unread)' : typeof fill === 'string' ? fill : `url(#${gradientId(key)})`
}
const isSelected = (key: string) => props.selected.includes(key)
const clipId = (view: string, id: string) => `half-${view}-${id.replace('/', '-')}`
const toggle = (key: string) => {
  if (!props.isLocked) emit('toggle', key)
}
</script>

<template>
  <svg viewBox="0 0 416 412" class="swatch mx-auto max-h-[304px] w-full select-none" aria-hidden="true">
    <defs>
      <clipPath id="clip-back"><path :d="hairFromBack" /></clipPath>
      <clipPath id="clip-above"><ellipse cx="100" cy="96" rx="68" ry="84" /></clipPath>
      <clipPath id="clip-side"><path :d="hairFromSide" /></clipPath>
      <linearGradient
        v-for="g in gradients"
        :id="gradientId(g.key)"
        :key="g.key"
        x1="0"
        y1="0"
        :x2="g.isInTurn ? 1 : 0"
        :y2="g.isInTurn ? 0 : 1"
      >
        <template v-for="(stop, i) in g.stops" :key="i">
          <stop :offset="i / g.stops.length" :stop-color="stop" />
          <stop :offset="(i + 1) / g.stops.length" :stop-color="stop" />
        </template>
      </linearGradient>
      <pattern id="unread" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(25)">
        <rect width="6" height="6" fill="var(--sunk)" />
        <line x1="0" y1="0" x2="0" y2="6" stroke="var(--line-strong)" stroke-width="1" opacity="0.7" />
      </pattern>
    </defs>
    <g v-for="view in views" :key="view.name" :transform="`translate(${view.x} ${view.y})`">
      <text x="2" y="14" class="fill-soft text-[12px] font-semibold">{{ view.name }}</text>
      <g :transform="view.flip ? 'translate(200 0) scale(-1 1)' : ''">
        <g
          v-if="view.clip === 'clip-side'"
          fill="none"
          stroke="var(--line-strong)"
          stroke-width="1.6"
          stroke-linecap="round"
        >
          <path :d="face" />
          <path d="M103 112 C98 108 97 118 100 122 C102 126 105 126 106 122" />
        </g>
        <g
          v-if="view.clip === 'clip-back'"
          fill="none"
          stroke="var(--line-strong)"
          stroke-width="1.6"
          stroke-linecap="round"
        >
          <path
            d="M38 96 C30 94 31 112 41 116 M162 96 C170 94 169 112 159 116 M70 178 C70 184 69 188 66 192 M130 178 C130 184 131 188 134 192"
          />
        </g>
        <path
          v-if="view.clip === 'clip-above'"
          d="M91 14 C94 4 106 4 109 14"
          fill="none"
          stroke="var(--line-strong)"
          stroke-width="1.6"
        />
        <g :clip-path="`url(#${view.clip})`">
          <template v-for="piece in pieces(view.areas)" :key="piece.id">
            <clipPath v-if="piece.clip" :id="clipId(view.name, piece.id)">
              <rect :x="piece.clip.x" y="-4" :width="piece.clip.width" height="220" />
            </clipPath>
            <path
              :d="piece.d"
              :fill="fillAt(piece.owner)"
              stroke="var(--panel)"
              stroke-width="2.4"
              :clip-path="piece.clip ? `url(#${clipId(view.name, piece.id)})` : undefined"
              :class="isLocked ? '' : 'cursor-pointer'"
              @click="toggle(piece.owner)"
            />
          </template>
          <path
            v-for="piece in pieces(view.areas).filter((p) => isSelected(p.owner))"
            :key="`${piece.id}-selected`"
            :d="piece.d"
            fill="none"
            stroke="var(--signal)"
            stroke-width="5"
            stroke-linejoin="round"
            pointer-events="none"
            :clip-path="piece.clip ? `url(#${clipId(view.name, piece.id)})` : undefined"
          />
        </g>
      </g>
    </g>
  </svg>
</template>
