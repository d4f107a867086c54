<script setup lang="ts">
// The link with the least margin, and the chain that it belongs to.
import { computed } from 'vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, print, nominal } = useWords()
const weakest = computed(() => workspace.report?.chain.find((l) => l.weakest))
const head = computed(() => workspace.report?.headline)
</script>

<template>
  <section v-if="weakest" aria-labelledby="weakest-title">
    <div class="flex items-baseline justify-between gap-2">
      <h2 id="weakest-title" class="text-soft text-sm">Weakest link</h2>
      <span v-if="head" class="text-soft text-sm">{{ head.checked }} of {{ head.of }} links checked</span>
    </div>
    <p class="flex items-baseline justify-between gap-2 text-lg leading-tight font-bold">
      <span>{{ say(weakest.name) }}</span><span>{{ print('share', weakest.share!.value) }}</span>
    </p>
    <p class="text-soft text-sm">{{ nominal(weakest.figure) }} of {{ nominal(weakest.limit) }} used</p>
  </section>
</template>
