<script setup lang="ts">
// How it gets better: answers by day, topics by their box.
import { computed, shallowRef } from 'vue'
import { api } from '@/api'
import { useDays } from '@/days'
import type { PracticeCase } from '@/generated/types'
import { useWords } from '@/words'
import { useBest, useProgress } from './progress'

const progress = useProgress()
const best = useBest()
const { print } = useWords()
const { long } = useDays()
const dealt = shallowRef<PracticeCase>()
void api.practice.next({ progress: progress.value, today: '' }).then((d) => (dealt.value = d))
const days = computed(() => progress.value.days.slice(-28))
const most = computed(() => Math.max(1, ...days.value.map((d) => d.right + d.wrong)))
const all = computed(() => progress.value.days.reduce((n, d) => n + d.right + d.wrong, 0))
const right = computed(() => progress.value.days.reduce((n, d) => n + d.right, 0))
const high = 90
</script>

<template>
  <div class="plate p-3" data-progress>
    <h2 class="text-lg leading-tight font-bold" role="status">
      <template v-if="all">{{ right }} of {{ all }} right so far</template>
      <template v-else>Nothing answered yet</template>
    </h2>
    <svg
      v-if="days.length"
      class="mt-2 w-full max-w-xl"
      :viewBox="`0 0 ${28 * 12} ${high + 14}`"
      role="img"
      aria-label="Answers by day: right ones full, wrong ones open"
    >
      <g v-for="(d, i) in days" :key="d.on" :transform="`translate(${i * 12 + 2} 0)`">
        <title>{{ long(d.on) }}: {{ d.right }} right, {{ d.wrong }} wrong</title>
        <rect
          class="fill-deep"
          width="8"
          :y="high - (d.right / most) * high"
          :height="(d.right / most) * high"
        />
        <rect
          class="stroke-deep fill-none"
          width="8"
          :y="high - ((d.right + d.wrong) / most) * high"
          :height="(d.wrong / most) * high"
        />
      </g>
    </svg>
    <ul class="mt-2">
      <li
        v-for="r in dealt?.session.rows ?? []"
        :key="r.id"
        class="border-rule flex flex-wrap gap-x-3 border-t py-1.5"
        :data-topic="r.id"
      >
        <b class="mr-auto">{{ r.name }}</b>
        <span class="text-soft"
          ><template v-if="r.share !== undefined"
            >{{ print('share', r.share) }} right, box {{ r.box }} of 5</template
          ><template v-else>not tried yet</template
          ><template v-if="r.due">, again {{ long(r.due) }}</template></span
        >
      </li>
    </ul>
    <p class="text-soft mt-2 text-sm">
      A topic answered right comes back after 1, 2, 4, 9 and 21 days, and gets harder; a wrong answer brings
      it back today. {{ Object.keys(best).length }} best drives are kept. All of it stays on this device.
    </p>
    <button
      v-if="all || Object.keys(best).length"
      class="act mt-2 min-h-11"
      @click="((progress = { topics: {}, days: [], seeds: progress.seeds }), (best = {}))"
    >
      Start over
    </button>
  </div>
</template>
