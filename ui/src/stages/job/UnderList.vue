<script setup lang="ts">
// What stands out under a hull: skeg, wear pad, transducer.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import { newId } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{ id: string }>()
const workspace = useWorkspace()
const base = computed(() => `/loads/${props.id}/hull/under`)
const things = computed(() =>
  Object.entries(workspace.plan?.loads[props.id]?.hull?.under ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const fields: PlanField[] = [
  { at: 'name', label: 'Under it: what', text: true },
  { at: 'at', label: 'Behind the bow' },
  { at: 'length', label: 'Its length' },
  { at: 'deep', label: 'Stands out by' },
]
function add() {
  const order = (things.value.at(-1)?.[1].order ?? 0) + 1
  workspace.setAt(
    `${base.value}/${newId('under')}`,
    { order, name: 'Skeg', at: 0, length: 0.3, deep: 0.05 },
    'what stands out under it',
  )
}
</script>

<template>
  <div class="grid gap-2">
    <div
      v-for="[uid] in things"
      :key="uid"
      class="grid grid-cols-2 items-end gap-2 lg:grid-cols-[2fr_1fr_1fr_1fr_auto]"
    >
      <PlanFields :base="`${base}/${uid}`" :fields="fields" />
      <button
        class="act size-11"
        aria-label="Take it out"
        @click="workspace.setAt(`${base}/${uid}`, undefined, 'nothing there')"
      >
        <TrashIcon class="size-5" />
      </button>
    </div>
    <button class="act justify-self-start" @click="add">
      <PlusIcon class="size-5" />Skeg, wear pad, transducer
    </button>
  </div>
</template>
