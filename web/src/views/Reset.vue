<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRoute } from 'vue-router'
import { accounts, reset } from '../api/account'
import { useAsking } from '../stores/asking'
import OpenPage from '../parts/OpenPage.vue'

/** A new password without the old one, by a link that works once. */
const route = useRoute()
const [uid, token] = [String(route.params.uid), String(route.params.token)]
const query = useQuery(accounts.reset(uid, token))
const password = ref('')
const isDone = ref(false)
const { asking, ask } = useAsking()
const send = async () => {
  isDone.value = Boolean(await ask(() => reset(uid, token, password.value)))
}
</script>

<template>
  <OpenPage :title="$t('common.aNewPassword')">
    <template v-if="isDone">
      <p class="mt-2 mb-6 text-lg">{{ $t('reset.itIsSetAndEvery') }}</p>
      <RouterLink class="btn btn-act self-start" :to="{ name: 'day' }">{{ $t('common.signIn') }}</RouterLink>
    </template>
    <form v-else-if="query.data.value" class="mt-2 flex flex-col gap-4" @submit.prevent="send">
      <p class="text-soft">
        {{ $t('reset.forWhoSignsInAs', { name: query.data.value.name, username: query.data.value.username }) }}
      </p>
      <input type="text" class="hidden" autocomplete="username" :value="query.data.value.username" readonly />
      <div>
        <label class="label" for="password">{{ $t('common.password10LettersOrMore') }}</label>
        <input
          id="password"
          v-model="password"
          class="field"
          type="password"
          autocomplete="new-password"
          minlength="10"
          required
          autofocus
        />
      </div>
      <p v-if="asking.problem" class="rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">
        {{ asking.problem }}
      </p>
      <button class="btn btn-act min-h-16 text-lg" :disabled="asking.isBusy">
        {{ asking.isBusy ? $t('reset.settingIt') : $t('reset.setIt') }}
      </button>
    </form>
    <p v-else-if="query.error.value" class="mt-4 text-lg" role="alert">
      {{ $t('reset.thisLinkOpensNothingIt') }}
    </p>
  </OpenPage>
</template>
