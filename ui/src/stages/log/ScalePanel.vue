<script setup lang="ts">
// A connected scale: what it shows, taken when it stands still, place after place.
import { CheckIcon, PlayIcon, StopIcon } from '@heroicons/vue/20/solid'
import { useLocalStorage } from '@vueuse/core'
import { computed, onScopeDispose, ref } from 'vue'
import { api } from '@/api'
import ChoiceField from '@/fields/ChoiceField.vue'
import type { Weighing } from '@/generated/types'
import { newId, put } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

type Place = 'ball' | 'left' | 'right' | 'axle' | 'whole' | 'front' | 'rear'
const workspace = useWorkspace()
const { print, nominal, term } = useWords()
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
function takeEnd(end: 'front' | 'rear', value: number, plusMinus: number) {
  const path = `/loads/${load.value}/ends`
  const read = { value, plusMinus, how: 'weighed' }
  const ends = loadHere.value?.ends
  const next = ends
    ? { ...ends, [end]: read, ...(end === 'rear' || !ends.one ? { one: undefined } : {}) }
    : { front: read, rear: read, frontAt: 0, rearAt: loadHere.value?.size?.length?.value ?? 1, one: true }
  workspace.setAt(path, JSON.parse(JSON.stringify(next)), 'a reading of the scale')
}
const at = ref<Place>('ball')
const now = ref<Weighing>()
const failure = ref('')
const running = ref(false)
const taken = ref<{ place: Place; value: number; doubt: number; expected: number | undefined }[]>([])
let stopper: AbortController | undefined
let loadedOnce = true // the place was empty since the last value: it is not taken twice

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
  const last = taken.value.at(-1)
  if (!loadedOnce && last && Math.abs(line.kg) < Math.max(2, 0.2 * last.value)) loadedOnce = true
  if (line.steady && loadedOnce && line.value! > 2) take()
}
/** What it stands at goes into the plan as a reading, and the next place comes. */
function take() {
  const line = now.value
  if (!line?.steady || !workspace.plan) return
  const expected = places.value.find((p) => p.id === at.value)?.expected
  const value = Math.round(line.value! * 10) / 10
  const doubt = Math.max(0.1, Math.round(line.doubt! * 10) / 10)
  if (at.value === 'front' || at.value === 'rear') takeEnd(at.value, value, doubt)
  else takeReading(at.value, value, doubt)
  taken.value = [...taken.value, { place: at.value, value, doubt, expected }]
  loadedOnce = false
  const i = places.value.findIndex((p) => p.id === at.value)
  at.value = places.value[Math.min(i + 1, places.value.length - 1)]!.id
}
function takeReading(what: Place, mass: number, plusMinus: number) {
  const path = `/outings/${workspace.outing}/layouts/${workspace.trailer}/readings`
  const have = workspace.get(path) as Record<string, { order: number }> | undefined
  const order = 1 + Math.max(0, ...Object.values(have ?? {}).map((r) => r.order))
  workspace.edit(
    put(workspace.plan!, `${path}/${newId('reading')}`, { order, what, mass, plusMinus }),
    'a reading of the scale',
  )
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
      Expected {{ print('mass', place.expected) }}. It is taken when it stands still; lift it off before the
      next place.
    </p>
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
          <CheckIcon class="size-5" />Take it now
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
      Trailer level, wheels chocked, nobody leaning on it. A scale sends a line for each reading; how is told
      in the app’s own pages. Try it without one: zygonos simulate scale.
    </p>
  </div>
</template>
