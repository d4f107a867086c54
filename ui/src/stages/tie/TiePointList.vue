<script setup lang="ts">
// Where straps can be hooked on the trailer.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed, ref, useTemplateRef } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import { where, type PlanField } from '@/fields/planField'
import FoldedPart from '@/parts/FoldedPart.vue'
import { newId } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, fixedWords, useWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()
const { say } = useWords()
const base = computed(() => `/trailers/${workspace.trailer}/tiePoints`)
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const points = computed(() =>
  Object.entries(trailer.value?.tiePoints ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const kinds = computed(() =>
  (reference.data?.anchorKinds ?? []).map((k) => ({
    value: k.id,
    name: k.name,
    more: `gives way first: ${k.weak}`,
  })),
)
const place = (pid: string, kind: string | undefined): PlanField[] => [
  { at: 'kind', label: pid.replaceAll('-', ' '), options: kinds.value },
  ...where(kind === 'eye-bolt', { at: 'shoulder', label: 'It has a shoulder', ask: ['Yes', 'No'] }),
  { at: 'rating', label: 'Takes, from its plate' },
  { at: 'at/back', label: 'Behind the front board' },
]
const bolted: PlanField[] = [
  { at: 'fastening', label: 'I know its bolts', on: { bolt: 0.008, in: 'member' } },
]
const grades = computed(() => (reference.data?.bolts ?? []).map((b) => ({ value: b.id, name: b.name })))
const fastening = (into: string | undefined): PlanField[] => [
  { at: 'in', label: 'Bolted to', options: choices(fixedWords) },
  { at: 'bolt', label: 'Bolts’ diameter' },
  { at: 'bolts', label: 'How many', whole: true },
  { at: 'grade', label: 'Grade', options: grades.value, hint: 'not known' },
  ...where(
    into !== 'member',
    { at: 'thick', label: 'Its thickness' },
    { at: 'washer', label: 'Washer’s diameter' },
  ),
]
/** What each takes, as the core says it. */
const takes = computed(() => {
  const all = workspace.settledReport?.tied?.flatMap((t) => t.points) ?? []
  return Object.fromEntries(all.map((p) => [p.id, say(p.says)]))
})
const open = ref(!points.value.length) // at first; what is added is typed at once
const part = useTemplateRef<{ $el: HTMLElement }>('part')
/** Six rings at their usual places need no typing: they fold away, so that the straps come next. */
async function six() {
  await workspace.begin('rings', 'six rings')
  open.value = false
  part.value?.$el.querySelector('summary')?.focus({ preventScroll: true })
}
const next = () => (points.value.at(-1)?.[1].order ?? 0) + 1
const add = () =>
  workspace.setAt(
    `${base.value}/${newId('ring')}`,
    { order: next(), kind: 'ring-bolted', at: { back: 0.1, right: 0.6 } },
    'add a tie point',
  )
</script>

<template>
  <FoldedPart v-if="trailer" ref="part" class="plate shrink-0 px-3 py-1" data-tie-points :open="open">
    <template #heading
      ><b class="text-lg">Tie points: {{ points.length }}</b></template
    >
    <div class="mt-2 grid gap-2 lg:grid-cols-2">
      <div
        v-for="[pid, p] in points"
        :key="pid"
        class="border-rule grid grid-cols-2 content-start items-end gap-2 border-t pt-2"
      >
        <PlanFields :base="`${base}/${pid}`" :fields="place(pid, p.kind)" />
        <div class="grid grid-cols-[1fr_auto] items-end gap-2">
          <PlanQuantity :path="`${base}/${pid}/at/right`" label="Right of middle" />
          <button
            class="act size-11"
            :aria-label="`Take ${pid.replaceAll('-', ' ')} out`"
            @click="workspace.setAt(`${base}/${pid}`, undefined, 'take a tie point out')"
          >
            <TrashIcon class="size-5" />
          </button>
        </div>
        <PlanFields :base="`${base}/${pid}`" :fields="bolted" />
        <PlanFields
          v-if="p.fastening"
          :base="`${base}/${pid}/fastening`"
          :fields="fastening(p.fastening.in)"
        />
        <p v-if="takes[pid]" class="text-soft col-span-2 text-sm" :data-takes="pid">
          Takes {{ takes[pid] }}.
        </p>
      </div>
    </div>
    <div class="mt-2 flex flex-wrap gap-2">
      <button class="act" @click="add"><PlusIcon class="size-5" />Tie point</button>
      <button v-if="points.length < 6" class="act" @click="six">Six rings, three a side</button>
    </div>
    <p class="text-soft mt-1 text-sm">
      A stake pocket is made for stakes. Without a plate, the low end for its kind is counted.
    </p>
  </FoldedPart>
</template>
