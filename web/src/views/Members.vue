<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { reactive, ref } from 'vue'
import { accounts, invite, makeReset, takeInvitationBack } from '../api/account'
import { afterwards, changeMember } from '../api/afterwards'
import type { Schemas } from '../api/client'
import OnceShown from '../parts/OnceShown.vue'
import SweptStrands from '../parts/SweptStrands.vue'
import { useNotices } from '../stores/notices'
import { $t } from '../lib/i18n'
import { dayText } from '../lib/time'
import { roleName } from '../lib/words'

/** Who works here and what each may do. */
const props = defineProps<{ isLocked: boolean }>()
const query = useQuery(afterwards.members())
const eyes = useQuery(afterwards.eyes())
const eyesOf = (name: string) => (eyes.data.value ?? []).filter((e) => e.name === name)
const notices = useNotices()
const invitations = useQuery({ ...accounts.invitations(), enabled: () => !props.isLocked })
const isAdding = ref(false)
const roles = ['owner', 'technician', 'assistant'] as const
const usual = { for_name: '', email: '', role: 'assistant' as (typeof roles)[number] }
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
/** A secret address, shown once, and what it is for. */
const made = ref<{ text: string; says: string } | null>(null)
const add = async () => {
  try {
    const found = await invite({ ...form })
    const who = found.for_name || $t('members.aNew', { role: roleName(found.role) })
    made.value = {
      text: `${window.location.origin}${found.path ?? ''}`,
      says: found.is_mailed
        ? $t('members.itWasMailedToAs', { email: found.email })
        : $t('members.handItToItMakes', { who }),
    }
    Object.assign(form, usual)
    isAdding.value = false
    await invitations.refetch()
  } catch (error) {
    notices.fail(error)
  }
}
const takeBack = async (id: string) => {
  await run(() => takeInvitationBack(id), $t('members.itsLinkOpensNothingAny'))
  made.value = null
  await invitations.refetch()
}
const day = (at: string) => dayText(at, { day: 'numeric', month: 'long' })
const role = (m: Schemas['MemberOut'], event: Event) =>
  run(
    () => changeMember(m.id, { role: (event.target as HTMLSelectElement).value as Schemas['MemberOut']['role'] }),
    $t('members.changed', { name: m.name }),
  )
const active = (m: Schemas['MemberOut']) =>
  run(
    () => changeMember(m.id, { is_active: !m.is_active }),
    m.is_active
      ? $t('members.isSignedOutEverywhereAnd', { name: m.name })
      : $t('members.canSignInAgain', { name: m.name }),
  )
const resetOf = async (m: Schemas['MemberOut']) => {
  try {
    const { path } = await makeReset(m.id)
    made.value = {
      text: `${window.location.origin}${path}`,
      says: $t('members.handItToWhoSets', { name: m.name }),
    }
  } catch (error) {
    notices.fail(error)
  }
}
const factorOff = (m: Schemas['MemberOut']) =>
  run(() => changeMember(m.id, { has_second_factor: false }), $t('members.noCodesAreAskedFor', { name: m.name }))
</script>

<template>
  <section class="panel" aria-labelledby="members">
    <div class="mb-1 flex items-center">
      <h2 id="members" class="grow text-xl">{{ $t('members.members') }}</h2>
      <button v-if="!isLocked && !isAdding" type="button" class="btn !min-h-11" @click="isAdding = true">
        {{ $t('members.inviteSomeone') }}
      </button>
    </div>
    <form v-if="isAdding" class="mb-3 grid grid-cols-2 gap-3 border-t border-line pt-3" @submit.prevent="add">
      <div>
        <label class="label" for="m-name">{{ $t('members.forWhom') }}</label><input
          id="m-name"
          v-model="form.for_name"
          class="field"
          maxlength="80"
          autocomplete="off"
        />
      </div>
      <div>
        <label class="label" for="m-mail">{{ $t('members.mailAddressIfTheLink') }}</label><input
          id="m-mail"
          v-model="form.email"
          class="field"
          type="email"
          maxlength="200"
          autocomplete="off"
        />
      </div>
      <div>
        <label class="label" for="m-role">{{ $t('members.role') }}</label><select
          id="m-role"
          v-model="form.role"
          class="field capitalize"
        >
          <option v-for="r in roles" :key="r" :value="r">{{ roleName(r) }}</option>
        </select>
      </div>
      <div class="flex items-end gap-2">
        <button class="btn btn-act grow">{{ $t('members.makeTheLink') }}</button><button
          type="button"
          class="btn"
          @click="isAdding = false"
        >
          {{ $t('common.leaveIt') }}
        </button>
      </div>
    </form>
    <OnceShown v-if="made" :text="made.text" class="mt-2 mb-3"
      ><p class="mt-1 text-[15px]">{{ made.says }}</p></OnceShown
    >
    <ul>
      <li
        v-for="i in invitations.data.value ?? []"
        :key="i.id"
        class="flex flex-wrap items-center gap-2 border-t border-line py-2"
      >
        <span class="grow basis-44"
          ><strong class="me-2">{{ i.for_name || $t('members.someone') }}</strong
          ><span class="text-soft">{{
            $t('members.invitedAsUntil', { role: roleName(i.role), expires_at: day(i.expires_at) })
          }}</span></span
        ><button type="button" class="btn !min-h-11 px-3" @click="takeBack(i.id)">{{ $t('common.takeBack') }}</button>
      </li>
      <li
        v-for="m in query.data.value ?? []"
        :key="m.id"
        class="flex flex-wrap items-center gap-2 border-t border-line py-2"
      >
        <span class="grow basis-44" :class="{ 'text-soft line-through': !m.is_active }"
          ><strong class="me-2">{{ m.name }}</strong
          ><span class="text-soft">{{ m.username }}{{ m.is_you ? $t('members.you') : '' }}</span
          ><span v-if="eyesOf(m.name)[0]" class="block text-sm text-soft"
            >{{
              $t('members.eye', {
                name: eyesOf(m.name)
                  .map((e) => e.says)
                  .join(' · '),
              })
            }}<SweptStrands
              class="mt-1 !max-w-[180px]"
              :model="eyesOf(m.name)[0]!.hexes_lying"
              :learnt="eyesOf(m.name)[0]!.hexes_read"
              :label="$t('members.eyeLiesAbove')" /></span
          ><RouterLink
            v-if="m.is_you"
            class="block py-1 text-sm underline underline-offset-4"
            :to="{ name: 'calibrate' }"
            >{{ $t('members.calibrateYourEyeFiveMinutes') }}</RouterLink
          ></span
        >
        <template v-if="!isLocked">
          <label class="sr-only" :for="`role-${m.id}`">{{ $t('members.roleOf', { name: m.name }) }}</label><select
            :id="`role-${m.id}`"
            class="btn !min-h-11 px-2 capitalize"
            :value="m.role"
            @change="role(m, $event)"
          >
            <option v-for="r in roles" :key="r" :value="r">{{ roleName(r) }}</option></select
          ><button
            v-if="!m.is_you"
            type="button"
            class="btn !min-h-11 px-3"
            :aria-label="$t('members.newPasswordFor', { name: m.name })"
            @click="resetOf(m)"
          >
            {{ $t('members.newPassword') }}</button
          ><button
            v-if="m.has_second_factor && !m.is_you"
            type="button"
            class="btn !min-h-11 px-3"
            :aria-label="$t('members.secondFactorOfOff', { name: m.name })"
            @click="factorOff(m)"
          >
            {{ $t('members.phoneLost') }}</button
          ><button type="button" class="btn !min-h-11 px-3" @click="active(m)">
            {{ m.is_active ? $t('members.suspend') : $t('members.letInAgain') }}
          </button>
        </template>
        <span v-else class="text-soft capitalize">{{ roleName(m.role) }}</span>
      </li>
    </ul>
  </section>
</template>
