<script setup lang="ts">
// What few need, folded away under its heading.
import { ChevronDownIcon } from '@heroicons/vue/20/solid'
</script>

<template>
  <details class="group">
    <summary class="flex min-h-11 cursor-pointer items-center gap-2">
      <span class="min-w-0 flex-1"><slot name="heading" /></span>
      <ChevronDownIcon class="no-print size-5 shrink-0 group-open:rotate-180" aria-hidden="true" />
    </summary>
    <slot />
  </details>
</template>
