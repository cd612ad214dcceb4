<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, reactive } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { begin, begins } from '../api/begin'
import OpenPage from '../parts/OpenPage.vue'
import { useAsking } from '../stores/asking'
import { $t } from '../lib/i18n'

/** The first visit: a studio and its owner, with the token that the server printed. */
const route = useRoute()
const router = useRouter()
const client = useQueryClient()
const token = computed(() => String(route.query.token ?? ''))
const query = useQuery(computed(() => begins.isOpen(token.value)))
const form = reactive({ studio: '', first_name: '', last_name: '', username: '', password: '' })
const { asking, ask } = useAsking()
const send = async () => {
  const session = await ask(() => begin({ ...form, token: token.value }))
  if (!session) return
  client.setQueryData(['session'], session)
  await router.replace({ name: 'day' })
}
const fields = [
  { name: 'studio', label: $t('begin.nameOfTheStudio'), autocomplete: 'organization', most: 80, isWide: true },
  { name: 'first_name', label: $t('begin.yourFirstName'), autocomplete: 'given-name', most: 60 },
  { name: 'last_name', label: $t('begin.yourLastName'), autocomplete: 'family-name', most: 60 },
  { name: 'username', label: $t('common.nameToSignInWith'), autocomplete: 'username', most: 60 },
] as const
</script>

<template>
  <OpenPage :title="$t('begin.aStudioOfYourOwn')">
    <template v-if="query.data.value?.is_open">
      <p class="mt-1 mb-8 text-soft">{{ $t('begin.youAreItsFirstWho') }}</p>
      <form class="grid grid-cols-2 gap-4" @submit.prevent="send">
        <div v-for="f in fields" :key="f.name" :class="{ 'col-span-2': 'isWide' in f }">
          <label class="label" :for="f.name">{{ f.label }}</label>
          <input
            :id="f.name"
            v-model="form[f.name]"
            class="field"
            :autocomplete="f.autocomplete"
            :maxlength="f.most"
            :aria-invalid="asking.field === f.name || undefined"
            required
          />
        </div>
        <div>
          <label class="label" for="password">{{ $t('common.password10LettersOrMore') }}</label>
          <input
            id="password"
            v-model="form.password"
            class="field"
            type="password"
            autocomplete="new-password"
            minlength="10"
            :aria-invalid="asking.field === 'password' || undefined"
            required
          />
        </div>
        <p v-if="asking.problem" class="col-span-2 rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">
          {{ asking.problem }}
        </p>
        <button class="btn btn-act col-span-2 min-h-16 text-lg" :disabled="asking.isBusy">
          {{ asking.isBusy ? $t('common.makingIt') : $t('begin.makeTheStudio') }}
        </button>
      </form>
    </template>
    <template v-else-if="query.data.value">
      <p class="mt-2 mb-6 text-lg">{{ $t('begin.thereIsAStudioHere') }}</p>
      <RouterLink class="btn btn-act self-start" :to="{ name: 'day' }">{{ $t('common.signIn') }}</RouterLink>
    </template>
    <p v-else-if="query.error.value" class="mt-4" role="alert">{{ $t('begin.theServerDoesNotAnswer') }}</p>
  </OpenPage>
</template>
