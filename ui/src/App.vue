<script setup lang="ts">
import { onMounted, ref } from 'vue'
import PasscodeDialog from '@/parts/PasscodeDialog.vue'
import { useReference } from '@/stores/reference'

const reference = useReference()
const failure = ref('')
async function start() {
  failure.value = ''
  try {
    await reference.load()
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
onMounted(() => {
  document.documentElement.dataset.theme = localStorage.getItem('theme') ?? 'light'
  void start()
})
</script>

<template>
  <RouterView v-if="reference.data" />
  <main v-else class="grid h-full place-items-center p-6 text-center">
    <div v-if="failure">
      <h1 class="text-xl font-bold">The server does not answer</h1>
      <p class="text-soft my-2">{{ failure }} What you typed is kept on this device.</p>
      <button class="act-main" @click="start">Try again</button>
    </div>
    <h1 v-else class="text-soft">Zygonos is starting…</h1>
  </main>
  <PasscodeDialog @entered="start" />
</template>
