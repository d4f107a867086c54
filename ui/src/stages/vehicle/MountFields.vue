<script setup lang="ts">
// What carries the ball where it can be taken off: limits of its own, and the ball that it brings.
import { PlusIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import TextField from '@/fields/TextField.vue'
import type { PlanField } from '@/fields/planField'
import type { TowVehicle } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import FromLibrary from '@/parts/FromLibrary.vue'
import KeepInLibrary from '@/parts/KeepInLibrary.vue'
import { newId, put } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const props = defineProps<{ id: string; car: TowVehicle }>()
const workspace = useWorkspace()
const reference = useReference()
const { term } = useWords()
const mounts = computed(() =>
  Object.entries(workspace.plan?.ballMounts ?? {}).map(([value, m]) => ({ value, name: m.name })),
)
const base = computed(() => `/ballMounts/${props.car.mount}`)
const mount = computed(() => workspace.plan?.ballMounts?.[props.car.mount ?? ''])
const fields = computed<PlanField[]>(() => [
  { at: 'tow', label: 'Its rating', hint: 'its label' },
  { at: 'ball', label: `Its ${term('ball load')} limit`, hint: 'its label' },
  { at: 'ballRating', label: 'Ball rating', hint: 'stamped on top' },
  {
    at: 'ballSize',
    label: 'Ball size',
    options: (reference.data?.ballSizes ?? []).map((b) => ({ value: b.diameter, name: b.name })),
  },
  { at: 'ballHeight', label: 'Ball height with it, to its middle', hint: 'tape' },
])
const use = (mount: string) => [{ op: 'add', path: `/towVehicles/${props.id}/mount`, value: mount }]
function add() {
  if (!workspace.plan) return
  const mount = newId('mount')
  const order = mounts.value.length + 1
  const ops = put(workspace.plan, `/ballMounts/${mount}`, { order, name: 'Ball mount' })
  workspace.edit([...ops, ...use(mount)], 'add a ball mount')
}
</script>

<template>
  <FoldedPart class="plate px-3 py-1" :open="!!mount" data-mount>
    <template #heading><b class="text-lg">A ball mount that comes off</b></template>
    <p class="text-soft text-sm">
      It has its own limits beside the {{ term('tow bar') }}’s. Size and height of its ball replace the car’s.
    </p>
    <div class="mt-2 grid grid-cols-1 items-end gap-x-4 gap-y-3 md:grid-cols-2">
      <ChoiceField
        v-if="mounts.length"
        label="Fitted"
        :value="car.mount"
        none="none"
        :options="mounts"
        @chosen="workspace.setAt(`/towVehicles/${id}/mount`, $event || undefined, 'choose the ball mount')"
      />
      <span class="flex flex-wrap gap-2">
        <button class="act" @click="add"><PlusIcon class="size-5" />Ball mount</button>
        <FromLibrary collection="ballMounts" title="Take a ball mount from my library" :also="use" />
      </span>
      <template v-if="mount">
        <TextField :path="`${base}/name`" label="Its name" />
        <PlanFields :base="base" :fields="fields" />
        <KeepInLibrary class="md:col-span-2" :path="base" :name="mount.name" />
      </template>
    </div>
  </FoldedPart>
</template>
