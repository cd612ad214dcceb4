<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { endRound } from '../api/practice'
import type { Schemas } from '../api/client'
import { clock as clockText } from '../lib/time'
import { difficulties, helps, topics } from '../lib/words'
import { useActs } from '../stores/acts'
import { useClock } from '../stores/clock'
import { useNotices } from '../stores/notices'
import { SPEEDS, usePractice } from '../stores/practice'
import Sheet from './Sheet.vue'
import { $t } from '../lib/i18n'

/** Over every step of a practice round: its clock, what the client says, what goes wrong, and the way out. */
const props = defineProps<{ serviceId: string }>()
const practice = usePractice()
const clock = useClock()
const acts = useActs(props.serviceId)
const notices = useNotices()
const router = useRouter()
const round = computed(() => practice.round)
const isAsking = ref(false)
const isEnding = ref(false)
const asked = computed(() => round.value?.asked.filter((a) => a.answer).length ?? 0)
/** What goes wrong now and is told of: it stays until something was done about it. */
const wrong = computed(() => (round.value?.mishaps ?? []).filter((m) => !m.is_hidden && m.answer === null && isNow(m)))
/** A telephone stops by itself. */
const isNow = (m: Schemas['MishapOut']) => {
  const since = (clock.now - new Date(m.at).getTime()) / 60_000
  return since >= 0 && (m.lasts_min === null || since < m.lasts_min)
}
const ask = async (topic: Schemas['Topic']) => {
  if (await acts.act('PracticeAsked', { topic })) await practice.renew()
}
const meet = async (mishap: Schemas['MishapOut'], answer: Schemas['Answer']) => {
  if (answer === 'seen_to' && mishap.takes_min) practice.forward(mishap.takes_min)
  if (!(await acts.act('MishapMet', { mishap: mishap.key, answer }))) return
  // what burns is noted where it burns: the board then asks for the rinse, whatever the level
  if (mishap.kind === 'burns' && mishap.lane_key)
    await acts.act('HairNoted', { zone_key: mishap.lane_key, scalp: 'burns' }, $t('practiceBar.notedItBurns'))
  await practice.renew()
}
const end = async () => {
  isEnding.value = true
  try {
    await practice.tell()
    await endRound(props.serviceId)
    practice.follow(null)
    notices.clear() // a round that is over takes nothing back
    await router.push({ name: 'debrief', params: { id: props.serviceId } })
  } catch (error) {
    notices.fail(error)
  } finally {
    isEnding.value = false
  }
}
const seenTo: Record<string, string> = {
  phone: $t('practiceBar.answerIt'),
  burns: $t('practiceBar.noteItRinseAtOnce'),
  stale: $t('common.seen'),
  shampoo: $t('practiceBar.noted'),
}
</script>

<template>
  <section
    v-if="round"
    class="no-print mx-4 mt-2 mb-2 rounded-[7px] border-2 border-dashed border-strong bg-panel sm:mx-6"
    :aria-label="$t('common.practice')"
  >
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2 px-3 py-2">
      <p class="min-w-0 leading-tight">
        <b>{{ $t('common.practice') }}</b> · {{ difficulties[round.difficulty] }}
        <span class="block text-sm text-soft"
          >{{ helps[round.help]
          }}<span class="max-sm:hidden"> {{ ` ${$t('practiceBar.seed', { seed: round.seed })}` }}</span></span
        >
      </p>
      <p class="num text-[30px] leading-none max-sm:ms-auto" :aria-label="$t('practiceBar.theClockOfThisRound')">
        {{ clockText(new Date(clock.now)) }}
      </p>
      <div
        v-if="!round.is_over"
        class="flex flex-wrap items-center gap-1"
        role="group"
        :aria-label="$t('practiceBar.howFastTimeGoesBy')"
      >
        <button
          type="button"
          class="btn w-20 !px-2 sm:w-28"
          :class="{ 'btn-act': practice.isHeld || practice.hasStopped }"
          @click="practice.isHeld || practice.hasStopped ? practice.runOn() : (practice.isHeld = true)"
        >
          {{
            practice.hasStopped
              ? $t('practiceBar.runOn')
              : practice.isHeld
                ? $t('practiceBar.run')
                : $t('practiceBar.hold')
          }}
        </button>
        <button
          v-for="s in SPEEDS"
          :key="s"
          type="button"
          class="btn num w-12 !px-0 sm:w-14"
          :class="{ 'btn-act': practice.speed === s && !practice.isHeld && !practice.hasStopped }"
          :aria-pressed="practice.speed === s"
          @click="
            () => {
              practice.speed = s
              practice.runOn()
            }
          "
        >
          ×{{ s }}
        </button>
      </div>
      <span class="hidden text-sm text-soft xl:inline">{{
        round.is_over
          ? $t('practiceBar.thisRoundIsOver')
          : practice.hasStopped
            ? $t('practiceBar.stoppedForSomethingIsDue')
            : practice.isHeld
              ? $t('practiceBar.timeStandsStill')
              : ''
      }}</span>
      <div class="flex gap-2 max-sm:w-full max-sm:*:grow sm:ms-auto">
        <button v-if="!round.is_over" type="button" class="btn" @click="isAsking = true">
          <i18n-t keypath="practiceBar.findOut" scope="global"
            ><template #part1
              ><span class="num font-normal text-soft">{{
                $t('practiceBar.of', { asked, count: round.asked.length })
              }}</span></template
            ></i18n-t
          >
        </button>
        <button v-if="!round.is_over" type="button" class="btn" :disabled="isEnding" @click="end">
          {{ isEnding ? $t('practiceBar.addingItUp') : $t('practiceBar.endAndDebrief') }}
        </button>
        <RouterLink v-else class="btn btn-act" :to="{ name: 'debrief', params: { id: serviceId } }">{{
          $t('common.debrief')
        }}</RouterLink>
      </div>
    </div>
    <div
      v-for="m in wrong"
      :key="m.key"
      class="flex flex-wrap items-center gap-3 border-t-2 border-line px-3 py-2"
      :class="m.kind === 'burns' ? 'bg-stop text-stop-ink' : 'border-s-[8px] border-s-signal'"
      role="alert"
    >
      <p class="grow text-lg font-semibold">{{ m.text }}</p>
      <button type="button" class="btn text-ink" :disabled="acts.isBusy.value" @click="meet(m, 'seen_to')">
        {{ seenTo[m.kind] }}
      </button>
      <button
        v-if="m.kind === 'phone'"
        type="button"
        class="btn text-ink"
        :disabled="acts.isBusy.value"
        @click="meet(m, 'let_be')"
      >
        {{ $t('practiceBar.letItRing') }}
      </button>
    </div>
    <Sheet
      :is-open="isAsking"
      :title="$t('practiceBar.findOut2')"
      :subtitle="$t('practiceBar.askLookAndTestWhat')"
      @close="isAsking = false"
    >
      <ul>
        <li v-for="a in round.asked" :key="a.topic" class="border-t border-line py-3">
          <div class="flex items-center gap-3">
            <h3 class="grow text-lg">{{ topics[a.topic].title }}</h3>
            <button
              v-if="a.answer === null"
              type="button"
              class="btn"
              :disabled="acts.isBusy.value"
              @click="ask(a.topic)"
            >
              {{ topics[a.topic].verb }}
            </button>
          </div>
          <p v-if="a.answer" class="mt-1 text-lg">{{ a.answer }}</p>
        </li>
      </ul>
    </Sheet>
  </section>
</template>

<style>
.has-bar ~ main {
  --above: 516px;
}
</style>
