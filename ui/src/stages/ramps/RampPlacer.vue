<script setup lang="ts">
// Where the ramps travel, side by side.
import { ref, shallowRef, watch } from 'vue'
import { api } from '@/api'
import type { Plan, RampPlaces } from '@/generated/types'
import TradeTable from '@/parts/TradeTable.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say } = useWords()
const found = shallowRef<RampPlaces>()
const foundFor = shallowRef<Plan>()
const failure = ref('')
async function compare() {
  const plan = workspace.plan
  if (!plan) return
  failure.value = ''
  try {
    found.value = await api.rampPlaces({ plan, outing: workspace.outing, trailer: workspace.trailer })
    foundFor.value = plan
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
watch(
  () => [workspace.outing, workspace.trailer],
  () => (found.value = undefined),
)
const titles = { upright: 'Upright', drawbar: 'On the drawbar', under: 'Under the deck', deck: 'On the deck' }
</script>

<template>
  <div class="plate shrink-0 p-3" data-ramp-places>
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="mr-auto text-lg font-bold">Where the ramps travel</h2>
      <button class="act" @click="compare">Compare places</button>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <template v-if="found">
      <p class="mt-1 leading-snug">{{ say(found.says) }}</p>
      <TradeTable
        v-if="found.options.length"
        :ways="found.options"
        :titles="titles"
        :stale="foundFor !== workspace.plan"
        label="Places for the ramps"
      />
    </template>
    <p v-else class="text-soft text-sm">Upright, on the drawbar, under the deck, on it: what each changes.</p>
  </div>
</template>
