<script setup lang="ts">
// A table of candidates: what can be used, and what cannot, by line and column.
import { ref, shallowRef, watch } from 'vue'
import { api } from '@/api'
import type { Import, Op } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import DialogShell from '@/parts/DialogShell.vue'

const props = defineProps<{ table: string }>()
const emit = defineEmits<{ closed: [] }>()
const workspace = useWorkspace()
const read = shallowRef<Import>()
const failure = ref('')

watch(
  () => props.table,
  async (csv) => {
    read.value = undefined
    failure.value = ''
    if (!csv || !workspace.plan) return
    try {
      read.value = await api.candidates({ plan: workspace.plan, outing: '', trailer: '' }, csv)
    } catch (e) {
      failure.value = e instanceof Error ? e.message : String(e)
    }
  },
)
function take() {
  if (read.value) workspace.edit(read.value.patch as Op[], 'read candidates')
  emit('closed')
}
</script>

<template>
  <DialogShell :open="!!table" title="Candidates from a table" width="max-w-xl" @closed="emit('closed')">
    <div data-import>
      <p v-if="failure" class="text-fails mt-2">{{ failure }}</p>
      <template v-if="read">
        <p class="mt-2">
          <b>{{ read.good }}</b> can be used<template v-if="read.wrong.length"
            >, {{ read.wrong.length }} cells cannot</template
          >.
        </p>
        <ul v-if="read.wrong.length" class="mt-2 min-h-0 overflow-auto text-sm" tabindex="0">
          <li v-for="(w, i) in read.wrong" :key="i" class="border-rule border-t py-1.5">
            <b>Line {{ w.line }}, column {{ w.column }}</b
            ><template v-if="w.head"> ({{ w.head }})</template>: {{ w.says }}
          </li>
        </ul>
        <p v-if="read.unread.length" class="text-soft mt-2 text-sm">
          Headings that are not known here: {{ read.unread.join(', ') }}.
        </p>
        <button class="act-main mt-3" :disabled="!read.good" @click="take">
          Add {{ read.good }} to the comparison
        </button>
      </template>
    </div>
  </DialogShell>
</template>
