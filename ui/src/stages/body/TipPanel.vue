<script setup lang="ts">
// A bed taken up through its angles: the side view, and what each angle takes under it.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { api } from '@/api'
import SceneShape from '@/drawing/SceneShape.vue'
import SceneView from '@/drawing/SceneView.vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanList from '@/fields/PlanList.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import type { TipSearch } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import DriveCurve from '../ramps/DriveCurve.vue'
import { groupsOf, pieceFields, winchFields } from './tipFields'

const workspace = useWorkspace()
const { say, print, term } = useWords()
const { data, failure } = useStudy(api.tipping)
const tipped = computed(() => data.value?.tipped)
const base = computed(() => `/trailers/${workspace.trailer}`)
const tipping = computed(() => workspace.plan?.trailers[workspace.trailer]?.tipping)
const groups = computed(() => groupsOf(tipping.value))

const winds = computed(() => tipping.value?.by === 'mast' || tipping.value?.by === 'swing')
const pieces = computed(() => Object.keys(tipping.value?.pieces ?? {}).length)

const at = ref(0)
const last = computed(() => Math.max(0, (tipped.value?.angles.length ?? 1) - 1))
watch(last, (n) => (at.value = Math.min(at.value, n)))
const step = computed(() => tipped.value?.angles[Math.min(at.value, last.value)])
const view = computed(() => tipped.value?.view)
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const width = computed(() => (view.value ? view.value.max[0] - view.value.min[0] : 1))
const height = computed(() => (view.value ? view.value.max[1] - view.value.min[1] : 1))
const scale = computed(() =>
  Math.max(30, Math.min(((size.width.value || 300) - 4) / width.value, 330 / height.value)),
)
/** The bed taken by the hand: it follows the pointer about its hinge, at the angles that were swept. */
const stage = useTemplateRef<HTMLElement>('stage')
let from: { pointer: number; bed: number } | undefined
function about(e: PointerEvent) {
  const v = view.value
  const box = stage.value?.getBoundingClientRect()
  const h = tipped.value?.hinge
  if (!v || !box || !h) return undefined
  const x = (v.min[0] ?? 0) + (e.clientX - box.left) / scale.value
  const y = (v.min[1] ?? 0) + (e.clientY - box.top) / scale.value
  return { dx: (h[0] ?? 0) - x, dy: (h[1] ?? 0) - y }
}
function take(e: PointerEvent) {
  const p = about(e)
  const bed = step.value?.angle ?? 0
  if (!p || !tipped.value || (e.target as Element).closest('[data-thing]')) return
  // where the pointer is in the bed as it lies down
  const [c, s] = [Math.cos(bed), Math.sin(bed)]
  const [ahead, up] = [p.dx * c + p.dy * s, p.dy * c - p.dx * s]
  const long = Math.max(...tipped.value.bed.flatMap((b) => b.points.map((q) => -q[0])))
  if (ahead < 0.2 || ahead > long || up < -0.1 || up > 1) return
  from = { pointer: Math.atan2(p.dy, p.dx), bed }
  stage.value?.setPointerCapture(e.pointerId)
  e.preventDefault()
}
function raise(e: PointerEvent) {
  const p = from && about(e)
  if (!from || !p) return
  const angle = from.bed + Math.atan2(p.dy, p.dx) - from.pointer
  const steps = tipped.value?.angles ?? []
  at.value = steps.reduce(
    (best, s, i) => (Math.abs(s.angle - angle) < Math.abs((steps[best]?.angle ?? 9) - angle) ? i : best),
    0,
  )
}
const leave = () => (from = undefined)

/** The curves run over the whole width, from down on the left to the stop on the right. */
const places = computed(() =>
  (tipped.value?.angles ?? []).map(
    (_, i) => 8 + (i / Math.max(1, last.value)) * (width.value * scale.value - 16),
  ),
)

const found = ref<TipSearch>()
const searching = ref('')
async function search() {
  if (!workspace.plan) return
  searching.value = ''
  try {
    found.value = await api.tipSearch({
      plan: workspace.plan,
      outing: workspace.outing,
      trailer: workspace.trailer,
    })
  } catch (e) {
    searching.value = e instanceof Error ? e.message : String(e)
  }
}
watch(tipping, () => (found.value = undefined))
</script>

<template>
  <div class="plate p-3" data-tip :data-step="at">
    <div class="flex items-start gap-2">
      <h2 class="mr-auto text-lg leading-tight font-bold">
        {{ tipped?.says?.length ? say(tipped.says) : 'A bed that tips' }}
      </h2>
      <button
        class="act size-11 shrink-0"
        aria-label="No bed that tips"
        @click="workspace.setAt(`${base}/tipping`, undefined, 'no bed that tips')"
      >
        <TrashIcon class="size-5" />
      </button>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-if="data && !tipped" class="text-soft">
      For the drawing enter the deck’s length and how far it begins behind the {{ term('coupling') }}, under
      Trailer.
    </p>
    <div ref="box" class="w-full overflow-hidden">
      <template v-if="view && tipped">
        <div
          ref="stage"
          class="relative cursor-grab touch-pan-y"
          :style="{ width: `${width * scale}px` }"
          @pointerdown="take"
          @pointermove="raise"
          @pointerup="leave"
          @pointercancel="leave"
        >
          <svg
            class="drawing pointer-events-none absolute inset-0"
            :viewBox="`${view.min[0]} ${view.min[1]} ${width} ${height}`"
            :width="width * scale"
            :height="height * scale"
            role="img"
            :aria-label="`The bed at ${print('angle', step?.angle ?? 0)}`"
            data-bed
          >
            <g
              :transform="`translate(${tipped.hinge[0]} ${tipped.hinge[1]}) rotate(${((step?.angle ?? 0) * 180) / Math.PI})`"
            >
              <SceneShape v-for="(s, i) in tipped.bed" :key="i" :shape="s" :scale="scale" />
            </g>
            <SceneShape v-for="(s, i) in step?.lines ?? []" :key="`l${i}`" :shape="s" :scale="scale" />
          </svg>
          <SceneView class="relative" :view="view" :scale="scale" />
        </div>
      </template>
    </div>
    <div v-if="tipped?.angles.length" class="no-print mt-2 flex flex-wrap items-center gap-2">
      <b class="w-14">{{ print('angle', step?.angle ?? 0) }}</b>
      <label class="min-w-40 flex-1">
        <span class="sr-only">Angle of the bed</span>
        <input
          v-model.number="at"
          type="range"
          class="accent-deep h-11 w-full"
          min="0"
          :max="last"
          step="1"
          :aria-valuetext="print('angle', step?.angle ?? 0)"
        />
      </label>
      <button class="act min-h-11" @click="at = 0">Down</button>
      <button class="act min-h-11" @click="at = tipped.worst">Worst</button>
      <button class="act min-h-11" @click="at = last">Up</button>
    </div>
    <p v-else-if="tipped" class="text-soft mt-1 text-sm">
      Drag the points on the drawing, or enter them below; then the bed can be raised.
    </p>
    <ul v-if="tipped" class="border-tight my-2 border-l-4 pl-3 text-lg font-semibold" data-care>
      <li v-for="c in tipped.care" :key="c">{{ c }}</li>
    </ul>
    <div v-if="tipped" class="overflow-hidden">
      <DriveCurve
        v-for="c in tipped.curves"
        :key="c.name"
        :name="c.name"
        :curve="c.curve"
        :places="places"
        :at="at"
        :width="width * scale"
      />
    </div>
    <FoldedPart v-for="g in groups" :key="g.name" class="no-print mt-2" :open="g.open">
      <template #heading
        ><b>{{ g.name }}</b></template
      >
      <div class="mt-1 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
        <PlanFields :base="base" :fields="g.fields" />
        <button
          v-if="g.name === 'Gas struts and hinge' && !tipping?.struts"
          class="act min-h-11"
          @click="workspace.begin('struts', 'two gas struts')"
        >
          <PlusIcon class="size-5" />Two gas struts
        </button>
        <ProfileFields
          v-if="g.name === 'Winch and line' && tipping?.by === 'mast'"
          :path="`${base}/tipping/mastOf`"
          :profile="tipping.mastOf ?? { shape: '', height: 0, material: 's235' }"
          label="A post of the mast"
        />
      </div>
    </FoldedPart>
    <FoldedPart v-if="tipping" class="no-print mt-2" :open="!!pieces">
      <template #heading
        ><b>Its pieces&nbsp;</b><span class="text-soft">floor, cage, box, liner, tailgate</span></template
      >
      <PlanList
        :path="`${base}/tipping/pieces`"
        :of="tipping.pieces"
        :fields="pieceFields"
        thing="piece"
        begins="piece"
      />
    </FoldedPart>
    <FoldedPart v-if="winds" class="no-print mt-2" :open="!!Object.keys(tipping?.atHand ?? {}).length">
      <template #heading><b>Winches you have</b></template>
      <PlanList
        :path="`${base}/tipping/atHand`"
        :of="tipping?.atHand"
        :fields="winchFields"
        thing="winch"
        :fresh="{ name: '' }"
      />
    </FoldedPart>
    <section
      v-if="tipping?.by === 'mast' || tipping?.by === 'cylinder'"
      class="no-print mt-4"
      data-tip-search
    >
      <div class="flex flex-wrap items-center gap-2">
        <h3 class="mr-auto font-bold">Where it takes least</h3>
        <button class="act min-h-11" @click="search">Look for it</button>
      </div>
      <p v-if="searching" class="text-fails" role="alert">{{ searching }}</p>
      <template v-if="found">
        <p>{{ say(found.says) }}<template v-if="!found.whole"> Not all positions were tried.</template></p>
        <button
          v-for="(v, i) in found.ways"
          :key="i"
          class="act mt-1 min-h-11 w-full text-left first-letter:uppercase"
          @click="workspace.edit(v.patch, 'another place')"
        >
          {{ say(v.name) }}
        </button>
      </template>
    </section>
  </div>
</template>
