<script setup lang="ts">
// Tie-down points by kind, with where each gives way.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import CountField from '@/fields/CountField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import { newId } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'

const workspace = useWorkspace()
const reference = useReference()
const base = computed(() => `/trailers/${workspace.trailer}/anchors`)
const anchors = computed(() =>
  Object.entries(workspace.plan?.trailers[workspace.trailer]?.anchors ?? {}).sort(
    (a, b) => a[1].order - b[1].order,
  ),
)
const kinds = computed(() =>
  (reference.data?.anchorKinds ?? []).map((k) => ({
    value: k.id,
    name: k.name,
    more: `Gives way at: ${k.weak}.`,
  })),
)
const weak = (kind: string) => reference.data?.anchorKinds.find((k) => k.id === kind)
function add() {
  const order = Math.max(0, ...anchors.value.map(([, a]) => a.order)) + 1
  workspace.setAt(`${base.value}/${newId('anchor')}`, { order, kind: 'ring-bolted', count: 4 }, 'add anchors')
}
</script>

<template>
  <div class="md:col-span-2">
    <div class="flex items-center justify-between gap-2">
      <h3 class="font-semibold">Tie-down points</h3>
      <button class="act" @click="add"><PlusIcon class="size-5" />Add</button>
    </div>
    <div
      v-for="[id, a] in anchors"
      :key="id"
      class="mt-2 grid grid-cols-[1fr_auto] items-end gap-2 md:grid-cols-[2fr_1fr_1fr_auto]"
    >
      <ChoiceField
        label="Kind"
        :value="a.kind"
        :options="kinds"
        @chosen="workspace.setAt(`${base}/${id}/kind`, $event, 'kind of anchor')"
      />
      <CountField :path="`${base}/${id}/count`" label="How many" />
      <PlanQuantity :path="`${base}/${id}/rating`" label="Rating, each" hint="if marked" />
      <button
        class="act size-11"
        aria-label="Take out these anchors"
        @click="workspace.setAt(`${base}/${id}`, undefined, 'take out anchors')"
      >
        <TrashIcon class="size-5" />
      </button>
      <p v-if="weak(a.kind) && !weak(a.kind)!.counts" class="text-fails col-span-full text-sm">
        Not an anchor: {{ weak(a.kind)!.weak }}.
      </p>
    </div>
  </div>
</template>
