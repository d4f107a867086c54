<script setup lang="ts">
// Switches of a car on the drawn plug: each lamp as bright as it will be.
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { api } from '@/api'
import ChoiceField from '@/fields/ChoiceField.vue'
import SceneView from '@/drawing/SceneView.vue'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { switchWords, useWords } from '@/words'

defineProps<{ plugs: { value: string; name: string }[] }>()
const workspace = useWorkspace()
const { say, print } = useWords()
const on = ref<string[]>(['tail'])
const { data, failure } = useStudy(
  (asked) => api.shining(asked, on.value.join(',')),
  () => on.value.join(','),
)
const picture = computed(() => data.value?.picture)
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box)
const scale = computed(() => {
  const v = picture.value?.view
  return v ? Math.min(230, Math.max(60, (size.width.value || 300) - 4) / (v.max[0] - v.min[0])) : 100
})
/** The meter: at what it was last held to, on the drawing or in the list. */
const held = ref('')
const meter = computed(() => {
  const all = picture.value?.points ?? []
  const at = all.find((p) => say(p.says) === held.value) ?? all[0]
  return at ? all.filter((p) => p.x === at.x && p.y === at.y) : []
})
const places = computed(() =>
  (picture.value?.points ?? []).map((p) => ({ value: say(p.says), name: say(p.says) })),
)
function follow(e: PointerEvent) {
  const v = picture.value?.view
  const frame = box.value?.querySelector('svg')?.getBoundingClientRect()
  if (!v || !frame) return
  const x = v.min[0] + (e.clientX - frame.left) / scale.value
  const y = v.min[1] + (e.clientY - frame.top) / scale.value
  let near = 0.15
  for (const p of picture.value?.points ?? []) {
    const d = Math.hypot(p.x - x, p.y - y)
    if (d < near) {
      near = d
      held.value = say(p.says)
    }
  }
}
function toggle(s: string) {
  on.value = on.value.includes(s) ? on.value.filter((x) => x !== s) : [...on.value, s]
}
const words: Record<string, string> = { off: 'off', dim: 'dim', bright: 'bright' }
/** The plug no wider than its column. */
const faceScale = computed(() => {
  const v = picture.value?.face.view
  if (!v) return 30
  return Math.min(34, (Math.min(460, size.width.value || 300) - 8) / ((v.max[0] ?? 1) - (v.min[0] ?? 0)))
})
const width = (b: number) => `${Math.min(100, Math.round(b * 100))}%`
</script>

<template>
  <div class="plate p-3" data-tester>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <ChoiceField
      v-if="data && !picture"
      class="max-w-xs"
      label="The trailer’s plug"
      value=""
      none="choose"
      :options="plugs"
      @chosen="workspace.setAt(`/trailers/${workspace.trailer}/plug`, $event || undefined, 'plug')"
    />
    <template v-if="picture">
      <div class="grid grid-cols-3 gap-2 sm:grid-cols-6" role="group" aria-label="Switches">
        <button
          v-for="s in picture.switches"
          :key="s"
          class="act min-h-12"
          :class="{ '!bg-deep !text-deep-ink': on.includes(s) }"
          :aria-pressed="on.includes(s)"
          @click="toggle(s)"
        >
          {{ switchWords[s] }}
        </button>
      </div>
      <div ref="box" class="mt-3 w-full overflow-hidden" @pointermove="follow" @pointerdown="follow">
        <SceneView :view="picture.view" :scale="scale" />
      </div>
      <div class="mt-2 grid items-end gap-x-4 gap-y-1 sm:grid-cols-2" data-meter>
        <ChoiceField
          class="no-print"
          label="Hold the meter to"
          :value="meter[0] && say(meter[0].says)"
          :options="places"
          @chosen="held = $event"
        />
        <p role="status">
          <template v-for="(p, i) in meter" :key="i"
            ><template v-if="i">, </template>{{ say(p.says) }}:
            <b>{{ print('voltage', p.volts) }}</b></template
          >
          <span class="text-soft text-sm"> against the car’s earth</span>
        </p>
      </div>
      <div class="mt-3 grid gap-4 lg:grid-cols-2">
        <section>
          <h2 class="font-bold">Lamps</h2>
          <ul class="divide-rule divide-y">
            <li
              v-for="l in picture.lamps"
              :key="l.id"
              class="grid grid-cols-[1fr_7rem_4.5rem] items-center gap-2 py-1.5"
            >
              <button
                class="text-left first-letter:uppercase"
                @click="workspace.selected = `/trailers/${workspace.trailer}/wiring/lamps/${l.id}`"
              >
                {{ l.name }}
              </button>
              <span class="bg-wash relative block h-5 rounded" :data-level="l.level">
                <span
                  class="bg-deep/40 absolute inset-y-0 left-0 rounded"
                  :style="{ width: width(l.bright) }"
                />
                <span class="relative block px-1 text-sm font-semibold">{{ words[l.level] }}</span>
              </span>
              <span class="text-right text-sm">{{ print('voltage', l.volts) }}</span>
            </li>
          </ul>
        </section>
        <section>
          <h2 class="font-bold">The plug’s contacts</h2>
          <SceneView class="plug mt-1" :view="picture.face.view" :scale="faceScale" data-face />
          <p class="text-soft text-sm">{{ say(picture.face.says) }}</p>
          <ul class="divide-rule divide-y text-sm">
            <li v-for="(p, i) in picture.poles" :key="i" class="flex items-center gap-2 py-1.5">
              <span class="min-w-0 flex-1 first-letter:uppercase">{{ say(p.says) }}</span>
              <b>{{ print('current', p.amps) }}</b>
            </li>
          </ul>
        </section>
      </div>
      <section class="mt-4" data-trials>
        <h2 class="font-bold">Try it when it is built</h2>
        <p class="text-soft text-sm">One switch at a time; nothing else may light.</p>
        <table class="mt-1 w-full max-w-2xl">
          <tbody>
            <tr v-for="(t, i) in picture.trials" :key="i" class="border-rule border-t align-top">
              <td class="w-40 py-1.5 pr-3 font-semibold first-letter:uppercase">{{ say(t.says) }}</td>
              <td class="py-1.5">{{ say(t.lights) }}</td>
              <td class="w-10 text-center text-xl" aria-hidden="true">☐</td>
            </tr>
          </tbody>
        </table>
      </section>
    </template>
  </div>
</template>

<style scoped>
.plug :deep(.shell) {
  fill: var(--wash);
  stroke: var(--rule);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.plug :deep(.contact) {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.plug :deep(.contact-on) {
  stroke: var(--deep);
  stroke-width: 6;
}
</style>
