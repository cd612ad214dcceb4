<script setup lang="ts">
import type { EventData } from '../api/events'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { queries, wantToOrder } from '../api/queries'
import { dueAtBasin } from '../lib/basin'
import { wishName } from '../lib/words'
import FootBar from '../parts/FootBar.vue'
import Tick from '../parts/Tick.vue'
import ToneBowls from '../parts/ToneBowls.vue'
import UndoButton from '../parts/UndoButton.vue'
import Wait from '../parts/Wait.vue'
import { useActs } from '../stores/acts'
import { useAttention } from '../stores/attention'
import { useClock } from '../stores/clock'
import { useNotices } from '../stores/notices'
import OwnFormula from './OwnFormula.vue'
import ShadowSheet from './ShadowSheet.vue'
import ToneBoard from './ToneBoard.vue'
import WishSheet from './WishSheet.vue'
import { $t } from '../lib/i18n'

const route = useRoute()
const id = String(route.params.id)
const clock = useClock()
const most = ref(3)
const isBright = ref(true)
const query = useQuery(computed(() => queries.tone(id, most.value, isBright.value)))
const acts = useActs(id)
const notices = useNotices()
const undone = computed(() => acts.undoNow(query.data.value?.undo))
const step = computed(() => query.data.value?.tone_step ?? null)
const lanes = computed(() => step.value?.lanes ?? [])
const sheet = ref<'' | 'wish' | 'own' | 'shadow'>('')
const isFiled = computed(() => query.data.value?.step === 'record')
const unread = computed(() => lanes.value.filter((l) => !l.is_read))
/** Whether a part is still to be toned: what is to be mixed and wished folds away once all is on. */
const hasOpen = computed(() => lanes.value.some((l) => !l.toner))
const onHair = computed(() => lanes.value.filter((l) => l.toner && !l.toner.rinsed_at))

useAttention(
  () => dueAtBasin(step.value?.acts ?? []),
  () => clock.now,
  () => $t('common.tone'),
)
/** Parts the wish sheet is opened for; none for all of the head. */
const wished = ref<string[]>([])
const openWish = (keys: readonly string[]) => {
  wished.value = [...keys]
  sheet.value = 'wish'
}
const wish = async (values: EventData<'WishSet'>) => {
  if (await acts.act('WishSet', values, $t('tone.theWishIsSet'))) sheet.value = ''
}
const order = async (what: string) => {
  try {
    await wantToOrder(what)
    notices.say($t('tone.onTheOrderListAt'), () => void wantToOrder(what, false))
  } catch (error) {
    notices.fail(error)
  }
}
const shadow = async (values: EventData<'ShadowSet'>) => {
  if (await acts.act('ShadowSet', values, values.length_mm ? $t('tone.rootShadowPlanned') : $t('tone.noRootShadow')))
    sheet.value = ''
}
const useOwn = async (values: EventData<'ToneFormulaSet'>, said: string) => {
  if (await acts.act('ToneFormulaSet', values, said)) sheet.value = ''
}
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1320px] px-4 pt-3 pb-28 sm:px-6">
    <h1 class="sr-only">{{ $t('common.tone') }}</h1>
    <Wait
      v-if="!query.data.value"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('tone.theTone')"
      @retry="query.refetch()"
    />
    <p v-else-if="!step || lanes.length === 0" class="panel mt-6 text-lg">
      <i18n-t keypath="tone.noZoneIsRinsedYet" scope="global"
        ><template #part1
          ><RouterLink class="font-bold underline underline-offset-4" :to="{ name: 'service', params: { id } }">{{
            $t('common.backToWhereTheService')
          }}</RouterLink></template
        ></i18n-t
      >
    </p>
    <template v-else>
      <p
        v-if="step.blocked"
        class="mb-3 rounded-[5px] bg-stop px-4 py-3 text-lg font-semibold text-stop-ink"
        role="alert"
      >
        {{ $t('tone.noTonerOfTheShelf', { blocked: step.blocked }) }}
      </p>
      <p
        v-else-if="step.is_wash_only"
        class="mb-3 rounded-[5px] border-s-[8px] border-ink bg-panel px-4 py-3 text-lg font-semibold"
      >
        <i18n-t keypath="tone.noOxidativeTonerOnThis" scope="global"
          ><template #blocked
            ><span class="font-normal text-soft">{{ step.shelf.find((s) => s.blocked)?.blocked }}</span></template
          ></i18n-t
        >
      </p>
      <ToneBoard
        :service-id="id"
        :step="step"
        :lanes="lanes"
        :has-next="!isFiled"
        :has-reader="query.data.value.has_reader"
        :is-locked="isFiled"
        @order="order"
      >
        <div
          v-if="hasOpen || unread.length || query.data.value.open_zones.length"
          class="mb-3 flex flex-wrap items-center gap-x-3 gap-y-2"
          role="group"
          :aria-label="$t('tone.wishes')"
        >
          <button
            v-for="w in step.wishes"
            :key="w.keys.join()"
            type="button"
            class="btn !h-auto !py-1 text-[17px]"
            :disabled="isFiled"
            @click="openWish(step.wishes.length > 1 ? w.keys : [])"
          >
            <span class="swatch h-10 w-14 rounded-[3px]" :style="{ background: w.hex }" /><span
              class="text-start leading-tight"
              ><span class="block">{{ wishName(w.wish) }}</span
              ><span class="block text-sm font-normal text-soft">{{
                w.names.length > 2 ? $t('common.parts', { count: w.names.length }) : w.names.join(', ')
              }}</span></span
            >
          </button>
          <span v-if="step.flat_hex" class="flex items-center gap-2 text-sm text-soft"
            ><i18n-t keypath="tone.flatGreyWithNoWarmth" scope="global"
              ><template #part1
                ><span class="swatch h-6 w-8 rounded-[3px]" :style="{ background: step.flat_hex }" /></template></i18n-t
          ></span>
          <Tick v-model="isBright" class="">{{ $t('tone.stayBright') }}</Tick>
          <p v-if="query.data.value.open_zones.length" class="ms-auto font-semibold">
            {{ $t('common.stillLifting', { open_zones: query.data.value.open_zones.join(', ') }) }}
          </p>
          <p v-else-if="unread.length && !isFiled" class="ms-auto font-semibold">
            {{ $t('tone.notReadSinceTheRinse', unread.length) }}
          </p>
        </div>
        <ToneBowls
          v-if="step.bowls.length && !isFiled && hasOpen"
          class="mb-3"
          :step="step"
          :most="most"
          :is-locked="isFiled"
          @most="(n) => (most = n)"
          @own="sheet = 'own'"
          @shadow="sheet = 'shadow'"
        />
      </ToneBoard>
      <p class="mt-4 text-sm text-soft">
        {{ $t('tone.sectionsOfAbout3Mm') }}
      </p>
      <FootBar>
        <template #undo>
          <UndoButton :is-off="!undone || acts.isBusy.value" :what="undone?.text" @undo="undone && acts.undo(undone)" />
        </template>
        <template #says
          ><p class="hidden grow text-end text-soft sm:block">
            {{ onHair.length ? $t('tone.tonerOnOf', { count: onHair.length, count2: lanes.length }) : '' }}
          </p></template
        >
        <RouterLink
          class="btn ms-auto px-8 text-lg whitespace-nowrap"
          :class="{ 'btn-act': !step.acts.length }"
          :to="{ name: 'record', params: { id } }"
          >{{ $t('common.toTheRecord') }}</RouterLink
        >
      </FootBar>
      <WishSheet
        :is-open="sheet === 'wish'"
        :step="step"
        :service-id="id"
        :has-reader="query.data.value.has_reader"
        :keys="wished"
        :is-busy="acts.isBusy.value"
        @close="sheet = ''"
        @wish="wish"
      />
      <OwnFormula
        :is-open="sheet === 'own'"
        :step="step"
        :service-id="id"
        :is-busy="acts.isBusy.value"
        @close="sheet = ''"
        @use="useOwn"
      />
      <ShadowSheet
        :is-open="sheet === 'shadow'"
        :step="step"
        :is-busy="acts.isBusy.value"
        @close="sheet = ''"
        @set="shadow"
      />
    </template>
  </main>
</template>
