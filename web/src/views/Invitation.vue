<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, reactive, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { accounts, takeUp } from '../api/account'
import { useAsking } from '../stores/asking'
import OpenPage from '../parts/OpenPage.vue'

/** A place in a studio, taken up with an account of one's own. */
const route = useRoute()
const router = useRouter()
const client = useQueryClient()
const secret = String(route.params.secret)
const query = useQuery(accounts.invitation(secret))
const invited = computed(() => query.data.value)
const form = reactive({ first_name: '', last_name: '', username: '', password: '', is_studios: false })
watch(invited, (i) => {
  if (i && !form.first_name)
    [form.first_name, form.last_name] = [i.for_name.split(' ')[0]!, i.for_name.split(' ').slice(1).join(' ')]
})
const { asking, ask } = useAsking()
const send = async () => {
  const session = await ask(() => takeUp(secret, { ...form }))
  if (!session) return
  client.setQueryData(['session'], session)
  await router.replace({ name: 'day' })
}
const fields = [
  { name: 'first_name', label: 'First name', autocomplete: 'given-name', isNeeded: true },
  { name: 'last_name', label: 'Last name', autocomplete: 'family-name', isNeeded: false },
  { name: 'username', label: 'Name to sign in with', autocomplete: 'username', isNeeded: true },
] as const
</script>

<template>
  <OpenPage :title="invited ? `Welcome to ${invited.studio_name}` : 'An invitation'">
    <template v-if="invited">
      <p class="mt-1 mb-8 text-soft">
        {{ invited.by_name }} invites you as {{ invited.role }}. The password is yours alone: nobody else sees it.
      </p>
      <form class="grid grid-cols-2 gap-4" @submit.prevent="send">
        <div v-for="f in fields" :key="f.name">
          <label class="label" :for="f.name">{{ f.label }}</label>
          <input
            :id="f.name"
            v-model="form[f.name]"
            class="field"
            :autocomplete="f.autocomplete"
            maxlength="60"
            autocapitalize="none"
            :aria-invalid="asking.field === f.name || undefined"
            :required="f.isNeeded"
          />
        </div>
        <div>
          <label class="label" for="password">Password, 10 letters or more</label>
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
        <label class="col-span-2 flex min-h-12 items-center gap-3"
          ><input v-model="form.is_studios" type="checkbox" class="size-6" /><span
            >This device is the studio's: stay signed in here</span
          ></label
        >
        <p v-if="asking.problem" class="col-span-2 rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">
          {{ asking.problem }}
        </p>
        <button class="btn btn-act col-span-2 min-h-16 text-lg" :disabled="asking.isBusy">
          {{ asking.isBusy ? 'Making it …' : 'Make my account' }}
        </button>
      </form>
    </template>
    <p v-else-if="query.error.value" class="mt-4 text-lg" role="alert">
      This invitation opens nothing: it was taken up, taken back, or is older than a week. Ask the studio for another.
    </p>
  </OpenPage>
</template>
