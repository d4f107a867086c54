<script setup lang="ts">
// The rig at one scale: side view over the beam over the plan view, the rear
// view beside them. On a narrow screen one drawing at a time.
import { useElementSize, useMediaQuery } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import type { Shape, View } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import SceneView from './SceneView.vue'

const props = defineProps<{
  only?: string[]
  rearFirst?: boolean
  others?: Record<string, Shape[]>
  weak?: string[]
}>()
const workspace = useWorkspace()
const { say } = useWords()

const frame = useTemplateRef<HTMLElement>('frame')
const size = useElementSize(frame)
const narrow = useMediaQuery('(max-width: 760px)')
const showing = ref(props.rearFirst ? 'rear' : 'side')

const views = computed(() =>
  (workspace.report?.views ?? []).filter((v) => !props.only || props.only.includes(v.id)),
)
const named = (id: string) => views.value.find((v) => v.id === id)
const legend = [
  ['press', 'presses down'],
  ['reaction', 'ball and axle push up'],
  ['window', 'where the ball should be'],
  ['doubt', 'as far as the guesses go'],
] as const
const order = ['side', 'beam', 'plan', 'rear']
const column = computed(() => ['side', 'beam', 'plan'].map(named).filter((v): v is View => !!v))
const rear = computed(() => named('rear'))
const one = computed(() => named(showing.value) ?? column.value[0])

const extent = (v: View) => [v.max[0] - v.min[0], v.max[1] - v.min[1]] as const

const scale = computed(() => {
  const width = Math.max(200, size.width.value - 4)
  if (narrow.value) return one.value ? width / extent(one.value)[0] : 60
  const across =
    Math.max(...column.value.map((v) => extent(v)[0]), 1) + (rear.value ? extent(rear.value)[0] : 0)
  const down = column.value.reduce((sum, v) => sum + extent(v)[1], 0.001)
  const height = Math.max(props.only ? 120 : 260, size.height.value - 8)
  return Math.max(30, Math.min((width - 8) / across, height / down))
})
/** Where it comes first, the view from behind has a scale of its own: it is the main one. */
const rearScale = computed(() => {
  if (!props.rearFirst || !rear.value) return scale.value
  const [w, h] = extent(rear.value)
  return Math.max(30, Math.min(((size.width.value - 8) * 0.45) / w, (size.height.value - 8) / h))
})
const columnScale = computed(() => {
  if (!props.rearFirst || !rear.value) return scale.value
  const left = size.width.value - 24 - extent(rear.value)[0] * rearScale.value
  const across = Math.max(...column.value.map((v) => extent(v)[0]), 1)
  const down = column.value.reduce((sum, v) => sum + extent(v)[1], 0.001)
  return Math.max(30, Math.min(left / across, (size.height.value - 8) / down))
})
</script>

<template>
  <div ref="frame" class="min-h-0 w-full overflow-hidden">
    <template v-if="narrow">
      <div
        v-if="views.length > 1"
        class="no-print mb-1 grid grid-flow-col gap-1"
        role="group"
        aria-label="Drawing"
      >
        <button
          v-for="id in order.filter(named)"
          :key="id"
          class="act px-1 text-xs"
          :class="{ '!bg-deep !text-deep-ink': id === one?.id }"
          :aria-pressed="id === one?.id"
          @click="showing = id"
        >
          {{ id === 'beam' ? 'Beam' : say(named(id)?.title).replace(' view', '') }}
        </button>
      </div>
      <SceneView v-if="one" :view="one" :scale="scale" :others="others?.[one.id]" :weak="weak" />
    </template>
    <div
      v-else
      class="flex items-start gap-2 print:block"
      :class="{ 'flex-row-reverse justify-end': rearFirst }"
    >
      <div>
        <SceneView
          v-for="v in column"
          :key="v.id"
          :view="v"
          :scale="columnScale"
          :others="others?.[v.id]"
          :weak="weak"
        />
      </div>
      <div v-if="rear">
        <SceneView :view="rear" :scale="rearScale" :others="others?.rear" />
        <details v-if="named('beam')" class="text-soft mt-2 pl-3 text-sm">
          <summary class="min-h-6 cursor-pointer">Key to the beam</summary>
          <ul class="mt-1 space-y-1">
            <li v-for="[sign, word] in legend" :key="word" class="flex items-center gap-2">
              <svg class="drawing shrink-0" width="22" height="16" viewBox="0 0 22 16" aria-hidden="true">
                <rect
                  v-if="sign === 'window' || sign === 'doubt'"
                  x="2"
                  y="3"
                  width="18"
                  height="10"
                  :class="sign"
                />
                <path v-else d="M11 2v12" :class="sign" />
              </svg>
              {{ word }}
            </li>
          </ul>
        </details>
      </div>
    </div>
  </div>
</template>
