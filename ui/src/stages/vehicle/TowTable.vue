<script setup lang="ts">
// Who may tow what: every car of the plan before every trailer, over all its
// outings, with balls and plugs.
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import type { Tow } from '@/generated/types'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { outcomeWord, useWords } from '@/words'
import { computed } from 'vue'

const workspace = useWorkspace()
const { say, term } = useWords()
const { data } = useStudy<Tow[]>((asked) => api.tows(asked))
const names = (m: Record<string, { order: number; name: string }> | undefined) =>
  Object.entries(m ?? {}).sort((a, b) => a[1].order - b[1].order)
const cars = computed(() => names(workspace.plan?.towVehicles))
const trailers = computed(() => names(workspace.plan?.trailers))
const cell = (car: string, trailer: string) =>
  data.value?.find((t) => t.vehicle === car && t.trailer === trailer)
</script>

<template>
  <div v-if="cars.length && trailers.length" class="plate p-3" data-tows>
    <h2 class="text-lg font-bold">Who may tow what</h2>
    <p class="text-soft text-sm">With the plan’s outings as they are loaded now; the worst is shown.</p>
    <div class="mt-2 overflow-x-auto" tabindex="0" role="region" aria-label="Who may tow what">
      <table class="w-full min-w-[26rem] border-separate border-spacing-0 text-sm">
        <thead>
          <tr>
            <th class="w-40"><span class="sr-only">Trailer</span></th>
            <th v-for="[id, c] in cars" :key="id" scope="col" class="px-2 pb-1 text-left font-semibold">
              {{ c.name }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="[tid, t] in trailers" :key="tid" class="align-top">
            <th scope="row" class="border-rule border-t py-2 pr-2 text-left font-semibold">{{ t.name }}</th>
            <td v-for="[id] in cars" :key="id" class="border-rule border-t px-2 py-2">
              <template v-if="cell(id, tid)">
                <span class="flex items-center gap-1.5 font-semibold"
                  ><OutcomeMark :outcome="cell(id, tid)!.outcome" :size="18" />{{
                    outcomeWord[cell(id, tid)!.outcome]
                  }}</span
                >
                <span class="text-soft block leading-snug">{{ say(cell(id, tid)!.says) }}</span>
                <span
                  v-if="cell(id, tid)!.ballSize === 'fails' && cell(id, tid)!.code !== 'towing.ball-size'"
                  class="text-fails block font-semibold"
                  >Ball does not match the {{ term('coupling') }}</span
                >
                <span
                  v-if="cell(id, tid)!.plug === 'fails' && cell(id, tid)!.code !== 'towing.plug'"
                  class="text-fails block font-semibold"
                  >Plug needs an adapter</span
                >
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
