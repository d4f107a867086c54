<script setup lang="ts">
// One strap on a load: how it runs and what it takes; opened, where it is hooked.
import { TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import type { Lashing, PointOf, TiedStrap } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const props = defineProps<{
  path: string
  lashing: Lashing
  points: PointOf[]
  told: TiedStrap | undefined // undefined: not stated to the end
  first: boolean // it gives first
  fresh: boolean
}>()
const workspace = useWorkspace()
const { nominal } = useWords()
const straps = computed(() =>
  Object.entries(workspace.plan?.straps ?? {}).map(([value, s]) => ({ value, name: s.name || 'Strap' })),
)
const points = computed(() => props.points.map((p) => ({ value: p.id, name: p.name })))
const ends = computed(() => [{ value: '', name: 'holds it directly' }, ...points.value])
const name = (point: string | undefined) => points.value.find((p) => p.value === point)?.name
const runs = computed(() => {
  const from = name(props.lashing.from) ?? 'Not hooked'
  return props.lashing.to ? `${from}, over it to ${name(props.lashing.to) ?? 'nothing'}` : from
})
const set = (field: string, value: unknown) =>
  workspace.setAt(`${props.path}/${field}`, value, 'move a strap')
</script>

<template>
  <FoldedPart class="border-rule border-t" :open="fresh">
    <template #heading>
      <b class="first-letter:uppercase inline-block pt-1.5 leading-tight">{{ runs }}</b>
      <b v-if="first" class="text-tight" data-weak> · gives way first</b>
      <span v-if="told" class="text-soft block pb-1.5 text-sm leading-tight">
        {{ nominal(told.long) }} long, {{ nominal(told.floor) }} to the floor, takes
        {{ nominal(told.limit) }} (its {{ told.weak }} is the weakest), tightened to {{ nominal(told.pull)
        }}{{ told.eased ? ', no more, for the hull' : '' }}
      </span>
      <span v-else-if="workspace.settled" class="text-unknown block text-sm font-semibold"
        >Not fully described</span
      >
    </template>
    <div class="grid grid-cols-2 items-end gap-2 pt-1 pb-3 lg:grid-cols-[1.3fr_1.2fr_1.2fr_1fr_auto]">
      <ChoiceField label="Strap" :value="lashing.strap" :options="straps" @chosen="set('strap', $event)" />
      <ChoiceField label="Hooked at" :value="lashing.from" :options="points" @chosen="set('from', $event)" />
      <ChoiceField
        label="Over it to"
        :value="lashing.to || ''"
        :options="ends"
        @chosen="set('to', $event || undefined)"
      />
      <PlanQuantity :path="`${path}/hold/back`" label="Behind its front" />
      <button
        class="act no-print size-11"
        aria-label="Take the strap off"
        @click="workspace.setAt(path, undefined, 'take a strap off')"
      >
        <TrashIcon class="size-5" />
      </button>
      <template v-if="!lashing.to">
        <PlanQuantity :path="`${path}/hold/right`" label="Right of its middle" />
        <PlanQuantity :path="`${path}/hold/up`" label="Above its underside" />
      </template>
    </div>
  </FoldedPart>
</template>
