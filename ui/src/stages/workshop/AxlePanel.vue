<script setup lang="ts">
// The axle from the coupling: how far it is off, and which hanger to move.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import TapedView from './TapedView.vue'
import { useTaped } from './taped'
import { useWords } from '@/words'

const { term } = useWords()

const workspace = useWorkspace()
const reference = useReference()
const { drawn, failure } = useTaped()
const base = computed(() => `/trailers/${workspace.trailer}/workshop/axle`)
const two = computed(() => reference.axlesOf(workspace.plan?.trailers[workspace.trailer]) > 1)
</script>

<template>
  <div class="plate p-3" data-axle>
    <h2 class="text-lg font-bold">Does the axle run true?</h2>
    <p>A wire from the {{ term('coupling') }}’s middle to the same place of both spindles, without slack.</p>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <div class="mt-2 grid gap-4 md:grid-cols-2">
      <TapedView v-if="drawn?.axle" :view="drawn.axle" note="What is off is drawn larger than it is." />
      <div
        class="grid grid-cols-2 content-start items-end gap-x-4 gap-y-3"
        :class="drawn?.axle ? '' : 'md:col-span-2 md:grid-cols-4'"
      >
        <PlanFields
          :base="base"
          :fields="[
            { at: 'left', label: `${term('Coupling')} to the left spindle` },
            { at: 'right', label: 'to the right spindle' },
            { at: 'apart', label: 'Those places, apart' },
            { at: 'tape', label: 'A reading may be off by', hint: 0.001 },
            { at: 'railLeft', label: 'Left rail to hub face' },
            { at: 'railRight', label: 'Right rail to hub face' },
            { at: 'hangers', label: 'Hangers, apart' },
            { at: 'slots', label: 'Slots let them move' },
          ]"
        />
      </div>
    </div>
    <FoldedPart v-if="two" class="mt-2" open>
      <template #heading><b>The second axle</b></template>
      <div class="mt-1 grid grid-cols-2 items-end gap-x-4 gap-y-3 md:grid-cols-4">
        <PlanFields
          :base="base"
          :fields="[
            { at: 'secondLeft', label: `${term('Coupling')} to its left spindle` },
            { at: 'secondRight', label: 'to its right spindle' },
          ]"
        />
      </div>
    </FoldedPart>
    <FoldedPart class="mt-2">
      <template #heading><b>Toe, from rim to rim</b></template>
      <div class="mt-1 grid grid-cols-2 items-end gap-x-4 gap-y-3 md:grid-cols-4">
        <PlanFields
          :base="base"
          :fields="[
            { at: 'rimFront', label: 'Between the rims, in front' },
            { at: 'rimRear', label: 'behind' },
            { at: 'rimAcross', label: 'A rim, across' },
          ]"
        />
      </div>
    </FoldedPart>
  </div>
</template>
