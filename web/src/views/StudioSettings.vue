<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { reactive, watch } from 'vue'
import { afterwards, changeStudio } from '../api/afterwards'
import { useNotices } from '../stores/notices'

/** The studio's name and what it plans with. */
defineProps<{ isLocked: boolean }>()
const query = useQuery(afterwards.studio())
const client = useQueryClient()
const notices = useNotices()
const form = reactive({ name: '', pace_min_per_foil: 1.2, growth_mm_per_month: 12, currency: '€' })
watch(query.data, (s) => s && Object.assign(form, s), { immediate: true })
const save = async () => {
  try {
    await changeStudio({
      ...form,
      pace_min_per_foil: Number(form.pace_min_per_foil),
      growth_mm_per_month: Number(form.growth_mm_per_month),
    })
    await client.invalidateQueries()
    notices.say('Kept.')
  } catch (error) {
    notices.fail(error)
  }
}
</script>

<template>
  <form class="panel" aria-labelledby="settings" @submit.prevent="save">
    <h2 id="settings" class="mb-3 text-xl">Settings</h2>
    <fieldset class="grid grid-cols-2 gap-3" :disabled="isLocked">
      <div class="col-span-2">
        <label class="label" for="s-name">Name</label
        ><input id="s-name" v-model="form.name" class="field" required maxlength="80" />
      </div>
      <div>
        <label class="label" for="s-pace">Pace, minutes a section</label
        ><input id="s-pace" v-model="form.pace_min_per_foil" class="field" type="number" min="0.1" max="6" step="0.1" />
      </div>
      <div>
        <label class="label" for="s-growth">Growth, mm a month</label
        ><input
          id="s-growth"
          v-model="form.growth_mm_per_month"
          class="field"
          type="number"
          min="4"
          max="25"
          step="0.5"
        />
      </div>
      <div>
        <label class="label" for="s-currency">Currency</label
        ><input id="s-currency" v-model="form.currency" class="field" maxlength="8" />
      </div>
      <div class="flex items-end"><button v-if="!isLocked" class="btn btn-act w-full">Keep</button></div>
    </fieldset>
  </form>
</template>
