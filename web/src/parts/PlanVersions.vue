<script setup lang="ts">
import { ref } from 'vue'
import type { Schemas } from '../api/client'
import { clock as clockText, levelText } from '../lib/time'
import { aims } from '../lib/words'

/** Plans that were kept; any of them can be gone back to. */
defineProps<{ versions: readonly Schemas['VersionOut'][]; isLocked: boolean; isBusy: boolean }>()
const emit = defineEmits<{ keep: [label: string]; restore: [version: Schemas['VersionOut']] }>()
const label = ref('')
const keep = () => {
  emit('keep', label.value)
  label.value = ''
}
const aimOf = (v: Schemas['VersionOut']) => aims[v.choice.aim as keyof typeof aims]?.name ?? ''
</script>

<template>
  <section class="panel no-print" aria-labelledby="versions">
    <h2 id="versions" class="mb-2 text-xl">{{ $t('planVersions.keptVersions') }}</h2>
    <form v-if="!isLocked" class="mb-2 flex gap-2" @submit.prevent="keep">
      <input
        v-model="label"
        class="field"
        maxlength="80"
        :placeholder="$t('planVersions.aFewWordsIfYou')"
        :aria-label="$t('planVersions.nameOfTheVersion')"
      />
      <button type="submit" class="btn whitespace-nowrap" :disabled="isBusy">
        {{ $t('planVersions.keepThisOne') }}
      </button>
    </form>
    <p v-if="versions.length === 0" class="text-soft">{{ $t('planVersions.noneYetThePlanYou') }}</p>
    <ul>
      <li v-for="v in versions" :key="v.number" class="flex flex-wrap items-center gap-x-3 border-t border-line py-1.5">
        <span class="num text-lg">{{ v.number }}</span>
        <span class="min-w-0 grow">
          <span class="font-semibold">{{ v.label || aimOf(v) }}</span>
          <span class="block text-sm text-soft">
            {{
              $t('planVersions.minToVolLoad', {
                finish_min: v.finish_min.toFixed(0),
                strongest_volume: levelText(Math.round(v.strongest_volume * 10) / 10),
                contact_load_volume_min: v.contact_load_volume_min.toFixed(0),
                what: v.short_count ? $t('planVersions.short', { short_count: v.short_count }) : '',
                by_name: v.by_name,
                kept_at: clockText(v.kept_at),
              })
            }}
          </span>
        </span>
        <button
          v-if="!isLocked"
          type="button"
          class="btn"
          :disabled="isBusy"
          :aria-label="$t('planVersions.goBackToVersion', { number: v.number })"
          @click="emit('restore', v)"
        >
          {{ $t('planVersions.goBackToIt') }}
        </button>
      </li>
    </ul>
  </section>
</template>
