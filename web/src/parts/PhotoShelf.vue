<script setup lang="ts">
import { ref } from 'vue'
import { addPhoto, removePhoto } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { clock as clockText } from '../lib/time'
import { useNotices } from '../stores/notices'
import { $t, locale } from '../lib/i18n'

/** Photos of the hair, on neutral grey; only the studio sees them. */
const props = defineProps<{ serviceId: string; photos: readonly Schemas['RecordPhoto'][] }>()
const emit = defineEmits<{ changed: [] }>()
const notices = useNotices()
const isBusy = ref(false)
const words = {
  before: $t('common.before'),
  after: $t('photoShelf.after'),
  other: $t('photoShelf.other'),
} as const
const nameOf = (kind: string): string => words[kind as keyof typeof words] ?? kind
const take = async (event: Event, kind: string) => {
  const input = event.target as HTMLInputElement
  const files = [...(input.files ?? [])]
  input.value = ''
  isBusy.value = true
  try {
    for (const file of files) await addPhoto(props.serviceId, file, kind)
    if (files.length)
      notices.say(
        files.length === 1 ? $t('photoShelf.photoAdded') : $t('photoShelf.photosAdded', { count: files.length }),
      )
  } catch (error) {
    notices.fail(error)
  } finally {
    isBusy.value = false
    emit('changed')
  }
}
const remove = async (id: string) => {
  try {
    await removePhoto(props.serviceId, id)
    notices.say($t('photoShelf.photoTakenOut'))
  } catch (error) {
    notices.fail(error)
  }
  emit('changed')
}
</script>

<template>
  <section class="panel mt-4" aria-labelledby="photos">
    <div class="flex flex-wrap items-center gap-2">
      <h2 id="photos" class="grow text-xl">{{ $t('photoShelf.photos') }}</h2>
      <label
        v-for="kind in ['before', 'after'] as const"
        :key="kind"
        class="btn no-print"
        :class="{ 'opacity-60': isBusy }"
        >{{ $t('photoShelf.add', { kind: words[kind].toLocaleLowerCase(locale) })
        }}<input
          type="file"
          accept="image/jpeg,image/png,image/webp"
          multiple
          class="sr-only"
          :disabled="isBusy"
          :aria-label="$t('photoShelf.addPhotos', { kind: words[kind].toLocaleLowerCase(locale) })"
          @change="take($event, kind)"
      /></label>
    </div>
    <p v-if="photos.length === 0" class="mt-1 text-soft">
      {{ isBusy ? $t('common.sending') : $t('photoShelf.noneYetTheyAreScaled') }}
    </p>
    <ul v-else class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-4">
      <li v-for="p in photos" :key="p.id">
        <img
          class="aspect-[4/3] w-full rounded-[4px] bg-sunk object-contain"
          :src="`/api/services/${serviceId}/photos/${p.id}`"
          :alt="`${nameOf(p.kind)}, ${p.caption || $t('photoShelf.hair')}`"
          loading="lazy"
        />
        <p class="flex items-center gap-2 text-sm">
          <span class="grow"
            ><strong>{{ nameOf(p.kind) }}</strong>
            <span class="text-soft">{{ clockText(p.at) }}, {{ p.by }}</span></span
          ><button type="button" class="no-print min-h-11 underline underline-offset-4" @click="remove(p.id)">
            {{ $t('photoShelf.takeOut') }}
          </button>
        </p>
      </li>
    </ul>
  </section>
</template>
