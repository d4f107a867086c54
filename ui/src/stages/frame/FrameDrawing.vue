<script setup lang="ts">
// The frame from above, from the side and from behind, to one scale.
import { useElementSize, useMediaQuery } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { api } from '@/api'
import { download } from '@/download'
import SceneView from '@/drawing/SceneView.vue'
import type { Picture, View } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import { memberOf } from './member'

const props = defineProps<{ frame: Picture }>()
const workspace = useWorkspace()
const { say } = useWords()
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const narrow = useMediaQuery('(max-width: 760px)')
const showing = ref('frame-plan')
const bending = ref(false)
/** The bent shape comes with the settled report. */
const bent = computed(() => (bending.value ? workspace.settledReport?.frame?.bent : undefined))
/** A view as the core gives it. */
const bare = (id: string) => props.frame.views.find((v) => v.id === id)
const roomHigh = 380 // of the drawing on a wide screen
const high = (v: View | undefined) => (v ? v.max[1] - v.min[1] : 1)
const wide = (v: View | undefined) => (v ? v.max[0] - v.min[0] : 1)
const scale = computed(() => {
  const room = Math.max(200, size.width.value - 8)
  if (narrow.value) return room / wide(bare(showing.value) ?? props.frame.views[0])
  const across = Math.max(wide(bare('frame-plan')), wide(bare('frame-side'))) + wide(bare('frame-rear'))
  return Math.max(
    30,
    Math.min(room / across, roomHigh / (high(bare('frame-plan')) + high(bare('frame-side')))),
  )
})
const gripSize = 11 // px
const inHand = computed(() => memberOf(workspace.selected))
/** The views, with the bent shape over them where it is wanted. */
const views = computed<View[]>(() =>
  props.frame.views.map((v) => ({
    ...v,
    shapes: [
      // the ends of the member in hand can be gripped
      ...v.shapes.filter((s) => s.class !== 'grip'),
      ...v.shapes
        .filter((s) => s.class === 'grip' && inHand.value && memberOf(s.thing) === inHand.value)
        .map((s) => ({ ...s, radius: gripSize / scale.value })),
      ...(bent.value?.views[v.id] ?? []),
    ],
  })),
)
const named = (id: string): View | undefined => views.value.find((v) => v.id === id)
const one = computed(() => named(showing.value) ?? views.value[0])
const column = computed(() => ['frame-plan', 'frame-side'].map(named).filter((v): v is View => !!v))
async function save(form: 'svg' | 'dxf') {
  const asked = { plan: workspace.plan!, outing: workspace.outing, trailer: workspace.trailer }
  download(await api.drawing(asked, showing.value, form), `${showing.value}.${form}`)
}
</script>

<template>
  <div class="plate shrink-0 p-2">
    <div class="no-print flex flex-wrap items-center gap-2">
      <div v-if="narrow" class="grid grid-flow-col gap-1" role="group" aria-label="Drawing">
        <button
          v-for="v in views"
          :key="v.id"
          class="act px-2 text-xs"
          :class="{ '!bg-deep !text-deep-ink': v.id === one?.id }"
          :aria-pressed="v.id === one?.id"
          @click="showing = v.id"
        >
          {{ say(v.title) }}
        </button>
      </div>
      <span v-else-if="!bent" class="text-soft text-sm"
        >The fuller a member, the more of its strength is used.</span
      >
      <span v-if="bent" class="text-sm" data-bent
        >Bending drawn {{ bent.times }} times larger: {{ say(bent.case) }}.</span
      >
      <span class="ml-auto flex gap-1.5">
        <button class="act" :aria-pressed="bending" @click="bending = !bending">
          {{ bending ? 'Straight' : 'Bent shape' }}
        </button>
        <button class="act" @click="save('svg')">SVG</button>
        <button class="act" @click="save('dxf')">DXF</button>
      </span>
    </div>
    <div ref="box" class="min-h-0 w-full overflow-hidden">
      <SceneView v-if="narrow && one" :view="one" :scale="scale" />
      <div v-else class="flex items-start gap-2">
        <div>
          <SceneView v-for="v in column" :key="v.id" :view="v" :scale="scale" />
        </div>
        <SceneView v-if="named('frame-rear')" :view="named('frame-rear')!" :scale="scale" />
      </div>
    </div>
  </div>
</template>
