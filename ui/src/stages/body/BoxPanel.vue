<script setup lang="ts">
// Sides, cage or box on the deck: what it weighs, and whether it gets out.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { api } from '@/api'
import SceneShape from '@/drawing/SceneShape.vue'
import SceneView from '@/drawing/SceneView.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { bodyWords, choices, useWords } from '@/words'
import { groupsOfBox } from './boxFields'

const workspace = useWorkspace()
const { say, nominal, print, locale } = useWords()
const { data, failure } = useStudy(api.boxing)
const chosen = ref('')
const bodies = computed(() => data.value?.bodies ?? [])
const body = computed(() => bodies.value.find((b) => b.id === chosen.value) ?? bodies.value[0])
const base = computed(() => `/parts/${body.value?.id}/box`)
const plan = computed(() => workspace.plan?.parts[body.value?.id ?? '']?.box)
const groups = computed(() => (plan.value ? groupsOfBox(plan.value) : []))

const kind = ref('box')
const starting = ref('')
async function start() {
  starting.value = ''
  try {
    chosen.value = await workspace.begin('box', 'a body on the deck', kind.value)
  } catch (e) {
    starting.value = e instanceof Error ? e.message : String(e)
  }
}
function away() {
  const id = body.value?.id
  if (id)
    workspace.setAt(
      `/outings/${workspace.outing}/layouts/${workspace.trailer}/parts/${id}`,
      undefined,
      'leave it at home',
    )
}

const turn = ref(0)
watch(
  () => [body.value?.id, body.value?.tight],
  () => (turn.value = body.value?.tight ?? 0),
  { immediate: true },
)
const step = computed(() => body.value?.turns[turn.value])
/** Where the hand is, the body goes: to the nearest place on its way. */
const way = useTemplateRef<HTMLElement>('way')
function lead(e: PointerEvent) {
  const path = body.value?.path
  const frame = way.value?.getBoundingClientRect()
  if (!path || !frame || !(e.buttons & 1)) return
  const scale = scaleOf(path, 300)
  const u = (path.min[0] ?? 0) + (e.clientX - frame.left) / scale
  const v = (path.min[1] ?? 0) + (e.clientY - frame.top) / scale
  const far = (t: { middle: number[] }) => Math.hypot((t.middle[0] ?? 0) - u, (t.middle[1] ?? 0) - v)
  const turns = body.value?.turns ?? []
  turn.value = turns.reduce((best, t, i) => (far(t) < far(turns[best]!) ? i : best), 0)
}
const highOf = (v: { min: number[]; max: number[] }) => (v.max[1] ?? 1) - (v.min[1] ?? 0)
const wideOf = (v: { min: number[]; max: number[] }) => (v.max[0] ?? 1) - (v.min[0] ?? 0)

/** What it adds to the car's thirst, over a hundred of what the plan drives by. */
const thirstier = computed(() => {
  const [far, of] = locale.value.units === 'imperial' ? [1.609344, 'miles'] : [1, 'km']
  return `${print('fuel', (body.value?.litres ?? 0) * far)} more on 100 ${of}`
})

const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const scaleOf = (v: { min: number[]; max: number[] }, most: number) =>
  Math.min(
    Math.min(most, (size.width.value || 300) - 4) / ((v.max[0] ?? 1) - (v.min[0] ?? 0)),
    220 / ((v.max[1] ?? 1) - (v.min[1] ?? 0)),
  )
</script>

<template>
  <div class="plate p-3" data-box>
    <template v-if="!body">
      <h2 class="text-lg font-bold">Sides, a cage, a box</h2>
      <p class="mt-1 max-w-2xl">
        What it weighs and leaves of the payload, what wind and bulk do to it, whether it stays square, and
        whether it gets out of where you build it.
      </p>
      <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    </template>
    <template v-else>
      <div class="flex items-start gap-2">
        <h2 class="mr-auto text-lg leading-tight font-bold" role="status">
          {{ say([body.name]) }}<template v-if="body.mass">: {{ nominal(body.mass) }}</template
          ><template v-if="body.litres">, about {{ thirstier }}</template>
        </h2>
        <button class="act size-11 shrink-0" aria-label="Leave it at home" @click="away">
          <TrashIcon class="size-5" />
        </button>
      </div>
      <div ref="box" class="mt-2 flex w-full flex-wrap gap-4 overflow-hidden">
        <SceneView :view="body.side" :scale="scaleOf(body.side, 420)" />
        <figure v-if="body.path">
          <div
            ref="way"
            class="relative cursor-grab touch-none"
            data-way
            @pointerdown="lead"
            @pointermove="lead"
          >
            <svg
              class="drawing pointer-events-none absolute inset-0"
              :viewBox="`${body.path.min[0]} ${body.path.min[1]} ${wideOf(body.path)} ${highOf(body.path)}`"
              :width="wideOf(body.path) * scaleOf(body.path, 300)"
              :height="highOf(body.path) * scaleOf(body.path, 300)"
              aria-hidden="true"
            >
              <g v-if="turn !== body.tight && body.turns[body.tight]" class="opacity-30">
                <SceneShape :shape="body.turns[body.tight]!.shape" :scale="scaleOf(body.path, 300)" />
              </g>
              <SceneShape v-if="step" :shape="step.shape" :scale="scaleOf(body.path, 300)" />
            </svg>
            <SceneView class="relative" :view="body.path" :scale="scaleOf(body.path, 300)" />
          </div>
          <label class="block">
            <span class="sr-only">On its way out</span>
            <input
              v-model.number="turn"
              type="range"
              class="accent-deep h-11 w-full"
              min="0"
              :max="body.turns.length - 1"
              step="1"
              :aria-valuetext="print('length', step?.room ?? 0)"
            />
          </label>
          <figcaption
            class="text-sm"
            :class="(step?.room ?? 0) < 0 ? 'text-fails font-semibold' : 'text-soft'"
          >
            <template v-if="turn === body.tight">Tightest here: </template
            ><template v-if="(step?.room ?? 0) < 0"
              >{{ print('length', -(step?.room ?? 0)) }} too much {{ say(step?.says ?? []) }}</template
            ><template v-else>{{ print('length', step?.room ?? 0) }} {{ say(step?.says ?? []) }}</template>
          </figcaption>
        </figure>
      </div>
      <ul v-if="body.ways[0]?.room != null" class="mt-1" data-ways-out>
        <li v-for="(w, i) in body.ways.slice(0, 3)" :key="w.name">
          <b v-if="!i">{{ 'Best: ' }}</b>{{ w.name }},
          <template v-if="(w.room ?? 0) >= 0">{{ print('length', w.room ?? 0) }} are left</template
          ><b v-else>{{ print('length', -(w.room ?? 0)) }} too large</b>
        </li>
      </ul>
      <FoldedPart v-for="g in groups" :key="g.name" class="no-print mt-2" :open="g.open">
        <template #heading
          ><b>{{ g.name }}</b></template
        >
        <div class="mt-1 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
          <ChoiceField
            v-if="g.name === 'Sizes and build' && bodies.length > 1"
            label="Which body"
            :value="body.id"
            :options="bodies.map((b) => ({ value: b.id, name: say([b.name]) }))"
            @chosen="chosen = $event ?? ''"
          />
          <ProfileFields
            v-if="g.name === 'Sizes and build' && plan"
            :path="`${base}/stick`"
            :profile="plan.stick ?? { shape: '', height: 0, material: 's235' }"
            label="Sticks"
          />
          <PlanFields :base="base" :fields="g.fields" />
        </div>
      </FoldedPart>
      <FoldedPart class="mt-2">
        <template #heading><b>Its pieces</b></template>
        <table class="w-full">
          <tbody>
            <tr v-for="p in body.pieces" :key="p.name">
              <td class="py-0.5">{{ p.count }} {{ p.name }}</td>
              <td class="text-right">
                {{ p.long ? print('length', p.long) : print('area', p.area ?? 0) }}
              </td>
              <td class="pl-4 text-right">{{ nominal(p.mass) }}</td>
            </tr>
          </tbody>
        </table>
      </FoldedPart>
    </template>
    <div class="no-print mt-3 grid max-w-xl items-end gap-3 sm:grid-cols-2">
      <ChoiceField
        :label="body ? 'Another' : 'Begin with'"
        :value="kind"
        :options="choices(bodyWords)"
        @chosen="kind = $event || 'box'"
      />
      <button :class="body ? 'act min-h-11' : 'act-main'" @click="start">
        <PlusIcon v-if="body" class="size-5" />Put it on the deck
      </button>
    </div>
    <p v-if="starting" class="text-fails mt-2 font-semibold" role="alert">{{ starting }}</p>
  </div>
</template>
