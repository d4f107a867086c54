<script setup lang="ts">
// The core places the loads: up to three arrangements with what each trades.
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import NeedFields from '@/fields/NeedFields.vue'
import type { Arranged } from '@/generated/types'
import TradeTable from '@/parts/TradeTable.vue'
import { useSearch } from '@/stores/search'
import { useWords } from '@/words'

const { say } = useWords()
const {
  found,
  tried: places,
  failure,
  running,
  start,
  stop,
  stale,
} = useSearch<Arranged>((asked, signal, n) => api.arrange(asked, signal, n))
const titles: Record<string, string> = { calm: 'Calmest', even: 'Most even', near: 'Least to shift' }
</script>

<template>
  <div class="plate no-print shrink-0 p-3" data-arrange :data-outcome="found?.outcome">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <h2 class="mr-auto text-lg font-bold">Arrange for me</h2>
      <button v-if="running" class="act" @click="stop">Stop</button>
      <button v-else class="act-main" @click="start()">Place the loads</button>
    </div>
    <p v-if="running" class="mt-1" role="status">Looking… {{ places.toLocaleString('en') }} places so far.</p>
    <p v-else-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-else-if="!found" class="text-soft text-sm">
      Moves every load that is not pinned: {{ say([{ term: 'ball load' }]) }} in its window, wheels even,
      weight close to the middle.
    </p>
    <template v-if="found">
      <p class="mt-1 flex items-start gap-2 leading-snug">
        <OutcomeMark :outcome="found.outcome" class="mt-0.5" />{{ say(found.says) }}
      </p>
      <NeedFields :needs="found.needs" :rough="found.rough" />
      <p v-if="stale && found.options.length" class="text-tight text-sm font-semibold">
        Something has changed since: arrange again.
      </p>
      <TradeTable
        v-if="found.options.length"
        :ways="found.options"
        :titles="titles"
        :stale="stale"
        label="Arrangements"
      />
    </template>
  </div>
</template>
