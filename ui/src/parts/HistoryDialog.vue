<script setup lang="ts">
// The plan's earlier versions: look at one by bringing it back; that can be undone.
import { ref, watch } from 'vue'
import { api } from '@/api'
import type { Revision } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import DialogShell from './DialogShell.vue'

const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ closed: [] }>()
const workspace = useWorkspace()
const list = ref<Revision[]>()
const failure = ref('')
const name = ref('')

watch(
  () => props.open,
  async (open) => {
    if (!open) return
    list.value = undefined
    failure.value = ''
    try {
      list.value = await api.history(workspace.id)
    } catch (e) {
      failure.value = e instanceof Error ? e.message : String(e)
    }
  },
)
async function back(n: number) {
  try {
    await workspace.bringBack(n)
    emit('closed')
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
function keep() {
  workspace.saveNamed(name.value.trim() || 'kept')
  name.value = ''
  emit('closed')
}
const when = (s: string) =>
  new Date(s).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'medium' })
</script>

<template>
  <DialogShell :open="open" title="Earlier versions" width="max-w-lg" @closed="emit('closed')">
    <form class="mt-2 flex items-end gap-2" @submit.prevent="keep">
      <label class="flex-1"
        ><span class="text-soft text-sm">Keep this version under a name</span
        ><input v-model="name" class="box" maxlength="60"
      /></label>
      <button class="act">Keep</button>
    </form>
    <p v-if="failure" class="text-fails mt-2">{{ failure }}</p>
    <p class="text-soft mt-2 text-sm">
      Saved automatically: every version for two days, then one a day for two months, then one a month. Named
      versions stay.
    </p>
    <ul class="mt-3 overflow-auto">
      <li
        v-for="r in list"
        :key="r.revision"
        class="border-rule flex items-center justify-between gap-2 border-t py-1.5"
      >
        <span
          ><b>{{ r.label || 'Saved automatically' }}</b
          ><br /><span class="text-soft text-sm">{{ when(r.savedAt) }}</span></span
        >
        <button v-if="r.revision !== workspace.revision" class="act" @click="back(r.revision)">
          Bring back
        </button>
        <span v-else class="text-soft text-sm">This one</span>
      </li>
    </ul>
  </DialogShell>
</template>
