<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, reactive, ref, watch } from 'vue'
import {
  accounts,
  changeAccount,
  changePassword,
  confirmFactor,
  newRecoveryCodes,
  setUpFactor,
  signOutEverywhere,
  switchFactorOff,
  writeLanguage,
} from '../api/account'
import { queries } from '../api/queries'
import { useAsking } from '../stores/asking'
import OnceShown from '../parts/OnceShown.vue'
import { useNotices } from '../stores/notices'
import { $t, changeLanguage, forgetLanguage } from '../lib/i18n'
import LanguageChoice from '../parts/LanguageChoice.vue'

/** One's own account: names and address, password, second factor, devices. */
const session = useQuery(queries.session())
const query = useQuery(accounts.own())
const client = useQueryClient()
const notices = useNotices()
const own = computed(() => query.data.value)
const owes = computed(() => session.data.value?.owes ?? null)
const refresh = async () => {
  await Promise.all([query.refetch(), session.refetch()])
}

const person = reactive({ first_name: '', last_name: '', email: '', old_password: '' })
watch(own, (o) => o && Object.assign(person, { first_name: o.first_name, last_name: o.last_name, email: o.email }), {
  immediate: true,
})
const personAsking = useAsking()
const savePerson = async () => {
  if (!(await personAsking.ask(() => changeAccount({ ...person })))) return
  person.old_password = ''
  notices.say($t('common.kept'))
  await refresh()
}

const word = reactive({ old_password: '', password: '' })
const wordAsking = useAsking()
const saveWord = async () => {
  if (!(await wordAsking.ask(() => changePassword({ ...word })))) return
  Object.assign(word, { old_password: '', password: '' })
  notices.say($t('account.yourPasswordIsChangedEvery'))
  await refresh()
  if (owes.value === null) await client.invalidateQueries()
}

const factorAsking = useAsking()
const proof = ref('')
const setUp = ref<{ key: string; svg: string } | null>(null)
const code = ref('')
const codes = ref<string[]>([])
const drawing = computed(() => (setUp.value ? `data:image/svg+xml,${encodeURIComponent(setUp.value.svg)}` : ''))
const begin = async () => {
  const found = await factorAsking.ask(() => setUpFactor(proof.value))
  if (found) [setUp.value, proof.value] = [found, '']
}
const confirm = async () => {
  const found = await factorAsking.ask(() => confirmFactor(code.value))
  if (!found) return
  ;[setUp.value, code.value, codes.value] = [null, '', found.codes]
  await refresh()
}
const anew = async () => {
  const found = await factorAsking.ask(() => newRecoveryCodes(proof.value))
  if (found) [codes.value, proof.value] = [found.codes, '']
  await query.refetch()
}
const off = async () => {
  if (await factorAsking.ask(() => switchFactorOff(proof.value))) {
    ;[proof.value, codes.value] = ['', []]
    notices.say($t('account.noCodesAreAskedOf'))
    await refresh()
  }
}
const readIn = async (language: string) => {
  try {
    await writeLanguage(language)
    await refresh()
    if (language === '') forgetLanguage()
    else changeLanguage(language)
  } catch (error) {
    notices.fail(error)
  }
}
const everywhere = async () => {
  try {
    await signOutEverywhere()
    notices.say($t('account.everyOtherDeviceIsSigned'))
  } catch (error) {
    notices.fail(error)
  }
}
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-2 pb-24 sm:px-6">
    <h1 class="mb-4 text-[34px] leading-tight">{{ $t('common.yourAccount') }}</h1>
    <p v-if="owes" class="mb-4 border-s-[8px] border-signal bg-raised px-3 py-2 text-lg font-semibold" role="status">
      {{ owes === 'password' ? $t('account.someoneElseChoseYourPassword') : $t('account.theStudioAsksEveryoneFor') }}
    </p>
    <div v-if="own" class="grid items-start gap-4 lg:grid-cols-2">
      <form
        class="panel grid gap-3"
        :class="{ 'order-first': owes === 'password' }"
        aria-labelledby="a-word"
        @submit.prevent="saveWord"
      >
        <h2 id="a-word" class="text-xl">{{ $t('common.password') }}</h2>
        <input type="text" class="hidden" autocomplete="username" :value="own.username" readonly />
        <div>
          <label class="label" for="w-old">{{ $t('account.asItIsNow') }}</label><input
            id="w-old"
            v-model="word.old_password"
            class="field"
            type="password"
            autocomplete="current-password"
            required
          />
        </div>
        <div>
          <label class="label" for="w-new">{{ $t('account.theNewOne10Letters') }}</label><input
            id="w-new"
            v-model="word.password"
            class="field"
            type="password"
            minlength="10"
            autocomplete="new-password"
            required
          />
        </div>
        <p v-if="wordAsking.asking.problem" class="rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">
          {{ wordAsking.asking.problem }}
        </p>
        <button class="btn" :class="{ 'btn-act': owes === 'password' }" :disabled="wordAsking.asking.isBusy">
          {{ $t('account.changeIt') }}
        </button>
      </form>

      <section class="panel grid gap-3" :class="{ 'order-first': owes === 'second_factor' }" aria-labelledby="a-factor">
        <h2 id="a-factor" class="text-xl">{{ $t('account.secondFactor') }}</h2>
        <p class="text-soft">
          <template v-if="own.has_second_factor">{{
            $t('account.askedAtEverySignIn', { recovery_codes_left: own.recovery_codes_left })
          }}</template><template v-else>{{ $t('account.sixDigitsFromAnApp') }}</template>
        </p>
        <OnceShown v-if="codes.length" :text="codes.join('\n')"
          ><p class="mt-2 text-[15px]">
            {{ $t('account.eachOpensOnceWhenThe') }}
          </p></OnceShown
        >
        <form v-if="setUp" class="grid gap-3 sm:grid-cols-[auto_1fr]" @submit.prevent="confirm">
          <img :src="drawing" :alt="$t('account.keyForThePhoneTo')" class="size-48 rounded-[5px] bg-white" />
          <div class="grid content-start gap-3">
            <p>
              {{ $t('account.photographThisWithAnApp') }}
              <span class="num block text-sm break-all select-all">{{ setUp.key }}</span>
            </p>
            <div>
              <label class="label" for="f-code">{{ $t('account.sixDigitsTheAppShows') }}</label><input
                id="f-code"
                v-model="code"
                class="field num text-2xl tracking-widest"
                inputmode="numeric"
                autocomplete="one-time-code"
                maxlength="10"
                required
              />
            </div>
          </div>
          <p
            v-if="factorAsking.asking.problem"
            class="rounded-[5px] bg-stop px-3 py-2 text-stop-ink sm:col-span-2"
            role="alert"
          >
            {{ factorAsking.asking.problem }}
          </p>
          <button class="btn btn-act sm:col-span-2" :disabled="factorAsking.asking.isBusy">
            {{ $t('account.askForCodes') }}
          </button>
        </form>
        <form v-else class="grid gap-3" @submit.prevent="own.has_second_factor ? anew() : begin()">
          <div>
            <label class="label" for="f-proof">{{ $t('account.yourPasswordToBeSure') }}</label><input
              id="f-proof"
              v-model="proof"
              class="field"
              type="password"
              autocomplete="current-password"
              required
            />
          </div>
          <p v-if="factorAsking.asking.problem" class="rounded-[5px] bg-stop px-3 py-2 text-stop-ink" role="alert">
            {{ factorAsking.asking.problem }}
          </p>
          <div v-if="own.has_second_factor" class="flex flex-wrap gap-2">
            <button class="btn grow">{{ $t('account.newRecoveryCodes') }}</button>
            <button
              v-if="!own.is_second_factor_demanded"
              type="button"
              class="btn grow"
              :disabled="!proof"
              @click="off"
            >
              {{ $t('account.switchItOff') }}
            </button>
          </div>
          <button
            v-else
            class="btn"
            :class="{ 'btn-act': owes === 'second_factor' }"
            :disabled="factorAsking.asking.isBusy"
          >
            {{ $t('account.setItUp') }}
          </button>
        </form>
      </section>

      <form class="panel grid grid-cols-2 gap-3" aria-labelledby="a-person" @submit.prevent="savePerson">
        <h2 id="a-person" class="col-span-2 text-xl">{{ $t('common.you') }}</h2>
        <p class="col-span-2 text-soft">{{ $t('account.youSignInAs', { username: own.username }) }}</p>
        <div>
          <label class="label" for="p-first">{{ $t('common.firstName') }}</label><input
            id="p-first"
            v-model="person.first_name"
            class="field"
            maxlength="60"
            autocomplete="given-name"
          />
        </div>
        <div>
          <label class="label" for="p-last">{{ $t('common.lastName') }}</label><input
            id="p-last"
            v-model="person.last_name"
            class="field"
            maxlength="60"
            autocomplete="family-name"
          />
        </div>
        <div>
          <label class="label" for="p-mail">{{ $t('account.mailAddress') }}</label><input
            id="p-mail"
            v-model="person.email"
            class="field"
            type="email"
            maxlength="200"
            autocomplete="email"
          />
        </div>
        <div>
          <label class="label" for="p-pass">{{ $t('account.yourPassword') }}</label><input
            id="p-pass"
            v-model="person.old_password"
            class="field"
            type="password"
            autocomplete="current-password"
            required
          />
        </div>
        <p class="col-span-2 text-sm text-soft">{{ $t('account.aForgottenPasswordIsSet') }}</p>
        <p
          v-if="personAsking.asking.problem"
          class="col-span-2 rounded-[5px] bg-stop px-3 py-2 text-stop-ink"
          role="alert"
        >
          {{ personAsking.asking.problem }}
        </p>
        <button class="btn col-span-2" :disabled="personAsking.asking.isBusy">{{ $t('common.keep') }}</button>
      </form>

      <section class="panel">
        <LanguageChoice
          :model-value="own.language"
          :label="$t('language.youRead')"
          :none="$t('language.asTheDevice')"
          @update:model-value="readIn"
        />
      </section>
      <section class="panel grid gap-3" aria-labelledby="a-devices">
        <h2 id="a-devices" class="text-xl">{{ $t('account.devices') }}</h2>
        <p class="text-soft">
          <template v-if="own.is_studios">{{ $t('account.thisDeviceIsTheStudio') }}</template><template v-else>{{
            $t('account.thisDeviceIsNotThe', { idle_min: own.idle_min })
          }}</template>
        </p>
        <button type="button" class="btn" @click="everywhere">{{ $t('account.signOutOnEveryOther') }}</button>
      </section>
    </div>
  </main>
</template>
