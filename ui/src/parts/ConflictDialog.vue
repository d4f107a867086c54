<script setup lang="ts">
// Another tab or device saved the plan since: nothing is overwritten.
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useWorkspace } from '@/stores/workspace'

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
  <Dialog :open="workspace.saveState === 'conflict'" class="relative z-50" @close="() => {}">
    <div class="fixed inset-0 bg-black/60" aria-hidden="true" />
    <div class="fixed inset-0 grid place-items-center p-4">
      <DialogPanel class="plate w-full max-w-md p-5">
        <DialogTitle class="text-lg font-bold">The plan was changed elsewhere</DialogTitle>
        <p class="mt-2">
          Another tab or device saved it since you opened it. Nothing was overwritten. Your version is still
          here.
        </p>
        <p v-if="failure" class="text-fails mt-2" role="alert">{{ failure }}</p>
        <div class="mt-4 flex flex-wrap gap-2">
          <button class="act-main" @click="copy">Keep mine as a copy</button>
          <button class="act min-h-11" @click="workspace.reload()">Load the other version</button>
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
