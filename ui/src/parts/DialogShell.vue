<script setup lang="ts">
// The shell of every dialog: shade, panel, title, and a cross where it can be closed.
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { XMarkIcon } from '@heroicons/vue/24/outline'
import { nextTick, watch } from 'vue'

const { open, width = 'max-w-md' } = defineProps<{
  open: boolean
  title: string
  width?: 'max-w-sm' | 'max-w-md' | 'max-w-lg' | 'max-w-xl' | 'max-w-3xl'
  must?: boolean // it cannot be left without an answer
}>()
const emit = defineEmits<{ closed: [] }>()

// Who opened it has the focus again when it closes, so that the next key goes on from there.
let opener: Element | null = null
watch(
  () => open,
  async (now) => {
    if (now) opener = document.activeElement
    else {
      await nextTick()
      requestAnimationFrame(() => {
        const lost = !document.activeElement || document.activeElement === document.body
        if (lost && opener instanceof HTMLElement && opener.isConnected) opener.focus()
      })
    }
  },
  { immediate: true },
)
</script>

<template>
  <Dialog
    :open="open"
    class="relative"
    :class="must ? 'z-50' : 'z-40'"
    @close="must ? undefined : emit('closed')"
  >
    <div class="fixed inset-0" :class="must ? 'bg-black/60' : 'bg-black/50'" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-3">
      <DialogPanel class="plate flex max-h-full w-full flex-col overflow-auto p-4 shadow-xl" :class="width">
        <div class="flex items-start gap-3">
          <slot name="mark" />
          <DialogTitle class="flex-1 text-lg font-bold">{{ title }}</DialogTitle>
          <button v-if="!must" class="act" aria-label="Close" @click="emit('closed')">
            <XMarkIcon class="size-5" />
          </button>
        </div>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
