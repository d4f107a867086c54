<script setup lang="ts">
// A drawn frame made longer or wider, as an old trailer is.
import { computed, ref } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import QuantityField from '@/fields/QuantityField.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { term } = useWords()
const kind = ref('longer')
const by = ref<number>()
const at = ref<number>()
const failure = ref('')
const kinds = computed(() => [
  { value: 'longer', name: 'Longer deck' },
  { value: 'wider', name: 'Wider deck' },
  { value: 'drawbar', name: `Longer ${term('drawbar')}` },
])
async function go() {
  failure.value = ''
  try {
    await workspace.begin('stretch', 'stretch the frame', kind.value, {
      by: by.value ?? 0,
      at: at.value ?? 0,
    })
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
</script>

<template>
  <FoldedPart class="no-print mt-4" data-stretch>
    <template #heading><b>Stretch it</b></template>
    <div class="grid grid-cols-1 items-end gap-x-4 gap-y-3 sm:grid-cols-4">
      <ChoiceField label="What" :value="kind" :options="kinds" @chosen="kind = $event" />
      <QuantityField
        label="By"
        kind="length"
        :value="by"
        hint="minus: shorter"
        @typed="by = $event.value"
        @cleared="by = undefined"
      />
      <QuantityField
        v-if="kind === 'longer'"
        label="Behind the front by"
        kind="length"
        :value="at"
        hint="0"
        @typed="at = $event.value"
        @cleared="at = undefined"
      />
      <button class="act min-h-11" @click="go">Stretch</button>
    </div>
    <p v-if="failure" class="text-fails mt-2 font-semibold" role="alert">{{ failure }}</p>
    <p class="text-soft mt-2 text-sm">
      Members across that place grow, what lies behind moves. Axle, track and loads stay where they are.
    </p>
  </FoldedPart>
</template>
