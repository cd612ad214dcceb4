<script setup lang="ts">
import type { Noted, Read } from '../api/events'
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import { queries } from '../api/queries'
import FootBar from '../parts/FootBar.vue'
import HeadMap from '../parts/HeadMap.vue'
import ReviewRow from '../parts/ReviewRow.vue'
import Tick from '../parts/Tick.vue'
import UndoButton from '../parts/UndoButton.vue'
import Wait from '../parts/Wait.vue'
import { useActs } from '../stores/acts'
import ReadResult, { type ZoneToRead } from './ReadResult.vue'
import { $t } from '../lib/i18n'

const route = useRoute()
const router = useRouter()
const id = String(route.params.id)
const query = useQuery(queries.review(id))
const acts = useActs(id)
const undone = computed(() => acts.undoNow(query.data.value?.undo))
const reading = ref<string | null>(null)
const isLabelRead = ref(false)
const ways = reactive<Record<string, string>>({})
const review = computed(() => query.data.value?.review ?? null)
const lanes = computed(() => review.value?.lanes ?? [])
const isLocked = computed(() => !['chair', 'review'].includes(query.data.value?.step ?? ''))
const kept = computed(() => review.value?.kept ?? [])
const toRead = computed<ZoneToRead | null>(() => {
  const part = kept.value.find((k) => k.key === reading.value)
  return part ? { ...part, is_kept: true } : (lanes.value.find((l) => l.key === reading.value) ?? null)
})
/** Parts no lightener went on are not counted among what should have lifted. */
const lifted = computed(() => lanes.value.filter((l) => !l.is_kept))
/** What is chosen for a zone: the technician's way, else the one advised, if it is open. */
const wayOf = (key: string) => {
  const lane = lanes.value.find((l) => l.key === key)
  const own = lane?.options.find((o) => o.way === ways[key] && !o.blocked)
  return own?.way ?? lane?.advised ?? 'tone'
}
const again = computed(() => lanes.value.filter((l) => wayOf(l.key) === 'again'))
const asksLabel = computed(() => again.value.some((l) => l.options.find((o) => o.way === 'again')?.asks_label))
const unread = computed(() => lanes.value.filter((l) => !l.is_read))
/** What can be read in the same look: parts not read yet, and of those kept only kept ones. */
const others = computed<ZoneToRead[]>(() =>
  (toRead.value?.is_kept ? kept.value.map((k) => ({ ...k, is_kept: true })) : unread.value).filter(
    (z) => z.key !== reading.value,
  ),
)

const pictures = computed(() =>
  (['before_hex', 'now_hex', 'target_hex'] as const).map((field) => {
    const fills: Record<string, string> = {}
    for (const lane of [...lanes.value].reverse()) fills[lane.zone_key] = lane[field]
    return {
      field,
      name: { before_hex: $t('common.before'), now_hex: $t('review.now'), target_hex: $t('review.wanted') }[field],
      fills,
    }
  }),
)
const owners = computed(() => {
  const found: Record<string, string> = {}
  for (const lane of lanes.value) for (const area of lane.areas) found[area] = lane.zone_key
  return found
})
const openZone = (zone: string) => {
  reading.value = lanes.value.find((l) => l.zone_key === zone)?.key ?? null
}
/** Read here a moment ago: what the server has said of the others may be older than that. */
const justRead = new Set<string>()
const read = async (values: Read) => {
  const lane = toRead.value
  if (!lane) return
  const many = values.also_for ?? []
  const said = many.length ? $t('common.parts', { count: many.length + 1 }) : lane.name
  if (await acts.read(values, said)) {
    for (const key of [lane.key, ...many]) justRead.add(key)
    reading.value = lanes.value.find((l) => !l.is_read && !justRead.has(l.key))?.key ?? null
  }
}
const note = (values: Noted) =>
  toRead.value &&
  acts.act('HairNoted', { zone_key: toRead.value.key, ...values }, $t('common.noted', { name: toRead.value.name }))
const lightenAgain = async () => {
  const some = again.value
  const data = {
    zone_keys: some.map((l) => l.key),
    volumes: some.map((l) => l.options.find((o) => o.way === 'again')?.volume_strength ?? 10),
    levels: some.map((l) => l.level),
    is_label_read: isLabelRead.value,
  }
  if (await acts.act('LighteningResumed', data, $t('review.zonesGoOnAgain', { count: some.length })))
    await router.push({ name: 'chair', params: { id } })
}
const goOn = async () => {
  const lowered = lanes.value.filter((l) => wayOf(l.key) === 'lower').map((l) => l.level)
  if (lowered.length) {
    const level = Math.min(...lowered)
    if (!(await acts.act('WishSet', { tone: query.data.value?.tone ?? 'neutral', level }))) return
  }
  if (await acts.act('ReviewFinished', {}, $t('review.reviewFinished')))
    await router.push({ name: 'tone', params: { id } })
}
</script>

<template>
  <main id="main" class="mx-auto w-full max-w-[1320px] px-4 pt-3 pb-28 sm:px-6">
    <h1 class="sr-only">{{ $t('common.review') }}</h1>
    <Wait
      v-if="!query.data.value"
      :is-loading="query.isLoading.value"
      :error="query.error.value"
      :what="$t('review.theReview')"
      @retry="query.refetch()"
    />
    <p v-else-if="!review || lanes.length === 0" class="panel mt-6 text-lg">
      <i18n-t keypath="review.noZoneIsRinsedYet" scope="global"
        ><template #part1
          ><RouterLink class="font-bold underline underline-offset-4" :to="{ name: 'service', params: { id } }">{{
            $t('common.backToWhereTheService')
          }}</RouterLink></template
        ></i18n-t
      >
    </p>
    <template v-else>
      <section
        class="mb-4 flex flex-wrap items-center gap-x-8 gap-y-2 rounded-[7px] bg-act px-5 py-3 text-act-ink"
        :aria-label="$t('common.next')"
        data-next
      >
        <p class="grow text-[24px] leading-tight font-semibold sm:text-[30px]">{{ review.advice }}</p>
        <p class="num text-[34px] leading-none">
          {{ lifted.filter((l) => l.is_on_target).length
          }}<span class="text-[20px] font-normal"> {{ ` ${$t('review.ofOnTarget', { count: lifted.length })}` }}</span>
        </p>
        <button
          v-if="unread[0] && !isLocked"
          type="button"
          class="min-h-14 rounded-[5px] bg-act-ink px-6 text-lg font-bold text-act"
          @click="reading = unread[0]?.key ?? null"
        >
          {{ $t('review.read', { name: unread[0].name }) }}
        </button>
      </section>
      <div class="grid gap-5 lg:grid-cols-[330px_minmax(0,1fr)]">
        <section class="panel self-start" :aria-label="$t('review.theHeadBeforeNowAnd')">
          <div class="grid grid-cols-2 gap-3">
            <figure v-for="p in pictures" :key="p.field" :class="{ 'order-first col-span-2': p.field === 'now_hex' }">
              <figcaption class="mb-1 text-sm font-semibold" :class="{ 'text-soft': p.field !== 'now_hex' }">
                {{ p.name }}
              </figcaption>
              <HeadMap :fills="p.fills" :owners="owners" :selected="[]" :is-locked="isLocked" @toggle="openZone" />
            </figure>
          </div>
          <ul v-if="lanes.some((l) => l.band)" class="mt-3 border-t border-line pt-2">
            <li v-for="l in lanes.filter((x) => x.band)" :key="l.key" class="flex items-baseline gap-2 py-0.5">
              <span class="swatch size-4 shrink-0 translate-y-0.5 rounded-full" :style="{ background: l.now_hex }" />
              <span
                ><strong>{{ l.name }}</strong> <span class="text-soft">{{ l.band }}</span></span
              >
            </li>
          </ul>
          <p v-else class="mt-3 text-soft">{{ $t('review.noBandFound') }}</p>
        </section>
        <section class="panel !py-1" :aria-label="$t('review.zoneByZone')">
          <ReviewRow
            v-for="(lane, i) in lanes"
            :key="lane.key"
            :class="{ '!border-t-0': i === 0 }"
            :lane="lane"
            :way="wayOf(lane.key)"
            :is-locked="isLocked"
            @read="reading = lane.key"
            @way="(w) => (ways[lane.key] = w)"
          />
          <div v-if="kept.length" class="border-t border-line py-3">
            <h2 class="font-semibold">{{ $t('review.leftAsTheyWere') }}</h2>
            <p class="text-[15px] text-soft">{{ $t('review.readWhatIsToBe') }}</p>
            <div class="mt-2 flex flex-wrap gap-2">
              <button
                v-for="part in kept"
                :key="part.key"
                type="button"
                class="btn"
                :disabled="isLocked"
                :aria-label="$t('review.read', { name: part.name })"
                @click="reading = part.key"
              >
                <span class="swatch size-6 rounded-full border border-strong" :style="{ background: part.now_hex }" />{{
                  part.name
                }}
              </button>
            </div>
          </div>
        </section>
      </div>
      <p v-if="query.data.value.open_zones.length" class="mt-3 font-semibold">
        {{ $t('common.stillLifting', { open_zones: query.data.value.open_zones.join(', ') }) }}
      </p>
      <FootBar>
        <template #undo>
          <UndoButton :is-off="!undone || acts.isBusy.value" :what="undone?.text" @undo="undone && acts.undo(undone)" />
        </template>
        <template v-if="!isLocked">
          <Tick v-if="asksLabel" v-model="isLabelRead"
            ><span class="text-[15px]">{{
              $t('review.theLabelOfAllowsAnother', { lightener_name: query.data.value.lightener_name })
            }}</span></Tick
          >
          <button
            type="button"
            class="btn ms-auto px-6 text-lg"
            :class="{ 'btn-act': again.length && !unread.length }"
            :disabled="again.length === 0 || unread.length > 0 || acts.isBusy.value || (asksLabel && !isLabelRead)"
            @click="lightenAgain"
          >
            <i18n-t keypath="review.lightenAgain" scope="global"
              ><template #count
                ><span v-if="again.length" class="num"> {{ again.length }}</span></template
              ></i18n-t
            >
          </button>
          <button
            type="button"
            class="btn px-6 text-lg"
            :class="{ 'btn-act': !again.length || unread.length }"
            :disabled="query.data.value.open_zones.length > 0 || acts.isBusy.value"
            @click="goOn"
          >
            {{ $t('common.toTheTone') }}
          </button>
        </template>
        <RouterLink v-else class="btn btn-act ms-auto px-8 text-lg" :to="{ name: 'tone', params: { id } }">{{
          $t('common.toTheTone')
        }}</RouterLink>
      </FootBar>
      <ReadResult
        :zone="toRead"
        :others="others"
        :service-id="id"
        :has-reader="query.data.value.has_reader"
        :is-busy="acts.isBusy.value"
        @close="reading = null"
        @read="read"
        @note="note"
      />
    </template>
  </main>
</template>
