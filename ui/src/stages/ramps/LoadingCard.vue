<script setup lang="ts">
// What to do in order, to load and to unload. It prints.
import { computed } from 'vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say } = useWords()
const drive = computed(() => workspace.settledReport?.drive)
const cards = computed(() => [
  { name: 'To load', lines: drive.value?.on ?? [] },
  { name: 'To unload', lines: drive.value?.off ?? [] },
])
</script>

<template>
  <div v-if="drive?.on.length" class="plate shrink-0 p-3" data-loading-card>
    <h2 class="text-lg font-bold">Loading card</h2>
    <div class="mt-1 grid gap-x-6 gap-y-2 md:grid-cols-2">
      <section v-for="c in cards" :key="c.name" :aria-label="c.name">
        <h3 class="font-bold">{{ c.name }}</h3>
        <ol class="list-decimal space-y-1 pl-5 leading-snug">
          <li v-for="(l, i) in c.lines" :key="i" :class="{ 'font-semibold': l.care }">{{ say(l.says) }}</li>
        </ol>
      </section>
    </div>
  </div>
</template>
