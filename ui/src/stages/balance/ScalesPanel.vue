<script setup lang="ts">
// The plan meets the scale: what each would read, what it read, and what that
// says of the guesses.
import { computed } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import type { Op, Scales } from '@/generated/types'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import ScaleReading from './ScaleReading.vue'

const workspace = useWorkspace()
const { say, measure, term } = useWords()
const { data, failure } = useStudy<Scales>(
  (asked) => api.scales(asked),
  () => [workspace.outing, workspace.trailer],
  false,
)
const rows = computed(() => {
  const order = ['ball', 'axle', 'whole', 'left', 'right']
  const all = [...(data.value?.rows ?? []), ...(data.value?.expect ?? [])]
  return order.flatMap((w) => all.filter((r) => r.what === w))
})
</script>

<template>
  <div class="plate shrink-0 p-3" data-scales :data-outcome="data?.outcome">
    <h2 class="text-lg font-bold">On the scale</h2>
    <p v-if="failure" class="text-fails">{{ failure }}</p>
    <template v-if="data">
      <p class="mt-0.5 flex items-start gap-2 leading-snug">
        <OutcomeMark v-if="data.rows.length" :outcome="data.outcome" class="mt-0.5" />{{ say(data.says) }}
      </p>
      <p v-if="data.moved" class="text-tight font-semibold">
        Something has been moved since: this is for the load as it stood then.
      </p>
      <p v-if="data.settles" class="font-semibold">{{ say(data.settles) }}</p>
      <ul class="mt-2 grid gap-2 md:grid-cols-2">
        <li v-for="(r, i) in rows" :key="r.what"><ScaleReading :row="r" :order="i + 1" /></li>
      </ul>
      <template v-if="data.guesses.length">
        <table class="mt-3 w-full max-w-2xl text-sm">
          <thead>
            <tr class="text-soft text-left">
              <th class="font-normal">Guess</th>
              <th class="font-normal">before</th>
              <th class="font-normal">what agrees</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="g in data.guesses" :key="g.path" class="border-rule border-t">
              <th scope="row" class="py-1 pr-2 text-left">{{ g.name }}</th>
              <td class="pr-2">{{ measure(g.before) }}</td>
              <td>{{ measure(g.after) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="data.after" class="mt-1">
          Share on the ball: {{ measure(data.before) }}, with the readings <b>{{ measure(data.after) }}</b>.
        </p>
      </template>
      <div v-if="data.fix || data.suspects.length" class="no-print mt-2 grid gap-1.5">
        <div
          v-for="(v, i) in [...(data.fix ? [data.fix] : []), ...data.suspects]"
          :key="i"
          class="flex items-center justify-between gap-2"
        >
          <span class="first-letter:uppercase">{{ say(v.name) }}</span>
          <button
            class="act !border-deep !text-deep shrink-0 whitespace-nowrap"
            @click="workspace.edit(v.patch as Op[], say(v.name))"
          >
            Do it
          </button>
        </div>
      </div>
      <p class="text-soft mt-2 text-sm">
        Level, chocked, on firm ground; the scale under the {{ term('coupling') }}, not under the
        {{ term('jockey wheel') }}. A reading belongs to the load as it stands when you type it.
      </p>
    </template>
  </div>
</template>
