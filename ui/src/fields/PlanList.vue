<script setup lang="ts">
// Things of one kind in a collection of the plan, each with its fields, in their order.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import { newId, put } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{
  path: string
  of?: Record<string, { order: number; name?: string }>
  fields: PlanField[]
  thing: string // "winch": what one of them is called
  fresh?: Record<string, unknown> // what a new one begins with
  begins?: string // or what the core lets it begin as
}>()
const workspace = useWorkspace()
const items = computed(() => Object.entries(props.of ?? {}).sort((a, b) => a[1].order - b[1].order))
function add() {
  if (!workspace.plan) return
  if (props.begins) return void workspace.begin(props.begins, `another ${props.thing}`)
  const value = { ...props.fresh, order: (items.value.at(-1)?.[1].order ?? 0) + 1 }
  workspace.edit(put(workspace.plan, `${props.path}/${newId(props.thing)}`, value), `another ${props.thing}`)
}
</script>

<template>
  <div :data-list="thing">
    <div v-for="[id, item] in items" :key="id" class="mt-2 flex items-end gap-2">
      <div class="grid grow grid-cols-2 items-end gap-x-4 gap-y-3 lg:grid-cols-4">
        <PlanFields :base="`${path}/${id}`" :fields="fields" />
      </div>
      <button
        class="act size-11 shrink-0"
        :aria-label="`Take out ${item.name || `this ${thing}`}`"
        @click="workspace.setAt(`${path}/${id}`, undefined, `take a ${thing} out`)"
      >
        <TrashIcon class="size-5" />
      </button>
    </div>
    <button class="act mt-2 min-h-11 first-letter:uppercase" @click="add">
      <PlusIcon class="size-5" />Another {{ thing }}
    </button>
  </div>
</template>
