<script setup lang="ts">
import { computed } from 'vue'
import { stages } from '@/stages/registry'
import { useWords } from '@/words'
import DialogShell from './DialogShell.vue'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ closed: [] }>()
const { print } = useWords()
const keys = computed(() => [
  ['Tab, Enter', 'go to something in a drawing and select it'],
  ['← →', `move what is selected along the deck, ${print('length', 0.01)}`],
  ['↑ ↓', 'move it across, in the view from above'],
  ['Shift + arrow', `the same, ${print('length', 0.1)}`],
  [stages.length > 9 ? '1 to 9, 0' : `1 to ${stages.length}`, 'the stages'],
  ['U', 'the other units'],
  ['Ctrl Z, Ctrl Y', 'undo, redo'],
  ['Ctrl S', 'save now'],
  ['Esc', 'leave a preview'],
  ['?', 'this list'],
])
</script>

<template>
  <DialogShell :open="open" title="Keys" @closed="emit('closed')">
    <dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
      <template v-for="[k, what] in keys" :key="k"
        ><dt class="font-bold whitespace-nowrap">{{ k }}</dt>
        <dd>{{ what }}</dd></template
      >
    </dl>
  </DialogShell>
</template>
