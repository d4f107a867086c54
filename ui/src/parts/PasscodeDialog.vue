<script setup lang="ts">
// Asks for the passcode where the server wants one.
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { api } from '@/api'
import DialogShell from './DialogShell.vue'

const emit = defineEmits<{ entered: [] }>()
const open = ref(false)
const code = ref('')
const wrong = ref('')
/** A phone that took the picture brings its short code in the address. */
let brought = new URLSearchParams(location.search).get('pair') ?? ''
useEventListener(window, 'passcode-asked', async () => {
  if (!brought) return void (open.value = true)
  code.value = brought
  brought = ''
  if (await enter())
    location.replace(location.pathname) // the code is used up
  else open.value = true
})

async function enter() {
  wrong.value = ''
  try {
    await api.enter(code.value)
    open.value = false
    code.value = ''
    emit('entered')
    return true
  } catch (e) {
    wrong.value = e instanceof Error ? e.message : String(e)
    return false
  }
}
</script>

<template>
  <DialogShell :open="open" title="Passcode" width="max-w-sm" must>
    <form class="mt-3 space-y-3" @submit.prevent="enter">
      <label class="block">
        <span class="text-soft text-sm">The one that was set where the server runs, or the short code</span>
        <input v-model="code" type="password" class="box" autocomplete="current-password" />
      </label>
      <p v-if="wrong" class="text-fails" role="alert">{{ wrong }}</p>
      <button class="act-main w-full">Enter</button>
    </form>
  </DialogShell>
</template>
