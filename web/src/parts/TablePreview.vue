<script setup lang="ts">
/** What a table would bring in, whose names are there already, and every line that is wrong. */
defineProps<{
  preview: {
    count: number
    names: readonly string[]
    known: readonly string[]
    problems: readonly { line: number; column: string; limit: string; value: string }[]
  }
  what: string
  isBusy: boolean
}>()
defineEmits<{ take: []; leave: [] }>()
</script>

<template>
  <div class="mt-3 rounded-[5px] bg-raised p-3" role="status">
    <p>
      <i18n-t keypath="tablePreview.canComeIn" scope="global"
        ><template #part1
          ><strong>{{ preview.count }} {{ what }}</strong></template
        ><template #part2
          ><template v-if="preview.known.length">{{
            $t('tablePreview.haveANameThatIs', { count: preview.known.length })
          }}</template></template
        ></i18n-t
      >
    </p>
    <p class="truncate text-sm text-soft">{{ preview.names.slice(0, 8).join(', ') }}</p>
    <template v-if="preview.problems.length">
      <p class="mt-2 font-semibold text-stop">{{ $t('tablePreview.mendTheseLinesFirstUntil') }}</p>
      <ul class="max-h-60 overflow-y-auto text-[15px]">
        <li v-for="p in preview.problems" :key="`${p.line} ${p.column}`">
          {{ $t('tablePreview.lineMustBeIs', { line: p.line, column: p.column, limit: p.limit, p: p.value }) }}
        </li>
      </ul>
    </template>
    <div class="mt-2 flex gap-2">
      <button
        type="button"
        class="btn btn-act"
        :disabled="preview.problems.length > 0 || preview.count === 0 || isBusy"
        @click="$emit('take')"
      >
        {{ $t('tablePreview.bringThemIn') }}
      </button>
      <button type="button" class="btn" @click="$emit('leave')">{{ $t('common.leaveIt') }}</button>
    </div>
  </div>
</template>
