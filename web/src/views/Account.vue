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
} from '../api/account'
import { queries } from '../api/queries'
import { useAsking } from '../stores/asking'
import OnceShown from '../parts/OnceShown.vue'
import { useNotices } from '../stores/notices'

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
  notices.say('Kept.')
  await refresh()
}

const word = reactive({ old_password: '', password: '' })
const wordAsking = useAsking()
const saveWord = async () => {
  if (!(await wordAsking.ask(() => changePassword({ ...word })))) return
  Object.assign(word, { old_password: '', password: '' })
  notices.say('Your password is changed; every other device is signed out.')
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
    notices.say('No codes are asked of you any more.')
    await refresh()
  }
}
const everywhere = async () => {
  try {
    await signOutEverywhere()
    notices.say('Every other device is signed out.')
  } catch (error) {
    notices.fail(error)
  }
}
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1240px] px-4 pt-2 pb-24 sm:px-6">
    <h1 class="mb-4 text-[34px] leading-tight">Your account</h1>
    <p v-if="owes" class="mb-4 border-l-[8px] border-signal bg-raised px-3 py-2 text-lg font-semibold" role="status">
      {{
        owes === 'password'
          ? 'Someone else chose your password. Choose one of your own first.'
          : 'The studio asks everyone for a second factor. Set yours up first.'
      }}
    </p>
    <div v-if="own" class="grid items-start gap-4 lg:grid-cols-2">
      <form
        class="panel grid gap-3"
        :class="{ 'order-first': owes === 'password' }"
        aria-labelledby="a-word"
        @submit.prevent="saveWord"
      >
        <h2 id="a-word" class="text-xl">Password</h2>
        <input type="text" class="hidden" autocomplete="username" :value="own.username" readonly />
        <div>
          <label class="label" for="w-old">As it is now</label
          ><input
            id="w-old"
            v-model="word.old_password"
            class="field"
            type="password"
            autocomplete="current-password"
            required
          />
        </div>
        <div>
          <label class="label" for="w-new">The new one, 10 letters or more</label
          ><input
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
          Change it
        </button>
      </form>

      <section class="panel grid gap-3" :class="{ 'order-first': owes === 'second_factor' }" aria-labelledby="a-factor">
        <h2 id="a-factor" class="text-xl">Second factor</h2>
        <p class="text-soft">
          <template v-if="own.has_second_factor"
            >Asked at every sign-in. {{ own.recovery_codes_left }} recovery codes are left for when the phone is
            gone.</template
          ><template v-else
            >Six digits from an app on your phone, beside the password: who learns the password still cannot sign
            in.</template
          >
        </p>
        <OnceShown v-if="codes.length" :text="codes.join('\n')"
          ><p class="mt-2 text-[15px]">
            Each opens once, when the phone is gone. Print them or write them down, and keep them apart from it.
          </p></OnceShown
        >
        <form v-if="setUp" class="grid gap-3 sm:grid-cols-[auto_1fr]" @submit.prevent="confirm">
          <img :src="drawing" alt="Key for the phone, to be photographed" class="size-48 rounded-[5px] bg-white" />
          <div class="grid content-start gap-3">
            <p>
              Photograph this with an app for one-time codes, or type its key:
              <span class="num block text-sm break-all select-all">{{ setUp.key }}</span>
            </p>
            <div>
              <label class="label" for="f-code">Six digits the app shows</label
              ><input
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
          <button class="btn btn-act sm:col-span-2" :disabled="factorAsking.asking.isBusy">Ask for codes</button>
        </form>
        <form v-else class="grid gap-3" @submit.prevent="own.has_second_factor ? anew() : begin()">
          <div>
            <label class="label" for="f-proof">Your password, to be sure it is you</label
            ><input
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
            <button class="btn grow">New recovery codes</button>
            <button
              v-if="!own.is_second_factor_demanded"
              type="button"
              class="btn grow"
              :disabled="!proof"
              @click="off"
            >
              Switch it off
            </button>
          </div>
          <button
            v-else
            class="btn"
            :class="{ 'btn-act': owes === 'second_factor' }"
            :disabled="factorAsking.asking.isBusy"
          >
            Set it up
          </button>
        </form>
      </section>

      <form class="panel grid grid-cols-2 gap-3" aria-labelledby="a-person" @submit.prevent="savePerson">
        <h2 id="a-person" class="col-span-2 text-xl">You</h2>
        <p class="col-span-2 text-soft">You sign in as {{ own.username }}.</p>
        <div>
          <label class="label" for="p-first">First name</label
          ><input id="p-first" v-model="person.first_name" class="field" maxlength="60" autocomplete="given-name" />
        </div>
        <div>
          <label class="label" for="p-last">Last name</label
          ><input id="p-last" v-model="person.last_name" class="field" maxlength="60" autocomplete="family-name" />
        </div>
        <div>
          <label class="label" for="p-mail">Mail address</label
          ><input id="p-mail" v-model="person.email" class="field" type="email" maxlength="200" autocomplete="email" />
        </div>
        <div>
          <label class="label" for="p-pass">Your password</label
          ><input
            id="p-pass"
            v-model="person.old_password"
            class="field"
            type="password"
            autocomplete="current-password"
            required
          />
        </div>
        <p class="col-span-2 text-sm text-soft">A forgotten password is set anew by a link to this address.</p>
        <p
          v-if="personAsking.asking.problem"
          class="col-span-2 rounded-[5px] bg-stop px-3 py-2 text-stop-ink"
          role="alert"
        >
          {{ personAsking.asking.problem }}
        </p>
        <button class="btn col-span-2" :disabled="personAsking.asking.isBusy">Keep</button>
      </form>

      <section class="panel grid gap-3" aria-labelledby="a-devices">
        <h2 id="a-devices" class="text-xl">Devices</h2>
        <p class="text-soft">
          <template v-if="own.is_studios">This device is the studio's: you stay signed in here for two weeks.</template
          ><template v-else
            >This device is not the studio's: you are signed out after {{ own.idle_min }} min without a touch, or when
            the browser is closed. While it follows a head at the chair it stays.</template
          >
        </p>
        <button type="button" class="btn" @click="everywhere">Sign out on every other device</button>
      </section>
    </div>
  </main>
</template>
