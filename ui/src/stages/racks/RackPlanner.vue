<script setup lang="ts">
// Two or three racks for the outing's hulls, with what each buys.
import { ref, shallowRef, watch } from 'vue'
import { api } from '@/api'
import type { Plan, RackPlans } from '@/generated/types'
import TradeTable from '@/parts/TradeTable.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say } = useWords()
const found = shallowRef<RackPlans>()
const foundFor = shallowRef<Plan>()
const failure = ref('')
async function planRacks() {
  const plan = workspace.plan
  if (!plan) return
  failure.value = ''
  try {
    found.value = await api.racks({ plan, outing: workspace.outing, trailer: workspace.trailer })
    foundFor.value = plan
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
watch(
  () => [workspace.outing, workspace.trailer],
  () => (found.value = undefined),
)
const titles = {
  wide: 'Wide and low',
  tall: 'Narrow and tall',
  deck: 'Deck and over it',
  edge: 'On edge',
  kept: 'As it is',
}
</script>

<template>
  <div class="plate shrink-0 p-3" data-rack-plans>
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <h2 class="mr-auto text-lg font-bold">A rack for these hulls</h2>
      <button class="act-main" @click="planRacks">Plan racks</button>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-if="!found" class="text-soft text-sm">
      Heaviest lowest, slots as wide as the hulls, frames where they bear well. Then drag and type.
    </p>
    <template v-else>
      <p class="mt-1 leading-snug">{{ say(found.says) }}</p>
      <TradeTable
        v-if="found.options.length"
        :ways="found.options"
        :titles="titles"
        :stale="foundFor !== workspace.plan"
        label="Racks"
      />
    </template>
  </div>
</template>
