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
const form = reactive({
  name: '',
  pace_min_per_foil: 1.2,
  growth_mm_per_month: 12,
  weakest_natural: 20,
  weakest_worn: 10,
  weakest_old_dye: 5,
  currency: '€',
})
const weakest = [
  { field: 'weakest_natural' as const, name: 'natural hair' },
  { field: 'weakest_worn' as const, name: 'light, fine or porous' },
  { field: 'weakest_old_dye' as const, name: 'old dye' },
]
watch(query.data, (s) => s && Object.assign(form, s), { immediate: true })
const save = async () => {
  try {
    await changeStudio({
      ...form,
      pace_min_per_foil: Number(form.pace_min_per_foil),
      growth_mm_per_month: Number(form.growth_mm_per_month),
      weakest_natural: Number(form.weakest_natural),
      weakest_worn: Number(form.weakest_worn),
      weakest_old_dye: Number(form.weakest_old_dye),
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
      <div class="col-span-2">
        <p class="label">Weakest developer proposed to lighten with, vol</p>
        <div class="grid grid-cols-3 gap-3">
          <div v-for="w in weakest" :key="w.field">
            <label class="text-sm text-soft" :for="w.field">On {{ w.name }}</label
            ><input :id="w.field" v-model="form[w.field]" class="field" type="number" min="0.5" max="40" step="0.5" />
          </div>
        </div>
      </div>
      <div>
        <label class="label" for="s-currency">Currency</label
        ><input id="s-currency" v-model="form.currency" class="field" maxlength="8" />
      </div>
      <div class="flex items-end"><button v-if="!isLocked" class="btn btn-act w-full">Keep</button></div>
    </fieldset>
  </form>
</template>
