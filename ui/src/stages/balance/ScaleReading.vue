<script setup lang="ts">
// What one scale read, beside what it was to read; a plank shares what is too much for it.
import { computed } from 'vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import QuantityField from '@/fields/QuantityField.vue'
import type { ScaleRow } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const props = defineProps<{ row: ScaleRow; order: number }>()
const workspace = useWorkspace()
const { say, measure, nominal, term } = useWords()
const key = computed(() => props.row.id ?? props.row.what)
const path = computed(() => `/outings/${workspace.outing}/layouts/${workspace.trailer}/readings/${key.value}`)
const value = computed(() => workspace.get(`${path.value}/mass`) as number | undefined)
const plank = computed(() => workspace.get(`${path.value}/plank`))

/** A reading belongs to the load as it stands when it is typed. */
function stood() {
  const l = workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer]
  return { axleAt: l?.axleAt, parts: l?.parts, placements: l?.placements ?? {} }
}
function typed(mass: number) {
  const was = workspace.get(path.value) as Record<string, unknown> | undefined
  const reading = { order: props.order, what: props.row.what, stood: stood(), ...was, mass }
  workspace.setAt(path.value, JSON.parse(JSON.stringify(reading)), 'reading', `type-${path.value}`)
}
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)_7rem] items-end gap-2" :data-scale="row.what">
    <QuantityField
      :label="say(row.name)"
      kind="mass"
      :value="value"
      :path="`${path}/mass`"
      :hint="`expect ${nominal(row.expect)}`"
      @typed="typed($event.value)"
      @cleared="workspace.setAt(path, undefined, 'reading')"
    />
    <PlanQuantity v-if="row.read" :path="`${path}/plusMinus`" label="within ±" hint="2 %" />
    <p class="text-soft col-span-2 text-sm">Expected before: {{ measure(row.expect) }}</p>
    <div v-if="row.what === 'ball' && row.read" class="col-span-2 grid grid-cols-2 items-end gap-2">
      <template v-if="plank">
        <PlanQuantity :path="`${path}/plank/span`" label="Plank: block to scale" />
        <PlanQuantity :path="`${path}/plank/to`" :label="`block to ${term('coupling')}`" />
        <p class="col-span-2 text-sm">On the ball: {{ measure(row.read) }}</p>
      </template>
      <button
        class="act col-span-2 justify-self-start"
        @click="workspace.setAt(`${path}/plank`, plank ? undefined : { span: 1.5, to: 0.5 }, 'plank')"
      >
        {{ plank ? 'Straight on the scale' : 'It stood on a plank' }}
      </button>
    </div>
  </div>
</template>
