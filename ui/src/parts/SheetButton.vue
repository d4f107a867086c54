<script setup lang="ts">
// Prints the plate that it stands on, alone on its sheet: without the checks, the drawing and its neighbours.
import { PrinterIcon } from '@heroicons/vue/20/solid'
import { useTemplateRef } from 'vue'

defineProps<{ label: string }>()
const button = useTemplateRef<HTMLElement>('button')
function printed() {
  const root = document.documentElement
  const plate = button.value?.closest<HTMLElement>('.plate')
  if (!plate) return
  root.dataset.sheet = plate.dataset.sheetOf = 'alone'
  const over = () => {
    delete root.dataset.sheet
    delete plate.dataset.sheetOf
  }
  window.addEventListener('afterprint', over, { once: true })
  window.print()
}
</script>

<template>
  <button ref="button" class="act no-print size-11 shrink-0" :aria-label="label" @click="printed">
    <PrinterIcon class="size-5" />
  </button>
</template>
