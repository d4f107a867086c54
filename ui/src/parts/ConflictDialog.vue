<script setup lang="ts">
// Another tab or device saved the plan since: nothing is overwritten.
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useWorkspace } from '@/stores/workspace'
import DialogShell from './DialogShell.vue'

const workspace = useWorkspace()
const router = useRouter()
const failure = ref('')
async function copy() {
  try {
    const id = await workspace.keepAsCopy()
    await router.push(`/plan/${id}/balance`)
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
</script>

<template>
  <DialogShell :open="workspace.saveState === 'conflict'" title="The plan was changed elsewhere" must>
    <p class="mt-2">
      Another tab or device saved it since you opened it. Nothing was overwritten. Your version is still here.
    </p>
    <p v-if="failure" class="text-fails mt-2" role="alert">{{ failure }}</p>
    <div class="mt-4 flex flex-wrap gap-2">
      <button class="act-main" @click="copy">Keep mine as a copy</button>
      <button class="act min-h-11" @click="workspace.reload()">Load the other version</button>
    </div>
  </DialogShell>
</template>
