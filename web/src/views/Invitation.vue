<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, reactive, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { accounts, takeUp } from '../api/account'
import { useAsking } from '../stores/asking'
import OpenPage from '../parts/OpenPage.vue'
import { roleName } from '../lib/words'
import { $t } from '../lib/i18n'

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
  { name: 'first_name', label: $t('common.firstName'), autocomplete: 'given-name', isNeeded: true },
  { name: 'last_name', label: $t('common.lastName'), autocomplete: 'family-name', isNeeded: false },
  { name: 'username', label: $t('common.nameToSignInWith'), autocomplete: 'username', isNeeded: true },
] as const
</script>

<template>
  <OpenPage
    :title="invited ? $t('invitation.welcomeTo', { studio_name: invited.studio_name }) : $t('common.anInvitation')"
  >
    <template v-if="invited">
      <p class="mt-1 mb-8 text-soft">
        {{ $t('invitation.invitesYouAsThePassword', { by_name: invited.by_name, role: roleName(invited.role) }) }}
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
        <label class="col-span-2 flex min-h-12 items-center gap-3"
          ><input v-model="form.is_studios" type="checkbox" class="size-6" /><span>{{
            $t('common.thisDeviceIsTheStudio')
          }}</span></label
        >
        <p v-if="asking.problem" class="col-span-2 rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">
          {{ asking.problem }}
        </p>
        <button class="btn btn-act col-span-2 min-h-16 text-lg" :disabled="asking.isBusy">
          {{ asking.isBusy ? $t('common.makingIt') : $t('invitation.makeMyAccount') }}
        </button>
      </form>
    </template>
    <p v-else-if="query.error.value" class="mt-4 text-lg" role="alert">
      {{ $t('invitation.thisInvitationOpensNothingIt') }}
    </p>
  </OpenPage>
</template>
