<script setup lang="ts">
// What to weigh or find next, most useful first, and questions about slips.
import { computed, ref } from 'vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const emit = defineEmits<{ go: [string] }>()
const workspace = useWorkspace()
const { say } = useWords()
const all = ref(false)
const next = computed(() => workspace.report?.next ?? [])
const rows = computed(() => (all.value ? next.value : next.value.slice(0, 3)))
const questions = computed(() => workspace.report?.questions ?? [])
</script>

<template>
  <section
    v-if="questions.length"
    aria-labelledby="ask-title"
    class="plate border-l-unknown mb-3 border-l-4 p-3"
  >
    <h2 id="ask-title" class="font-bold">Is this meant?</h2>
    <div v-for="q in questions" :key="q.code + q.path" class="mt-1" :data-question="q.code">
      <p class="leading-snug">{{ say(q.says) }}</p>
      <button v-if="q.fix" class="act mt-1" @click="workspace.edit(q.fix.patch, say(q.fix.name))">
        {{ say(q.fix.name) }}
      </button>
    </div>
  </section>
  <section v-if="next.length" aria-labelledby="next-title" class="mb-2">
    <h2 id="next-title" class="text-lg font-bold">Weigh or find next</h2>
    <ol class="mt-1 space-y-1">
      <li v-for="n in rows" :key="n.path" class="leading-snug">
        <button
          class="hover:bg-wash flex min-h-8 w-full rounded-md px-1 text-left"
          @click="emit('go', n.path)"
        >
          <span aria-hidden="true" class="text-deep pr-2 font-bold">›</span>
          <span
            ><span class="first-letter:uppercase inline-block font-semibold">{{ say(n.says) }}</span>
            <span v-if="n.where?.length" class="text-soft block text-sm">{{ say(n.where) }}</span></span
          >
        </button>
      </li>
    </ol>
    <button v-if="next.length > 3" class="text-deep no-print min-h-8 text-sm underline" @click="all = !all">
      {{ all ? 'Fewer' : `${next.length - 3} more` }}
    </button>
  </section>
</template>
