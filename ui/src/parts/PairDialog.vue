<script setup lang="ts">
// A phone comes to this page: address, short code, and both as a picture to take.
import { ref, watch } from 'vue'
import { api } from '@/api'
import type { Pairing } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import DialogShell from './DialogShell.vue'

const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const workspace = useWorkspace()
const pairing = ref<Pairing>()
const failure = ref('')
watch(
  () => props.open,
  async (open) => {
    if (!open) return
    pairing.value = undefined
    failure.value = ''
    try {
      pairing.value = await api.pair(`/plan/${workspace.id}/road`)
    } catch (e) {
      failure.value = e instanceof Error ? e.message : String(e)
    }
  },
)
</script>

<template>
  <DialogShell :open="open" title="Tick the card on a phone" @closed="emit('close')">
    <div data-pair>
      <p v-if="failure" class="text-fails mt-2" role="alert">{{ failure }}</p>
      <template v-else-if="pairing?.code">
        <img
          :src="pairing.qr"
          alt="Address and code, to be read by a phone’s camera"
          class="mx-auto my-3 w-56"
        />
        <p>
          Or open <b class="select-all">{{ pairing.addresses[0] }}</b> in the home network and type
        </p>
        <p class="my-1 text-center text-3xl font-bold tracking-widest" data-short-code>
          {{ pairing.code }}
        </p>
        <p class="text-soft text-sm">
          For one phone, {{ pairing.minutes }} minutes. Once loaded, the card and its ticks stay on the phone
          without the server, and go back later. Only in a network that you trust: nothing is encrypted.
        </p>
      </template>
      <template v-else-if="pairing">
        <p class="mt-2">Only this machine reaches the server now. To let a phone in, at home:</p>
        <ol class="mt-2 list-decimal space-y-1 pl-5">
          <li>Set a passcode: <code class="select-all">zygonos passcode</code></li>
          <li>Serve to the network: <code class="select-all">zygonos serve -addr 0.0.0.0:8484</code></li>
          <li>Open this page again at the address it prints.</li>
        </ol>
      </template>
      <p v-else class="text-soft mt-2">…</p>
      <button class="act-main mt-4 w-full" @click="emit('close')">Done</button>
    </div>
  </DialogShell>
</template>
