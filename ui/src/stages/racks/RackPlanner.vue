<script setup lang="ts">
// Two or three racks for the outing's hulls, with what each buys.
import { api } from '@/api'
import NeedFields from '@/fields/NeedFields.vue'
import TradeTable from '@/parts/TradeTable.vue'
import { useAsked } from '@/stores/asked'
import { useWords } from '@/words'

const { say } = useWords()
const { found, failure, stale, ask } = useAsked(api.racks)
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
      <button class="act-main" @click="ask">Plan racks</button>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-if="!found" class="text-soft text-sm">
      Heaviest lowest, slots as wide as the hulls, frames where the hulls are firm. Then drag and edit.
    </p>
    <template v-else>
      <p class="mt-1 leading-snug">{{ say(found.says) }}</p>
      <NeedFields :needs="found.needs" :rough="found.rough" />
      <TradeTable
        v-if="found.options.length"
        :ways="found.options"
        :titles="titles"
        :stale="stale"
        label="Racks"
      />
    </template>
  </div>
</template>
