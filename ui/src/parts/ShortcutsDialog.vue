<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { stages } from '@/stages/registry'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ closed: [] }>()
const keys = [
  ['← →', 'move the thing in hand along the deck, 10 mm'],
  ['↑ ↓', 'move it across, in the view from above'],
  ['Shift + arrow', 'the same, 100 mm'],
  [`1 to ${Math.min(9, stages.length)}`, 'the stages'],
  ['U', 'the other units'],
  ['Ctrl Z, Ctrl Y', 'undo, redo'],
  ['Ctrl S', 'save now'],
  ['Esc', 'leave a preview'],
  ['?', 'this list'],
]
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="emit('closed')">
    <div class="fixed inset-0 bg-black/50" aria-hidden="true" />
    <div class="fixed inset-0 grid place-items-center p-4">
      <DialogPanel class="plate w-full max-w-md p-5">
        <DialogTitle class="text-lg font-bold">Keys</DialogTitle>
        <dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
          <template v-for="[k, what] in keys" :key="k"
            ><dt class="font-bold whitespace-nowrap">{{ k }}</dt>
            <dd>{{ what }}</dd></template
          >
        </dl>
        <button class="act mt-4" @click="emit('closed')">Close</button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
