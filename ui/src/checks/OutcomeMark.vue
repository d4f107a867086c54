<script setup lang="ts">
// An outcome by shape: a crossed plate fails, a dashed ring is not known, a
// half-filled lozenge is tight, a full disc holds.
import { outcomeWord } from '@/words'

withDefaults(defineProps<{ outcome?: string; size?: number; word?: boolean }>(), { outcome: '', size: 20 })
</script>

<template>
  <span
    v-if="outcome"
    class="inline-flex items-center gap-1.5 font-bold whitespace-nowrap"
    :class="`text-${outcome}`"
    :data-outcome="outcome"
  >
    <svg viewBox="0 0 20 20" :width="size" :height="size" aria-hidden="true" class="shrink-0">
      <g v-if="outcome === 'fails'">
        <rect x="1" y="3" width="18" height="14" rx="2" fill="currentColor" />
        <path d="M6 6.5l8 7m0-7l-8 7" stroke="var(--panel)" stroke-width="2.6" stroke-linecap="round" />
      </g>
      <circle
        v-else-if="outcome === 'unknown'"
        cx="10"
        cy="10"
        r="7.5"
        fill="none"
        stroke="currentColor"
        stroke-width="2.6"
        stroke-dasharray="4.2 3.6"
      />
      <g v-else-if="outcome === 'tight'">
        <path d="M10 1.5L18.5 10 10 18.5 1.5 10z" fill="none" stroke="currentColor" stroke-width="2.2" />
        <path d="M1.5 10h17L10 18.5z" fill="currentColor" />
      </g>
      <circle v-else cx="10" cy="10" r="7.8" fill="currentColor" />
    </svg>
    <span v-if="word">{{ outcomeWord[outcome] }}</span>
    <span v-else class="sr-only">{{ outcomeWord[outcome] }}</span>
  </span>
</template>
