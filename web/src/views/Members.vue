<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { reactive, ref } from 'vue'
import { addMember, afterwards, changeMember } from '../api/afterwards'
import type { Schemas } from '../api/client'
import { useNotices } from '../stores/notices'

/** Who works here and what each may do. */
defineProps<{ isLocked: boolean }>()
const query = useQuery(afterwards.members())
const eyes = useQuery(afterwards.eyes())
const eyesOf = (name: string) => (eyes.data.value ?? []).filter((e) => e.name === name).map((e) => e.says)
const notices = useNotices()
const isAdding = ref(false)
const roles = ['owner', 'technician', 'assistant'] as const
const usual = { username: '', first_name: '', last_name: '', role: 'assistant' as (typeof roles)[number], password: '' }
const form = reactive({ ...usual })
const run = async (does: () => Promise<unknown>, said: string) => {
  try {
    await does()
    notices.say(said)
    return true
  } catch (error) {
    notices.fail(error)
    return false
  } finally {
    await query.refetch()
  }
}
const add = async () => {
  if (await run(() => addMember({ ...form }), `${form.first_name || form.username} can sign in now.`)) {
    Object.assign(form, usual)
    isAdding.value = false
  }
}
const role = (m: Schemas['MemberOut'], event: Event) =>
  run(
    () => changeMember(m.id, { role: (event.target as HTMLSelectElement).value as Schemas['MemberOut']['role'] }),
    `${m.name}: changed.`,
  )
const active = (m: Schemas['MemberOut']) =>
  run(
    () => changeMember(m.id, { is_active: !m.is_active }),
    m.is_active ? `${m.name} is signed out everywhere and cannot sign in.` : `${m.name} can sign in again.`,
  )
const passwordOf = ref<number | null>(null)
const password = ref('')
const setPassword = async (m: Schemas['MemberOut']) => {
  if (await run(() => changeMember(m.id, { password: password.value }), `${m.name}: new password.`)) {
    passwordOf.value = null
    password.value = ''
  }
}
</script>

<template>
  <section class="panel" aria-labelledby="members">
    <div class="mb-1 flex items-center">
      <h2 id="members" class="grow text-xl">Members</h2>
      <button v-if="!isLocked && !isAdding" type="button" class="btn !min-h-11" @click="isAdding = true">
        Add a member
      </button>
    </div>
    <form v-if="isAdding" class="mb-3 grid grid-cols-2 gap-3 border-t border-line pt-3" @submit.prevent="add">
      <div>
        <label class="label" for="m-first">First name</label
        ><input id="m-first" v-model="form.first_name" class="field" maxlength="60" />
      </div>
      <div>
        <label class="label" for="m-last">Last name</label
        ><input id="m-last" v-model="form.last_name" class="field" maxlength="60" />
      </div>
      <div>
        <label class="label" for="m-user">Name to sign in with</label
        ><input id="m-user" v-model="form.username" class="field" required maxlength="60" autocomplete="off" />
      </div>
      <div>
        <label class="label" for="m-pass">First password, 10 letters or more</label
        ><input
          id="m-pass"
          v-model="form.password"
          class="field"
          type="password"
          required
          minlength="10"
          autocomplete="new-password"
        />
      </div>
      <div>
        <label class="label" for="m-role">Role</label
        ><select id="m-role" v-model="form.role" class="field capitalize">
          <option v-for="r in roles" :key="r" :value="r">{{ r }}</option>
        </select>
      </div>
      <div class="flex items-end gap-2">
        <button class="btn btn-act grow">Add</button
        ><button type="button" class="btn" @click="isAdding = false">Leave it</button>
      </div>
    </form>
    <ul>
      <li
        v-for="m in query.data.value ?? []"
        :key="m.id"
        class="flex flex-wrap items-center gap-2 border-t border-line py-2"
      >
        <span class="grow basis-44" :class="{ 'text-soft line-through': !m.is_active }"
          ><strong class="mr-2">{{ m.name }}</strong
          ><span class="text-soft">{{ m.username }}{{ m.is_you ? ', you' : '' }}</span
          ><span v-if="eyesOf(m.name).length" class="block text-sm text-soft"
            >Eye, {{ eyesOf(m.name).join(' · ') }}</span
          ><RouterLink
            v-if="m.is_you"
            class="block py-1 text-sm underline underline-offset-4"
            :to="{ name: 'calibrate' }"
            >Calibrate your eye, five minutes</RouterLink
          ></span
        >
        <template v-if="!isLocked">
          <label class="sr-only" :for="`role-${m.id}`">Role of {{ m.name }}</label
          ><select :id="`role-${m.id}`" class="btn !min-h-11 px-2 capitalize" :value="m.role" @change="role(m, $event)">
            <option v-for="r in roles" :key="r" :value="r">{{ r }}</option></select
          ><button
            type="button"
            class="btn !min-h-11 px-3"
            :aria-label="`New password for ${m.name}`"
            @click="passwordOf = passwordOf === m.id ? null : m.id"
          >
            Password</button
          ><button type="button" class="btn !min-h-11 px-3" @click="active(m)">
            {{ m.is_active ? 'Suspend' : 'Let in again' }}
          </button>
          <form v-if="passwordOf === m.id" class="flex w-full gap-2" @submit.prevent="setPassword(m)">
            <label class="sr-only" :for="`pass-${m.id}`">New password</label
            ><input
              :id="`pass-${m.id}`"
              v-model="password"
              class="field"
              type="password"
              minlength="10"
              required
              placeholder="New password, 10 letters or more"
              autocomplete="new-password"
            /><button class="btn btn-act">Set</button>
          </form>
        </template>
        <span v-else class="text-soft capitalize">{{ m.role }}</span>
      </li>
    </ul>
  </section>
</template>
