<script setup lang="ts">
// A connected scale: what it shows, taken when it stands still, place after place.
import { CheckIcon, PlayIcon, StopIcon } from '@heroicons/vue/20/solid'
import { useLocalStorage } from '@vueuse/core'
import { computed, onScopeDispose, ref } from 'vue'
import { api } from '@/api'
import ChoiceField from '@/fields/ChoiceField.vue'
import type { Op, Weighing } from '@/generated/types'
import { newId } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

type Place = 'ball' | 'left' | 'right' | 'axle' | 'whole' | 'front' | 'rear'
const workspace = useWorkspace()
const { print, nominal, say, term } = useWords()
const address = useLocalStorage('scale', '127.0.0.1:8585')
const places = computed<{ id: Place; name: string; expected: number | undefined }[]>(() => {
  const f = workspace.report?.figures
  return [
    { id: 'ball', name: `On the ball (${term('ball load')})`, expected: f?.ball?.value },
    { id: 'left', name: 'Left wheel', expected: f?.left?.value },
    { id: 'right', name: 'Right wheel', expected: f?.right?.value },
    { id: 'axle', name: 'All wheels', expected: f?.axle?.value },
    { id: 'whole', name: 'All of it, uncoupled', expected: f?.mass?.value },
    ...(loadHere.value
      ? [
          {
            id: 'front' as const,
            name: 'Front end of the load',
            expected: loadHere.value.ends?.front?.value,
          },
          { id: 'rear' as const, name: 'Its rear end', expected: loadHere.value.ends?.rear?.value },
        ]
      : []),
  ]
})
/** A long load is weighed at each end; which one is chosen here. */
const load = ref('')
const loadHere = computed(() => workspace.plan?.loads[load.value])
const at = ref<Place>('ball')
const now = ref<Weighing>()
const failure = ref('')
/** Why the last value could not be written down. */
const refused = ref('')
const running = ref(false)
const taken = ref<{ place: Place; value: number; doubt: number; expected: number | undefined }[]>([])
let stopper: AbortController | undefined

async function start() {
  failure.value = ''
  running.value = true
  stopper = new AbortController()
  try {
    await api.weigh(address.value, stopper.signal, told)
    if (running.value && !failure.value) failure.value = 'The scale has stopped. What was taken is kept.'
  } catch (e) {
    if (!stopper.signal.aborted) failure.value = e instanceof Error ? e.message : String(e)
  }
  running.value = false
  now.value = undefined
}
function stop() {
  running.value = false
  stopper?.abort()
}
onScopeDispose(stop)

function told(line: Weighing) {
  if (line.wrong) {
    failure.value = line.wrong
    return
  }
  now.value = line
  if (line.taken) void take()
}
/** What it stands at goes into the plan as a reading, and the next place comes. */
async function take() {
  const line = now.value
  const plan = workspace.plan
  if (!line?.steady || !plan) return
  const [place, value, doubt] = [at.value, line.value!, line.doubt!]
  const expected = places.value.find((p) => p.id === place)?.expected
  const whose = place === 'front' || place === 'rear' ? { load: load.value } : { id: newId('reading') }
  try {
    const entry = await api.weighed(
      { plan, outing: workspace.outing, trailer: workspace.trailer },
      { at: place, value, doubt, ...whose },
    )
    refused.value = say(entry.wrong)
    if (entry.wrong?.length) return
    workspace.edit(entry.ops as Op[], 'a reading of the scale')
  } catch (e) {
    refused.value = e instanceof Error ? e.message : String(e)
    return
  }
  taken.value = [...taken.value, { place, value, doubt, expected }]
  const i = places.value.findIndex((p) => p.id === place)
  at.value = places.value[Math.min(i + 1, places.value.length - 1)]!.id
}
const place = computed(() => places.value.find((p) => p.id === at.value)!)
const nameOf = (id: Place) => places.value.find((p) => p.id === id)!.name
</script>

<template>
  <div class="plate p-3" data-scale>
    <h2 class="text-lg leading-tight font-bold" role="status">
      <template v-if="now">
        {{ place.name }}: {{ print('mass', now.kg)
        }}<span :class="now.steady ? 'text-holds' : 'text-soft'">{{
          now.steady ? ', stands still' : ', moves'
        }}</span>
      </template>
      <template v-else>Read a scale that is connected</template>
    </h2>
    <p v-if="place.expected !== undefined && running" class="text-soft">
      Expected {{ print('mass', place.expected) }}. It is recorded once it is steady; lift the load off before
      the next place.
    </p>
    <p v-if="refused" class="text-fails font-semibold" role="alert">{{ refused }}</p>
    <p v-if="failure" class="text-fails font-semibold" role="alert">{{ failure }}</p>
    <div class="no-print mt-2 flex flex-wrap items-end gap-2">
      <label class="min-w-48">
        <span class="text-soft mb-0.5 block text-sm">Its address</span>
        <input v-model="address" class="box" aria-label="Address of the scale" spellcheck="false" />
      </label>
      <button v-if="!running" class="act-main min-h-11" @click="start">
        <PlayIcon class="size-5" />Read it
      </button>
      <template v-else>
        <button class="act min-h-11" @click="stop"><StopIcon class="size-5" />Stop</button>
        <button class="act-main min-h-11" :disabled="!now?.steady" @click="take">
          <CheckIcon class="size-5" />Record it now
        </button>
      </template>
    </div>
    <ChoiceField
      class="no-print mt-2 max-w-64"
      label="A load weighed at its ends"
      none="none"
      :value="load || undefined"
      :options="
        Object.entries(workspace.plan?.loads ?? {}).map(([value, l]) => ({
          value,
          name: l.name || 'unnamed',
        }))
      "
      @chosen="load = $event ?? ''"
    />
    <div class="no-print mt-2 flex flex-wrap gap-2" role="group" aria-label="Where the scale stands">
      <button
        v-for="p in places"
        :key="p.id"
        class="act min-h-11"
        :class="p.id === at ? 'bg-deep text-deep-ink border-deep' : ''"
        :aria-pressed="p.id === at"
        @click="at = p.id"
      >
        {{ p.name }}
      </button>
    </div>
    <ul v-if="taken.length" class="mt-3">
      <li v-for="(t, i) in taken" :key="i" class="border-rule border-t py-1.5" :data-taken="t.place">
        {{ nameOf(t.place) }}: <b>{{ print('mass', t.value) }} ± {{ print('mass', t.doubt) }}</b
        ><template v-if="t.expected !== undefined"
          >, expected {{ nominal({ kind: 'mass', value: t.expected }) }}</template
        >. It stands
        {{
          t.place === 'front' || t.place === 'rear' ? 'with the load' : 'among the readings under Balance'
        }}.
      </li>
    </ul>
    <p class="text-soft mt-2 text-sm">
      Trailer level, wheels chocked, nobody leaning on it. A scale sends a line for each reading; the app’s
      own pages say how. Try it without one: zygonos simulate scale.
    </p>
  </div>
</template>
