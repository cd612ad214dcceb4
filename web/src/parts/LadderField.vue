<script setup lang="ts">
import { ref } from 'vue'
import { $t } from '../lib/i18n'

/** One strength, or a ladder of them from the first lane to the last: "20", "20 25 30". */
defineProps<{ label: string }>()
const emit = defineEmits<{ set: [strengths: number[]] }>()
const text = ref('')
const problem = ref('')
const set = () => {
  const told = text.value
    .trim()
    .split(/[\s;/-]+/)
    .filter(Boolean)
    .map((t) => Number(t.replace(',', '.')))
  if (!told.length || told.some((n) => !(n >= 0.5 && n <= 40))) {
    problem.value = $t('ladderField.strengthMustBeFrom0')
    return
  }
  problem.value = ''
  emit('set', told)
  text.value = ''
}
</script>

<template>
  <form class="flex flex-wrap items-center gap-1" @submit.prevent="set">
    <input
      v-model="text"
      class="field !w-40"
      inputmode="text"
      :placeholder="$t('ladderField.volOr202530')"
      :aria-label="label"
    />
    <button type="submit" class="btn !px-3">{{ $t('ladderField.setVol') }}</button>
    <p v-if="problem" class="font-semibold text-stop" role="alert">{{ problem }}</p>
  </form>
</template>
