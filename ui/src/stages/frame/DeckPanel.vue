<script setup lang="ts">
// The floor on its members: boards or sheets, what bears them, the holes to be marked.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import SceneView from '@/drawing/SceneView.vue'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import ProfileFields from '@/fields/ProfileFields.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import { newId, put } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { choices, floorWords, useWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()
const { say, nominal } = useWords()
const { data, failure } = useStudy(api.decking)
const laid = computed(() => data.value?.laid)
const base = computed(() => `/trailers/${workspace.trailer}`)
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const boards = computed(() => trailer.value?.floor === 'boards')
const sheets = computed(() => trailer.value?.floor === 'ply' || trailer.value?.floor === 'plate')
const checks = computed(() => workspace.report?.findings.filter((f) => f.code.startsWith('deck.')) ?? [])
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const scaleOf = (long: number) => Math.min(260, Math.max(60, (size.width.value || 300) - 4) / long)

const what = computed<PlanField[]>(() => [
  { at: 'floor', label: 'Floor', options: choices(floorWords) },
  ...where(boards.value || sheets.value, { at: 'floorThick', label: 'Thickness' }),
  ...where(boards.value, { at: 'boardWide', label: 'Width of a board', hint: 0.12 }),
  ...where(
    boards.value,
    {
      at: 'decking/across',
      label: 'Boards run',
      ask: ['from side to side', 'from front to rear'],
      hint: 'from front to rear',
    },
    { at: 'decking/gap', label: 'Gap between them', hint: 'tight' },
    { at: 'decking/boardLong', label: 'A board is sold in', hint: 'long enough' },
    { at: 'decking/stagger', label: 'Joints are staggered', on: true },
    { at: 'decking/gains', label: 'Points of moisture they gain' },
    { at: 'decking/loses', label: 'and lose', hint: '0' },
    { at: 'decking/price', label: 'A board costs' },
  ),
  ...where(
    sheets.value,
    { at: 'decking/sheetLong', label: 'A sheet is long', hint: 2.44 },
    { at: 'decking/sheetWide', label: 'and wide', hint: 1.22 },
    { at: 'decking/price', label: 'A sheet costs' },
    {
      at: 'decking/grain',
      label: 'Pieces',
      ask: ['keep the grain along', 'may be turned'],
      hint: 'may be turned',
    },
    { at: 'decking/carryLong', label: 'The car carries a sheet long' },
    { at: 'decking/carryWide', label: 'and wide' },
  ),
])
const wooden = computed(() => boards.value || trailer.value?.floor === 'ply')
const steel = { shape: 'bar', height: 0.05, width: 0.008, material: 's235' }
const painted: [string, string] = ['painted', 'bare']
const faces = computed<PlanField[]>(() => [
  { at: 'decking/proud', label: 'It stands above the steel by', hint: 0.002 },
  {
    at: 'decking/tread',
    label: 'People walk on',
    options: (reference.data?.treads ?? []).map((t) => ({ value: t.id, name: t.name })),
    hint: 'not entered',
  },
  ...where(
    wooden.value,
    { at: 'decking/paintTop', label: 'Its top is', ask: painted, hint: 'not entered' },
    { at: 'decking/paintUnder', label: 'Its underside is', ask: painted, hint: 'not entered' },
    { at: 'decking/paintEdges', label: 'Cut edges and holes are', ask: painted, hint: 'not entered' },
  ),
  { at: 'decking/forkPlate', label: 'Checker plate reaches in from the sides', hint: 'none' },
  ...where(trailer.value?.decking?.forkPlate, {
    at: 'decking/forkThick',
    label: 'and is thick',
    hint: 0.003,
  }),
])
const bearers = computed(() =>
  Object.entries(trailer.value?.decking?.bearers ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const start = () => workspace.setAt(`${base.value}/decking`, {}, 'lay the floor')
function bearer(along: boolean) {
  if (!workspace.plan) return
  const value = { order: bearers.value.length + 1, at: 0.02, ...(along ? { along } : {}) }
  workspace.edit(
    put(workspace.plan, `${base.value}/decking/bearers/${newId('bearer')}`, value),
    'add a bearer',
  )
}

/** Holes are read one by one with the drill in the other hand. */
const reading = ref(-1)
const mark = computed(() => laid.value?.marks?.[reading.value])
</script>

<template>
  <div class="plate p-3" data-deck>
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="mr-auto text-lg font-bold">
        {{ laid?.says?.length ? say(laid.says) : 'Deck' }}
      </h2>
      <button v-if="!trailer?.decking" class="act-main" @click="start">Lay it out</button>
    </div>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-if="!trailer?.decking" class="text-soft text-sm">
      Boards from the middle outward or sheets with their joints on members; screws, marks for drilling, what
      to buy.
    </p>
    <template v-else>
      <p v-if="laid?.fails?.length" class="text-fails font-semibold">{{ say(laid.fails) }}</p>
      <ul>
        <li v-for="f in checks" :key="f.code" class="flex items-start gap-2 py-1 leading-snug">
          <OutcomeMark :outcome="f.outcome" class="mt-0.5" /><span>{{ say(f.says) }}</span>
        </li>
      </ul>
      <p v-if="laid && !laid.fails?.length" class="mt-1">
        <b
          >Buy {{ laid.buy }}
          {{ boards ? (laid.buy === 1 ? 'board' : 'boards') : laid.buy === 1 ? 'sheet' : 'sheets'
          }}<template v-if="laid.price">, {{ nominal(laid.price) }}</template></b
        ><template v-if="!boards"
          >, {{ laid.proven ? 'no way takes fewer' : `at least ${laid.least} are needed` }}</template
        >; {{ laid.screws }} screws of {{ nominal(laid.screw) }} or longer<template v-if="laid.mass"
          >; it weighs about {{ nominal(laid.mass) }}</template
        >.
        <template v-if="laid.gapWet && laid.gapDry">
          Gaps {{ nominal(laid.gapWet) }} wet, {{ nominal(laid.gapDry) }} dry.</template
        >
      </p>
      <div class="mt-3 grid grid-cols-2 gap-x-4 gap-y-3 lg:grid-cols-4">
        <PlanFields :base="base" :fields="what" />
      </div>
      <div ref="box" class="mt-3 w-full overflow-hidden">
        <SceneView v-if="laid" :view="laid.view" :scale="scaleOf(laid.view.max[0] - laid.view.min[0])" />
      </div>
      <ul v-if="laid?.boards?.length" class="divide-rule divide-y">
        <li v-for="(b, i) in laid.boards" :key="i" class="py-1">
          <b>{{ b.count }} × {{ nominal(b.width) }}</b> by {{ nominal(b.length)
          }}<template v-if="b.edge">, one at each edge</template>
        </li>
      </ul>
      <section v-for="(s, i) in laid?.sheets ?? []" :key="i" class="mt-3" data-sheet>
        <h3 class="font-bold">Sheet {{ i + 1 }}</h3>
        <p v-if="s.big" class="text-fails font-semibold">A piece is larger than the car carries.</p>
        <p v-else-if="s.home?.length">
          Have it cut where it is bought at {{ s.home.map((h) => nominal(h)).join(', then at ') }}.
        </p>
        <SceneView :view="s.view" :scale="scaleOf(s.view.max[0] - s.view.min[0]) * 0.6" />
        <ul class="text-sm">
          <li v-for="p in s.pieces" :key="p.mark">
            <b>{{ p.mark }}</b> {{ nominal(p.long) }} × {{ nominal(p.wide) }}, lies
            {{ nominal(p.behind) }} behind the front, {{ nominal(p.left) }} from the left
          </li>
        </ul>
      </section>
      <ul v-if="laid?.notes?.length" class="mt-3 list-disc pl-5 text-sm" data-notes>
        <li v-for="(n, i) in laid.notes" :key="i">{{ say(n) }}</li>
      </ul>
      <section v-if="laid?.marks?.length" class="mt-4" data-marks>
        <div class="flex flex-wrap items-center gap-2">
          <h3 class="mr-auto font-bold">{{ laid.marks.length }} holes to mark</h3>
          <button class="act min-h-11 no-print" @click="reading = reading < 0 ? 0 : -1">
            {{ reading < 0 ? 'Read them one by one' : 'Show all' }}
          </button>
        </div>
        <div v-if="mark" class="border-rule mt-2 rounded-lg border p-4 text-center" data-mark>
          <p class="text-soft">Hole {{ reading + 1 }} of {{ laid.marks.length }}, {{ mark.member }}</p>
          <p class="my-2 text-2xl font-bold">{{ nominal(mark.left) }} from the left</p>
          <p class="my-2 text-2xl font-bold">{{ nominal(mark.front) }} from the front</p>
          <p>{{ nominal(mark.size) }} across</p>
          <div class="mt-3 grid grid-cols-2 gap-3">
            <button class="act min-h-12" :disabled="reading === 0" @click="reading--">Back</button>
            <button
              class="act-main min-h-12"
              :disabled="reading === laid.marks.length - 1"
              @click="reading++"
            >
              Next
            </button>
          </div>
        </div>
        <table v-else class="mt-1 w-full max-w-xl text-sm">
          <thead>
            <tr class="text-soft text-left">
              <th class="font-normal">From the left</th>
              <th class="font-normal">from the front</th>
              <th class="font-normal">across</th>
              <th class="font-normal">in</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(m, i) in laid.marks" :key="i" class="border-rule border-t">
              <td class="py-1 font-semibold">{{ nominal(m.left) }}</td>
              <td class="font-semibold">{{ nominal(m.front) }}</td>
              <td>{{ nominal(m.size) }}</td>
              <td>{{ m.member }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <FoldedPart class="no-print mt-3" data-faces>
        <template #heading><b>Edges, grip, paint</b></template>
        <div class="mt-1 grid grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
          <PlanFields :base="base" :fields="faces" />
          <button
            v-if="!trailer?.decking?.rub?.shape"
            class="act min-h-11"
            @click="workspace.setAt(`${base}/decking/rub`, steel, 'rub rails')"
          >
            <PlusIcon class="size-5" />Rub rails
          </button>
        </div>
        <div v-if="trailer?.decking?.rub?.shape" class="mt-3 flex flex-wrap items-end gap-2">
          <ProfileFields :path="`${base}/decking/rub`" :profile="trailer.decking.rub" label="A rub rail" />
          <button
            class="act size-11"
            aria-label="Take the rub rails off"
            @click="workspace.setAt(`${base}/decking/rub`, undefined, 'rub rails off')"
          >
            <TrashIcon class="size-5" />
          </button>
        </div>
      </FoldedPart>
      <FoldedPart class="no-print mt-3" data-bearers :open="bearers.length > 0">
        <template #heading
          ><b>What it lies on&nbsp;</b
          ><span class="text-soft"> {{ trailer?.frame ? 'besides the drawing' : '' }}</span></template
        >
        <div v-for="[bid, b] in bearers" :key="bid" class="mt-2 flex items-end gap-2">
          <span class="w-44"
            ><PlanFields
              :base="`${base}/decking/bearers/${bid}`"
              :fields="[{ at: 'at', label: b.along ? 'Right of the middle' : 'Behind the front edge' }]"
          /></span>
          <button
            class="act size-11"
            aria-label="Take this bearer out"
            @click="workspace.setAt(`${base}/decking/bearers/${bid}`, undefined, 'take a bearer out')"
          >
            <TrashIcon class="size-5" />
          </button>
        </div>
        <div class="mt-2 flex flex-wrap gap-2">
          <button class="act min-h-11" @click="bearer(false)"><PlusIcon class="size-5" />One across</button>
          <button class="act min-h-11" @click="bearer(true)"><PlusIcon class="size-5" />One along</button>
        </div>
      </FoldedPart>
      <p class="text-soft mt-3 text-sm">
        Keep the floor a little proud of the steel at its edges. Crown up, ends supported, screw heads a
        little below the top. Use round-headed bolts where hulls slide. Paint cut ends before the boards are
        laid.
      </p>
    </template>
  </div>
</template>
