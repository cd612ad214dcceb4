<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { addPhoto } from '../api/afterwards'
import { camera, readLane, simulatedPicture } from '../api/camera'
import type { Schemas } from '../api/client'
import { useNotices } from '../stores/notices'
import PictureTaker from './PictureTaker.vue'
import { $t } from '../lib/i18n'
import { fixed } from '../lib/time'
import { undertoneName } from '../lib/words'

/** A camera with the card in place of the eye: read first, noted by a tap of its own. The picture is not kept. */
const props = defineProps<{ serviceId: string; laneKey: string; isBusy: boolean }>()
const emit = defineEmits<{ note: [level: number, lab: number[], instrument: string, levelStd: number] }>()
const card = useQuery(camera.card())
const notices = useNotices()
const found = ref<Schemas['CameraOut'] | null>(null)
const picture = ref<Blob | null>(null)
const why = ref('')
const isReading = ref(false)
const reset = () => {
  found.value = null
  picture.value = null
  why.value = ''
}
watch(() => props.laneKey, reset)
const read = async (taken: Blob | Promise<Blob>) => {
  const key = props.laneKey
  reset()
  isReading.value = true
  try {
    const file = await taken
    const told = await readLane(props.serviceId, key, file)
    if (key !== props.laneKey) return
    found.value = told
    picture.value = file
  } catch (error) {
    why.value = error instanceof Error ? error.message : $t('common.thePictureCouldNotBe')
  } finally {
    isReading.value = false
  }
}
const take = () => {
  if (found.value) emit('note', found.value.level, [...found.value.lab], found.value.instrument, found.value.level_std)
  reset()
}
const keep = async () => {
  if (!picture.value) return
  try {
    await addPhoto(props.serviceId, new File([picture.value], 'strand.jpg', { type: picture.value.type }), 'other')
    picture.value = null
    notices.say($t('cameraRead.thePictureIsKeptWith'))
  } catch (error) {
    notices.fail(error)
  }
}
</script>

<template>
  <section class="flex flex-col gap-3" :aria-label="$t('common.camera')">
    <div class="flex flex-wrap items-center gap-3">
      <PictureTaker
        :is-busy="isReading"
        :is-again="found !== null || why !== ''"
        :is-simulated="card.data.value?.is_camera_simulated ?? false"
        @take="read"
        @simulate="read(simulatedPicture(serviceId, laneKey))"
      />
      <span v-if="!found && !why" class="text-soft">{{ $t('cameraRead.withTheCardStrandAlong') }}</span>
    </div>
    <p v-if="why" class="rounded-[5px] border-s-[8px] border-ink bg-raised p-3 text-lg" role="alert">{{ why }}</p>
    <div v-if="found" class="flex flex-wrap items-center gap-3" role="status">
      <span class="flex overflow-hidden rounded-[3px]" aria-hidden="true"
        ><span class="swatch h-12 w-12" :style="{ background: found.hex }" /><span
          class="swatch h-12 w-12"
          :style="{ background: found.level_hex }"
      /></span>
      <span class="grow"
        ><b v-if="found.instrument !== 'camera'">{{ `${$t('cameraRead.simulatedPictureNoRealHair')} ` }} </b
        ><b class="num text-2xl">{{ fixed(found.level, 1) }}</b>
        <span class="num text-soft"> ± {{ fixed(found.level_std, 1) }}</span
        >, {{ undertoneName(found.undertone)
        }}<span v-if="!found.is_card_measured" class="block text-sm text-soft">{{
          $t('cameraRead.theCardAsPrintedMeasured')
        }}</span></span
      >
      <button type="button" class="btn btn-act" :disabled="isBusy" @click="take">{{ $t('common.noteIt') }}</button>
      <button v-if="picture" type="button" class="btn" @click="keep">{{ $t('cameraRead.keepThePicture') }}</button>
    </div>
  </section>
</template>
