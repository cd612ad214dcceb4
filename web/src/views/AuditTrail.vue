<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { afterwards } from '../api/afterwards'
import { clock as clockText, dayText } from '../lib/time'

/** Who did what, the newest first. */
const PAGE = 100
const page = ref(1)
const query = useQuery(computed(() => afterwards.audit(page.value)))
const pages = computed(() => Math.max(1, Math.ceil((query.data.value?.total ?? 0) / PAGE)))
const date = (at: string) => dayText(at, { day: 'numeric', month: 'short' })
</script>

<template>
  <section class="panel" aria-labelledby="audit">
    <div class="flex flex-wrap items-center gap-2">
      <h2 id="audit" class="grow text-xl">{{ $t('common.whoDidWhat') }}</h2>
      <span class="num text-soft">{{ $t('auditTrail.lines', { total: query.data.value?.total ?? 0 }) }}</span>
      <a class="btn !min-h-11 px-4" href="/api/audit/file" download>{{ $t('auditTrail.saveIt') }}</a>
      <button
        type="button"
        class="btn !min-h-11 px-4"
        :aria-label="$t('auditTrail.newer')"
        :disabled="page <= 1"
        @click="page--"
      >
        {{ $t('arrow.back') }}
      </button>
      <button
        type="button"
        class="btn !min-h-11 px-4"
        :aria-label="$t('auditTrail.older')"
        :disabled="page >= pages"
        @click="page++"
      >
        {{ $t('arrow.on') }}
      </button>
    </div>
    <ol class="mt-2 max-h-[420px] overflow-y-auto" tabindex="0" :aria-label="$t('auditTrail.auditTrail')">
      <li
        v-for="(l, i) in query.data.value?.lines ?? []"
        :key="i"
        class="grid grid-cols-[120px_minmax(0,1fr)] gap-3 border-t border-line py-1 sm:grid-cols-[120px_180px_minmax(0,1fr)_minmax(0,1fr)]"
      >
        <span class="num text-soft">{{ date(l.at) }} {{ clockText(l.at) }}</span
        ><span class="truncate">{{ l.member_name }}</span
        ><span
          >{{ l.act
          }}<span v-for="c in l.changes" :key="c.field" class="block text-sm break-words text-soft"
            >{{ c.field.replaceAll('_', ' ') }}: {{ c.before || '–' }} {{ $t('arrow.on') }} {{ c.after || '–' }}</span
          ></span
        ><span class="hidden truncate text-sm text-soft sm:block">{{ l.about || l.target }}</span>
      </li>
    </ol>
  </section>
</template>
