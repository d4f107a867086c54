<script setup lang="ts">
// From one outing to the next on this trailer: what comes off and goes on, and the order with the
// least handling.
import { computed } from 'vue'
import { api } from '@/api'
import type { Changes } from '@/generated/types'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, nominal } = useWords()
const { data } = useStudy<Changes>((asked) => api.changes(asked), undefined, false)
const name = (id: string) => workspace.plan?.outings[id]?.name || 'An outing'
const saves = computed(() => (data.value?.before?.value ?? 0) - (data.value?.time?.value ?? 0) > 60)
const list = (things: { name: string }[]) => things.map((t) => t.name || 'a thing').join(', ')
</script>

<template>
  <div v-if="(data?.steps.length ?? 0) > 1" class="plate p-3" data-changes>
    <h2 class="text-lg font-bold">Changing over</h2>
    <p class="text-soft text-sm">
      {{
        saves
          ? `In this order ${nominal(data!.time)} in all, as they stand ${nominal(data!.before)}.`
          : `${nominal(data!.time)} in all.`
      }}
    </p>
    <ol class="mt-1">
      <li v-for="(s, i) in data!.steps" :key="s.to" class="border-rule border-t py-2 first:border-t-0">
        <p class="flex flex-wrap justify-between gap-x-3">
          <b>{{ i + 1 }}. {{ name(s.to) }}</b
          ><b>{{ nominal(s.time) }}</b>
        </p>
        <p class="leading-snug">{{ say(s.says) }}</p>
        <p v-if="s.off.length" class="text-soft text-sm">Off: {{ list(s.off) }}.</p>
        <p v-if="s.on.length" class="text-soft text-sm">On: {{ list(s.on) }}.</p>
      </li>
    </ol>
  </div>
</template>
