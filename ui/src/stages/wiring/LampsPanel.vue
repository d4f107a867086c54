<script setup lang="ts">
// Plug, wires, and each lamp as it is placed.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { api } from '@/api'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import { download } from '@/download'
import SceneView from '@/drawing/SceneView.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import { newId, put } from '@/stores/patch'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { choices, lampUseWords, useWords, wireJointWords } from '@/words'

defineProps<{ plugs: { value: string; name: string }[] }>()
const workspace = useWorkspace()
const { say, nominal, term } = useWords()
const base = computed(() => `/trailers/${workspace.trailer}`)
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const lamps = computed(() =>
  Object.entries(trailer.value?.wiring?.lamps ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const { data } = useStudy((asked) => api.shining(asked, ''))
const harness = computed<PlanField[]>(() => [
  { at: 'wire', label: 'Wires, mm²', hint: '1' },
  { at: 'lead', label: 'Cable before the frame', hint: `as the ${term('drawbar')}, and a loop` },
  { at: 'fuse', label: 'Fuse of the socket, A' },
  {
    at: 'joined',
    label: 'Wires are joined',
    options: choices(wireJointWords),
    hint: 'crimped and sealed',
  },
  { at: 'foldAt', label: 'A hinge, behind the front', hint: 'none' },
  ...where(
    trailer.value?.wiring?.foldAt !== undefined,
    { at: 'foldTurn', label: 'It turns by', hint: '180°' },
    { at: 'foldOff', label: 'The cable runs off its axis', hint: 0.05 },
  ),
  { at: 'earthFrame', label: 'Earth through the frame', on: true },
  { at: 'bundled', label: 'All in one bundle', on: true },
  { at: 'converter', label: 'A converter is fitted', on: true },
  { at: 'watched', label: 'The car watches its bulbs', ask: ['yes', 'no'], hint: 'not entered' },
])
/** A member taken on the drawing: the cable runs along it, or keeps off. */
const members = computed(() => trailer.value?.frame?.members ?? {})
const member = computed(() => {
  const at = `${base.value}/frame/members/`
  const id = workspace.selected.startsWith(at) ? workspace.selected.slice(at.length) : ''
  return members.value[id] ? id : ''
})
const route = (id: string) => `${base.value}/wiring/route/${id}`
const use = computed(() => trailer.value?.wiring?.route?.[member.value])
function run(how?: 'along' | 'off') {
  if (!workspace.plan) return
  const ops = how ? put(workspace.plan, route(member.value), how) : undefined
  if (ops) workspace.edit(ops, 'the cable’s way')
  else workspace.setAt(route(member.value), undefined, 'the cable’s way')
}
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const scale = computed(() => {
  const v = data.value?.picture?.view
  return v ? Math.min(230, Math.max(60, (size.width.value || 300) - 4) / (v.max[0] - v.min[0])) : 100
})
const asked = () => ({ plan: workspace.plan!, outing: workspace.outing, trailer: workspace.trailer })
async function table() {
  download(await api.wires(asked()), 'wires.csv')
}
async function drawing(key: string, name: string) {
  download(await api.drawing(asked(), key, 'svg'), `${name}.svg`)
}
const fields: PlanField[] = [
  { at: 'what', label: 'It is a', options: choices(lampUseWords) },
  { at: 'back', label: 'Behind the front' },
  { at: 'right', label: 'Right of the middle' },
  { at: 'height', label: 'Over the ground' },
  { at: 'watts', label: 'Watts', hint: 'usual' },
  { at: 'led', label: 'LED', on: true },
  { at: 'guarded', label: 'Guard', on: true },
]
function add() {
  if (!workspace.plan) return
  const value = { order: lamps.value.length + 1, what: 'marker', back: 0, right: 0, height: 0.6 }
  workspace.edit(put(workspace.plan, `${base.value}/wiring/lamps/${newId('lamp')}`, value), 'add a lamp')
}
</script>

<template>
  <div class="plate p-3" data-lamps>
    <div class="grid grid-cols-1 items-end gap-x-4 gap-y-3 sm:grid-cols-3">
      <ChoiceField
        label="The trailer’s plug"
        :value="trailer?.plug"
        none="choose"
        :options="plugs"
        @chosen="workspace.setAt(`${base}/plug`, $event || undefined, 'plug')"
      />
      <PlanFields :base="`${base}/wiring`" :fields="harness" />
    </div>
    <section v-if="data?.picture" class="mt-4" data-route>
      <h2 class="font-bold">Where the cable runs</h2>
      <p v-if="Object.keys(members).length" class="text-soft text-sm">
        Select a member on the drawing or in the list to lead the cable along it, or to keep it off.
      </p>
      <div ref="box" class="mt-1 w-full overflow-hidden">
        <SceneView :view="data.picture.view" :scale="scale" />
      </div>
      <div
        v-if="Object.keys(members).length"
        class="no-print mt-1 flex flex-wrap items-end gap-2"
        data-member-way
      >
        <ChoiceField
          class="min-w-48 flex-1"
          label="The cable on member"
          :value="member || undefined"
          none="select one"
          :options="Object.entries(members).map(([id, m]) => ({ value: id, name: m.name || 'a member' }))"
          @chosen="workspace.selected = $event ? `${base}/frame/members/${$event}` : ''"
        />
        <button
          class="act min-h-11"
          :disabled="!member"
          :aria-pressed="use === 'along'"
          @click="run('along')"
        >
          Along it
        </button>
        <button class="act min-h-11" :disabled="!member" :aria-pressed="use === 'off'" @click="run('off')">
          Not along it
        </button>
        <button class="act min-h-11" :disabled="!use" @click="run()">As it comes</button>
      </div>
    </section>
    <section v-if="data?.picture?.wires.length" class="mt-4" data-wires>
      <div class="flex flex-wrap items-center gap-2">
        <h2 class="mr-auto font-bold">To buy</h2>
        <button class="act no-print min-h-11" @click="table">Wires as a table</button>
        <button class="act no-print min-h-11" @click="drawing('wiring-diagram', 'diagram')">Diagram</button>
        <button class="act no-print min-h-11" @click="drawing('wiring', 'harness')">Harness</button>
      </div>
      <ul class="text-sm sm:columns-2">
        <li v-for="(w, i) in data.picture.wires" :key="i" class="flex gap-2 py-0.5">
          <span class="flex-1 first-letter:uppercase">{{ say(w.says) }}</span><b>{{ nominal(w.length) }}</b>
        </li>
      </ul>
      <ul class="mt-2 list-disc pl-5 text-sm" data-fittings>
        <li v-for="(f, i) in data.picture.fittings" :key="i" class="first-letter:uppercase">
          {{ say(f.says) }}
        </li>
      </ul>
      <FoldedPart v-if="data.picture.diagram" class="mt-2" data-diagram>
        <template #heading><b>Diagram</b></template>
        <SceneView
          :view="data.picture.diagram"
          :scale="
            Math.min(
              190,
              (size.width.value || 300) / (data.picture.diagram.max[0] - data.picture.diagram.min[0]),
            )
          "
        />
      </FoldedPart>
      <FoldedPart class="mt-2" data-labels>
        <template #heading><b>Labels for both ends of each wire</b></template>
        <ul class="grid grid-cols-1 gap-1 text-sm sm:grid-cols-2">
          <li v-for="(l, i) in data.picture.labels" :key="i" class="border-rule border px-2 py-1">{{ l }}</li>
        </ul>
      </FoldedPart>
    </section>
    <h2 class="mt-4 font-bold">Lamps and reflectors</h2>
    <div
      v-for="[id, l] in lamps"
      :key="id"
      class="border-rule mt-2 grid grid-cols-2 items-end gap-2 border-t pt-2 sm:grid-cols-4 lg:grid-cols-[1.7fr_repeat(4,1fr)_5.5rem_6.5rem_2.75rem]"
    >
      <PlanFields :base="`${base}/wiring/lamps/${id}`" :fields="fields" />
      <button
        class="act size-11"
        :aria-label="`Take the ${lampUseWords[l.what] ?? 'lamp'} out`"
        @click="workspace.setAt(`${base}/wiring/lamps/${id}`, undefined, 'take a lamp out')"
      >
        <TrashIcon class="size-5" />
      </button>
    </div>
    <button class="act mt-3 min-h-11" @click="add"><PlusIcon class="size-5" />A lamp</button>
  </div>
</template>
