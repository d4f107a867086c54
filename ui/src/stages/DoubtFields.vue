<script setup lang="ts">
// The plus-minus that a weight has by how it is known; shown and editable.
import { computed } from 'vue'
import QuantityField from '@/fields/QuantityField.vue'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { howWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()
const rows = computed(() =>
  Object.entries(howWords).map(([how, words]) => ({
    how,
    name: words[0],
    value: workspace.plan?.doubts?.[how] ?? reference.data?.doubts[how],
  })),
)
</script>

<template>
  <fieldset>
    <legend class="text-soft text-sm">Plus-minus of a weight that is …</legend>
    <div class="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-6">
      <QuantityField
        v-for="r in rows"
        :key="r.how"
        :label="r.name"
        kind="share"
        :value="r.value"
        :path="`/doubts/${r.how}`"
        @typed="workspace.setAt(`/doubts/${r.how}`, $event.value, 'plus-minus', `type-doubt-${r.how}`)"
        @cleared="workspace.setAt(`/doubts/${r.how}`, undefined, 'plus-minus')"
      />
    </div>
  </fieldset>
</template>
