<script setup lang="ts">
// Where the axle may stand for every outing: bars over one axis, what they have
// in common, the best place, and what closes the gap where there is none.
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import SceneView from '@/drawing/SceneView.vue'
import NeedFields from '@/fields/NeedFields.vue'
import type { AxlePlace, Op } from '@/generated/types'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say } = useWords()
const { data, failure } = useStudy<AxlePlace>(
  (asked) => api.axle(asked),
  () => workspace.trailer,
)
const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame)
const scale = computed(() => {
  const v = data.value?.view
  return v ? Math.max(20, (Math.min(size.width.value, 760) - 4) / (v.max[0] - v.min[0])) : 60
})
const apply = (patch: Op[], name: string) => workspace.edit(patch, name)
</script>

<template>
  <div class="plate shrink-0 p-3" data-axle-place :data-outcome="data?.outcome">
    <h2 class="text-lg font-bold">Where the axle goes</h2>
    <p v-if="failure" class="text-fails">{{ failure }}</p>
    <template v-if="data">
      <p class="mt-0.5 flex items-start gap-2 leading-snug">
        <OutcomeMark :outcome="data.outcome" class="mt-0.5" />{{ say(data.says) }}
      </p>
      <NeedFields :needs="data.needs" :rough="data.rough" />
      <div ref="frame" class="mt-2 overflow-hidden">
        <SceneView v-if="data.view" :view="data.view" :scale="scale" />
      </div>
      <p class="text-soft text-sm">
        Solid: in the window whatever the guesses. Pale: by the weights entered. The band is where all agree.
      </p>
      <p v-if="data.drawbar" class="mt-1">{{ say(data.drawbar) }}</p>
      <ul v-if="data.fix || data.closes.length" class="no-print mt-2 grid gap-1.5">
        <li v-if="data.fix" class="flex items-center justify-between gap-2">
          <span class="first-letter:uppercase">{{ say(data.fix.name) }}</span>
          <button
            class="act !border-deep !text-deep shrink-0 whitespace-nowrap"
            @click="apply(data.fix.patch, say(data.fix.name))"
          >
            Do it
          </button>
        </li>
        <li v-for="(v, i) in data.closes" :key="i" class="flex items-center justify-between gap-2">
          <span class="first-letter:uppercase">{{ say(v.name) }}</span>
          <button
            class="act !border-deep !text-deep shrink-0 whitespace-nowrap"
            @click="apply(v.patch, say(v.name))"
          >
            Do it
          </button>
        </li>
      </ul>
      <p class="text-soft mt-2 text-sm">
        Axle behind the deck’s middle, or an even deck with the fixed things forward: both give the same
        balance. Never work under a trailer that stands only on a jack.
      </p>
    </template>
  </div>
</template>
