<script setup lang="ts">
// How a machine stands on its wheels, or where a hull may be held. What is left
// empty is taken from its kind.
import { computed } from 'vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import type { Load } from '@/generated/types'
import { useReference } from '@/stores/reference'
import { useWords } from '@/words'
import UnderList from './UnderList.vue'

const props = defineProps<{ id: string; load: Load }>()
const reference = useReference()
const { print } = useWords()
const kind = computed(() => reference.data?.loads.find((k) => k.id === props.load.kind))
const path = (field: string) => `/loads/${props.id}/${field}`
const typical = (v: number | undefined) => (v === undefined ? undefined : `typical ${print('length', v)}`)
const long = computed(() => props.load.size.length?.value ?? kind.value?.length ?? 1)
</script>

<template>
  <div v-if="kind?.rolls || kind?.bears" class="grid gap-x-4 gap-y-3 md:grid-cols-2">
    <template v-if="kind.rolls">
      <EstimateField
        :path="path('rolling/frontAxle')"
        label="Front to front wheels"
        :hint="typical(kind.rolls.frontAxle)"
      />
      <EstimateField
        :path="path('rolling/wheelbase')"
        label="Wheelbase"
        :hint="typical(kind.rolls.wheelbase)"
      />
      <EstimateField
        v-if="kind.rolls.track"
        :path="path('rolling/track')"
        label="Track"
        :hint="typical(kind.rolls.track)"
      />
      <EstimateField
        :path="path('rolling/clearance')"
        label="Ground clearance"
        :hint="typical(kind.rolls.clearance)"
      />
    </template>
    <template v-else-if="kind.bears">
      <EstimateField
        :path="path('hull/from')"
        label="May be held from, behind the bow"
        :hint="typical(kind.bears.from * long)"
      />
      <EstimateField :path="path('hull/to')" label="to" :hint="typical(kind.bears.to * long)" />
      <EstimateField :path="path('hull/apart')" label="Firm lines apart" :hint="typical(kind.bears.apart)" />
      <PlanQuantity :path="path('hull/press')" label="A strap can press it with" hint="usual" />
      <UnderList :id="id" class="md:col-span-2" />
    </template>
  </div>
</template>
