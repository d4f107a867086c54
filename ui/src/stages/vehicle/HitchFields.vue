<script setup lang="ts">
// The hitch's plate in either school: a class with its two figures, or D and S;
// ball, socket, and what stands out at the car's tail.
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import SwitchField from '@/fields/SwitchField.vue'
import type { TowVehicle } from '@/generated/types'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const props = defineProps<{ id: string; car: TowVehicle }>()
const workspace = useWorkspace()
const reference = useReference()
const { term, print } = useWords()
const path = (field: string) => `/towVehicles/${props.id}/${field}`
const american = computed(() => workspace.plan?.region === 'na')
const classes = computed(() =>
  (reference.data?.hitches ?? []).map((h) => ({
    value: h.id,
    name: `Class ${h.id}`,
    more: `${print('mass', h.tow)}, ${print('mass', h.ball)} on the ball`,
  })),
)
const current = computed(
  () =>
    reference.data?.hitches.find(
      (h) =>
        Math.abs(h.tow - (props.car.hitchTow ?? 0)) < 0.5 &&
        Math.abs(h.ball - (props.car.hitchBall ?? 0)) < 0.5,
    )?.id,
)
function choose(id: string) {
  const h = reference.data?.hitches.find((h) => h.id === id)
  if (h)
    workspace.edit(
      [
        { op: 'add', path: path('hitchTow'), value: h.tow },
        { op: 'add', path: path('hitchBall'), value: h.ball },
      ],
      'choose the class',
    )
}
const sizes = computed(() =>
  (reference.data?.ballSizes ?? []).map((b) => ({ value: b.diameter, name: b.name })),
)
const plugs = computed(() => (reference.data?.plugs ?? []).map((p) => ({ value: p.id, name: p.name })))
</script>

<template>
  <div class="plate p-3">
    <h2 class="text-lg font-bold">Hitch, ball and tail</h2>
    <div class="mt-2 grid gap-x-4 gap-y-3 md:grid-cols-2">
      <ChoiceField
        v-if="american"
        label="Hitch class, on its plate"
        :value="current"
        :options="classes"
        none="Read from the plate"
        @chosen="choose"
      />
      <PlanQuantity :path="path('hitchTow')" :label="`${term('Tow bar')} rating`" hint="its plate" />
      <PlanQuantity
        :path="path('hitchBall')"
        :label="
          american ? `${term('Tow bar')}’s ${term('ball load')} limit` : `S value: ${term('ball load')} limit`
        "
        hint="its plate"
      />
      <PlanQuantity v-if="!american" :path="path('hitchD')" label="D value" hint="its plate, kN" />
      <PlanQuantity :path="path('ballRating')" label="Ball rating" hint="stamped on top" />
      <ChoiceField
        label="Ball size"
        :value="car.ballSize"
        :options="sizes"
        @chosen="workspace.setAt(path('ballSize'), $event, 'choose the ball')"
      />
      <PlanQuantity :path="path('ballHeight')" label="Ball height, to its middle" hint="tape" />
      <ChoiceField
        label="Socket"
        :value="car.socket"
        :options="plugs"
        @chosen="workspace.setAt(path('socket'), $event, 'choose the socket')"
      />
      <SwitchField
        label="A plug adapter is carried"
        :value="car.adapter"
        @set="workspace.setAt(path('adapter'), $event || undefined, 'adapter')"
      />
      <PlanQuantity :path="path('ballBehind')" label="Ball behind the bumper" hint="tape" />
      <PlanQuantity
        :path="path('gateReach')"
        :label="`Open ${term('car tailgate')} reaches beyond the bumper`"
        hint="0"
      />
      <PlanQuantity
        v-if="car.gateReach"
        :path="path('gateHeight')"
        label="and is as high above the ground as"
        hint="any height"
      />
    </div>
  </div>
</template>
