<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'
import { clock as clockText } from '../lib/time'

/** What blocks, then what must be acknowledged, each with who took it on and when. */
const props = defineProps<{ cautions: Schemas['CautionOut'][]; isLocked: boolean }>()
const emit = defineEmits<{ acknowledge: [code: string] }>()
const blocks = computed(() => props.cautions.filter((c) => c.caution.severity === 'block'))
const warns = computed(() => props.cautions.filter((c) => c.caution.severity === 'warn'))
</script>

<template>
  <section class="panel" aria-labelledby="caution-title">
    <h2 id="caution-title" class="mb-3 text-xl">Before any product</h2>
    <ul class="flex flex-col gap-3">
      <li v-for="c in blocks" :key="c.caution.code" class="rounded-[5px] border-l-[8px] border-stop bg-raised p-3">
        <p class="text-lg font-bold text-stop">{{ c.caution.title }}</p>
        <p>{{ c.caution.advice }}</p>
        <p class="mt-1 text-sm text-soft">This cannot be acknowledged away.</p>
      </li>
      <li
        v-for="c in warns"
        :key="c.caution.code"
        class="rounded-[5px] border-l-[8px] bg-raised p-3"
        :class="c.acknowledged_at ? 'border-line' : 'border-ink'"
      >
        <p class="font-bold">{{ c.caution.title }}</p>
        <p class="text-[15px]" :class="{ 'text-soft': c.acknowledged_at }">{{ c.caution.advice }}</p>
        <p v-if="c.acknowledged_at" class="mt-1 text-sm font-semibold">
          ✓ {{ c.acknowledged_by }}, {{ clockText(c.acknowledged_at) }}
        </p>
        <button
          v-else
          type="button"
          class="btn mt-2 w-full"
          :disabled="isLocked"
          @click="emit('acknowledge', c.caution.code)"
        >
          I have seen to it
        </button>
      </li>
    </ul>
    <p v-if="cautions.length === 0" class="text-soft">Cautions stand here as soon as a zone is read.</p>
  </section>
</template>
