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
      <strong>{{ preview.count }} {{ what }}</strong> can come in<template v-if="preview.known.length"
        >; {{ preview.known.length }} have a name that is here already and stay as they are</template
      >.
    </p>
    <p class="truncate text-sm text-soft">{{ preview.names.slice(0, 8).join(', ') }}</p>
    <template v-if="preview.problems.length">
      <p class="mt-2 font-semibold text-stop">Mend these lines first; until then nothing comes in.</p>
      <ul class="max-h-60 overflow-y-auto text-[15px]">
        <li v-for="p in preview.problems" :key="`${p.line} ${p.column}`">
          Line {{ p.line }}, {{ p.column }}: must be {{ p.limit }}, is “{{ p.value }}”.
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
        Bring them in
      </button>
      <button type="button" class="btn" @click="$emit('leave')">Leave it</button>
    </div>
  </div>
</template>
