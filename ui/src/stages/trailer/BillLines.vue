<script setup lang="ts">
// Things or repairs with a price and hours.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import TextField from '@/fields/TextField.vue'
import type { Buy } from '@/generated/types'
import { newId } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{ path: string; title: string; usual: string[] }>()
const workspace = useWorkspace()
const lines = computed(() =>
  Object.entries((workspace.get(props.path) as Record<string, Buy> | undefined) ?? {}).sort(
    (a, b) => a[1].order - b[1].order,
  ),
)
const left = computed(() =>
  props.usual.filter((u) => !lines.value.some(([, l]) => l.name.toLowerCase().includes(u))).slice(0, 8),
)
function add(name: string) {
  const order = Math.max(0, ...lines.value.map(([, l]) => l.order)) + 1
  workspace.setAt(`${props.path}/${newId(name || 'thing')}`, { order, name }, 'add a line')
}
</script>

<template>
  <div class="plate p-3">
    <h2 class="text-lg font-bold">{{ title }}</h2>
    <div
      v-for="[id, l] in lines"
      :key="id"
      class="mt-2 grid grid-cols-[1fr_1fr_auto] items-end gap-2 sm:grid-cols-[2fr_1fr_1fr_auto]"
    >
      <TextField :path="`${path}/${id}/name`" label="What" class="col-span-3 sm:col-span-1" />
      <PlanQuantity :path="`${path}/${id}/price`" label="Price" />
      <PlanQuantity :path="`${path}/${id}/hours`" label="Hours" />
      <button
        class="act size-11"
        :aria-label="`Take out ${l.name}`"
        @click="workspace.setAt(`${path}/${id}`, undefined, 'take out a line')"
      >
        <TrashIcon class="size-5" />
      </button>
    </div>
    <div class="mt-3 flex flex-wrap gap-1.5">
      <button v-for="u in left" :key="u" class="act" @click="add(u)">
        <PlusIcon class="size-5" />{{ u }}
      </button>
      <button class="act" @click="add('')"><PlusIcon class="size-5" />Something else</button>
    </div>
  </div>
</template>
