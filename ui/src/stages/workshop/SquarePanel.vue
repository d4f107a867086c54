<script setup lang="ts">
// Sides and diagonals as they are taped: which corner to push, and by how much.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import TapedView from './TapedView.vue'
import { useTaped } from './taped'

const workspace = useWorkspace()
const { print } = useWords()
const { drawn, failure } = useTaped()
const base = computed(() => `/trailers/${workspace.trailer}/workshop/square`)
const triangle = computed(() => drawn.value?.triangle)
</script>

<template>
  <div class="plate p-3" data-square>
    <h2 class="text-lg font-bold">Is it square?</h2>
    <p>Tape the four sides and both diagonals, the hook on the same edge each time.</p>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <div class="mt-2 grid gap-4 md:grid-cols-2">
      <TapedView v-if="drawn?.square" :view="drawn.square" note="What is off is drawn larger than it is." />
      <div
        class="grid grid-cols-2 content-start items-end gap-x-4 gap-y-3"
        :class="drawn?.square ? '' : 'md:col-span-2 md:grid-cols-4'"
      >
        <PlanFields
          :base="base"
          :fields="[
            { at: 'front', label: 'Front side' },
            { at: 'rear', label: 'Rear side' },
            { at: 'left', label: 'Left side' },
            { at: 'right', label: 'Right side' },
            { at: 'fromFL', label: 'Front left to rear right' },
            { at: 'fromFR', label: 'Front right to rear left' },
            { at: 'tape', label: 'A reading may be off by', hint: 0.001 },
          ]"
        />
      </div>
    </div>
    <FoldedPart class="mt-2" open>
      <template #heading><b>A corner by a triangle</b></template>
      <p v-if="triangle?.[2]">
        The largest that fits: {{ print('length', triangle[0]) }} along the front,
        {{ print('length', triangle[1]) }} along the side; square reads
        <b>{{ print('length', triangle[2]) }}</b>
        across.
      </p>
      <div class="mt-1 grid grid-cols-2 items-end gap-x-4 gap-y-3 md:grid-cols-4">
        <PlanFields
          :base="base"
          :fields="[
            { at: 'legA', label: 'One leg' },
            { at: 'legB', label: 'The other leg' },
            { at: 'across', label: 'Read across' },
          ]"
        />
      </div>
    </FoldedPart>
  </div>
</template>
