<script setup lang="ts">
// Where the ramps travel, side by side.
import { computed } from 'vue'
import { api } from '@/api'
import NeedFields from '@/fields/NeedFields.vue'
import TradeTable from '@/parts/TradeTable.vue'
import { useAsked } from '@/stores/asked'
import { useWords } from '@/words'

const { say, term } = useWords()
const { found, failure, stale, ask } = useAsked(api.rampPlaces)
const titles = computed(() => ({
  ...{
    upright: 'Upright',
    drawbar: `On the ${term('drawbar')}`,
    under: 'Under the deck',
    deck: 'On the deck',
  },
}))
</script>

<template>
  <div class="plate shrink-0 p-3" data-ramp-places>
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="mr-auto text-lg font-bold">Where the ramps travel</h2>
      <button class="act" @click="ask">Compare places</button>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <template v-if="found">
      <p class="mt-1 leading-snug">{{ say(found.says) }}</p>
      <NeedFields :needs="found.needs" :rough="found.rough" />
      <TradeTable
        v-if="found.options.length"
        :ways="found.options"
        :titles="titles"
        :stale="stale"
        label="Places for the ramps"
      />
    </template>
    <p v-else class="text-soft text-sm">
      Upright, on the {{ term('drawbar') }}, under the deck, on it: what each changes.
    </p>
  </div>
</template>
