<script setup lang="ts">
// A heavy thing without wheels: the ways to get it on, side by side, and the one that is chosen.
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { nominal } = useWords()
const base = computed(() => `/outings/${workspace.outing}/layouts/${workspace.trailer}/shift`)
const layout = computed(() => workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer])
const shift = computed(() => layout.value?.shift)
const loads = computed(() =>
  Object.keys(layout.value?.placements ?? {}).map((id) => ({
    value: id,
    name: workspace.plan?.loads[id]?.name || 'A load',
  })),
)
const ways = computed(() => workspace.report?.ways ?? [])
const lifted = computed(() => ['jacks', 'hoist', 'forks'].includes(shift.value?.with ?? ''))
const fields = computed<PlanField[]>(() => [
  { at: 'planks', label: 'Planks or ramps, length', hint: 2.4 },
  ...where(!lifted.value, { at: 'people', label: 'People there', whole: true, hint: '1' }),
  ...where(lifted.value, { at: 'takes', label: 'Jack, hoist or fork takes' }),
  { at: 'unhitched', label: 'Unhitched', on: true },
  { at: 'propped', label: 'Props under the tail', on: true },
])
</script>

<template>
  <FoldedPart v-if="layout" class="plate no-print shrink-0 px-3 py-1" data-shift :open="!!shift">
    <template #heading><b class="text-lg">A heavy thing without wheels</b></template>
    <p class="text-soft text-sm">
      Stove, tub, pallet, machine on skids: what each way takes, and what the trailer does.
    </p>
    <div class="mt-2 grid items-end gap-x-4 gap-y-3 sm:grid-cols-2 lg:grid-cols-3">
      <ChoiceField
        label="What is moved"
        :value="shift?.load"
        none="Choose"
        :options="loads"
        @chosen="workspace.setAt(`${base}/load`, $event, 'what is moved')"
      />
      <PlanFields v-if="shift" :base="base" :fields="fields" />
    </div>
    <ul v-if="ways.length" class="mt-2 mb-2 grid gap-1.5 sm:grid-cols-2">
      <li v-for="w in ways" :key="w.with">
        <button
          class="border-rule hover:bg-wash flex min-h-12 w-full items-center justify-between gap-3 rounded-lg border px-3 py-1.5 text-left"
          :class="{ 'border-deep bg-wash': shift?.with === w.with }"
          :aria-pressed="shift?.with === w.with"
          @click="workspace.setAt(`${base}/with`, w.with, 'how it is moved')"
        >
          <span class="first-letter:uppercase">{{ w.name }}</span>
          <span class="text-right whitespace-nowrap"
            ><b>{{ nominal(w.force) }}</b
            ><br v-if="w.people" /><span v-if="w.people" class="text-soft text-sm"
              >{{ w.people }} {{ w.people === 1 ? 'person' : 'people' }}</span
            ></span
          >
        </button>
      </li>
    </ul>
  </FoldedPart>
</template>
