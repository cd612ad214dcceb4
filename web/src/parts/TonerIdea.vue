<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../api/client'

/** The toner in mind: shades that may go on this person, and why the others may not. */
const props = defineProps<{ ideas: readonly Schemas['TonerIdea'][]; taken: string; isLocked: boolean }>()
const emit = defineEmits<{ take: [key: string] }>()
const blocked = computed(() => props.ideas.filter((i) => i.blocked))
const why = computed(() => [...new Set(blocked.value.map((i) => i.blocked))])
</script>

<template>
  <section class="panel" aria-labelledby="toner-idea">
    <h2 id="toner-idea" class="mb-1 text-xl">{{ $t('tonerIdea.tonerInMind') }}</h2>
    <p class="mb-2 text-sm text-soft">
      {{ $t('tonerIdea.chosenAnewFromWhatEach') }}
    </p>
    <div class="flex flex-wrap gap-1.5" role="group" :aria-label="$t('tonerIdea.tonerInMind')">
      <button
        v-for="i in ideas"
        :key="i.key"
        type="button"
        class="btn !px-2.5 text-[15px]"
        :class="{ 'btn-act': taken === i.key }"
        :aria-pressed="taken === i.key"
        :disabled="isLocked || i.blocked !== null"
        @click="emit('take', taken === i.key ? '' : i.key)"
      >
        <span class="swatch size-5 rounded-full" :style="{ background: i.hex }" aria-hidden="true" />
        {{ i.name }}<span v-if="i.blocked" class="text-sm">{{ $t('tonerIdea.locked') }}</span>
      </button>
    </div>
    <p v-for="w in why" :key="w ?? ''" class="mt-2 text-[15px] font-semibold">{{ $t('tonerIdea.locked2', { w }) }}</p>
  </section>
</template>
