<script setup lang="ts">
// A loose material of the owner's own: what it weighs once somebody weighed it.
import { ScaleIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import TextField from '@/fields/TextField.vue'
import type { Bulk } from '@/generated/types'
import FromLibrary from '@/parts/FromLibrary.vue'
import KeepInLibrary from '@/parts/KeepInLibrary.vue'
import { newId, put } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{ id: string; bulk: Bulk }>()
const workspace = useWorkspace()
const reference = useReference()
const own = computed(() => workspace.plan?.materials?.[props.bulk.own ?? ''])
const base = computed(() => `/materials/${props.bulk.own}`)
const usual = computed(() => (reference.data?.materials ?? []).map((m) => ({ value: m.id, name: m.name })))
const fields = computed<PlanField[]>(() => [
  { at: 'like', label: 'It lies like', options: usual.value },
  { at: 'density', label: 'Weighs, for its volume', how: 'weighed' },
  {
    at: 'wet',
    label: 'When that was read it was',
    usual: '',
    options: [
      { value: '', name: 'As it usually is' },
      { value: 'dry', name: 'Dry' },
      { value: 'wet', name: 'Wet' },
    ],
  },
])
const use = (material: string) => [{ op: 'add', path: `/loads/${props.id}/bulk/own`, value: material }]
function add() {
  const plan = workspace.plan
  if (!plan) return
  const material = newId('material')
  const order = Math.max(0, ...Object.values(plan.materials ?? {}).map((m) => m.order)) + 1
  const name = usual.value.find((m) => m.value === props.bulk.material)?.name ?? 'material'
  const value = { order, name: `Our ${name}`, like: props.bulk.material }
  workspace.edit([...put(plan, `/materials/${material}`, value), ...use(material)], 'a material of our own')
}
</script>

<template>
  <div class="grid grid-cols-1 items-end gap-x-4 gap-y-3 md:grid-cols-2" data-material>
    <template v-if="own">
      <TextField :path="`${base}/name`" label="My own material" />
      <PlanFields :base="base" :fields="fields" />
      <KeepInLibrary class="md:col-span-2" :path="base" :name="own.name" />
    </template>
    <span v-else class="flex flex-wrap gap-2 md:col-span-2">
      <button class="act min-h-11" @click="add"><ScaleIcon class="size-5" />I have weighed it</button>
      <FromLibrary collection="materials" title="Take a material from my library" :also="use" />
    </span>
  </div>
</template>
