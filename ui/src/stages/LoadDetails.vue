<script setup lang="ts">
// What else is known of a load: what lies in it, and a weighing at both ends.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import TextField from '@/fields/TextField.vue'
import type { Load } from '@/generated/types'
import { newId } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{ id: string; load: Load }>()
const workspace = useWorkspace()
const path = (field: string) => `/loads/${props.id}/${field}`
const contents = computed(() =>
  Object.entries(props.load.contents ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const counts = [
  { value: 'alone', name: 'without what lies in it' },
  { value: 'whole', name: 'with what lies in it' },
]

function addContent() {
  const order = Math.max(0, ...contents.value.map(([, c]) => c.order)) + 1
  const back = (props.load.size.length?.value ?? 1) / 2
  workspace.setAt(
    path(`contents/${newId('content')}`),
    { order, name: 'Battery', at: { back } },
    'add contents',
  )
}

/** The weighing starts with half the weight at each end, to be typed over. */
function weighEnds(one?: true) {
  const half = { value: (props.load.mass?.value ?? 0) / 2, how: 'guessed' }
  const ends = {
    front: half,
    rear: half,
    frontAt: 0,
    rearAt: props.load.size.length?.value ?? 1,
    ...(one && { one }),
  }
  workspace.setAt(path('ends'), props.load.ends ? undefined : ends, 'weigh by the ends')
}
</script>

<template>
  <div class="grid gap-3">
    <div v-for="[cid, c] in contents" :key="cid" class="grid gap-2">
      <div class="grid items-end gap-2 md:grid-cols-[1fr_1.6fr_auto]">
        <TextField :path="path(`contents/${cid}/name`)" label="In it" />
        <EstimateField :path="path(`contents/${cid}/mass`)" :label="`Weight of ${c.name}`" />
        <button
          class="act"
          :aria-label="`Take out ${c.name}`"
          @click="workspace.setAt(path(`contents/${cid}`), undefined, 'take out contents')"
        >
          <TrashIcon class="size-5" />
        </button>
      </div>
      <div class="grid items-end gap-2 sm:grid-cols-3">
        <PlanQuantity :path="path(`contents/${cid}/at/back`)" :label="`${c.name} behind the front`" />
        <PlanQuantity
          :path="path(`contents/${cid}/at/right`)"
          :label="`${c.name} right of the middle`"
          hint="in the middle"
        />
        <PlanQuantity
          :path="path(`contents/${cid}/at/up`)"
          :label="`${c.name} above its underside`"
          hint="as high as its centre"
        />
      </div>
    </div>
    <div v-if="load.ends" class="grid gap-2 md:grid-cols-2">
      <EstimateField :path="path('ends/front')" label="Front end reads" />
      <PlanQuantity :path="path('ends/frontAt')" label="held behind its front by" />
      <EstimateField v-if="!load.ends.one" :path="path('ends/rear')" label="Rear end reads" />
      <p v-else class="text-soft self-end pb-2 text-sm">The rear end carries the rest of its weight.</p>
      <PlanQuantity :path="path('ends/rearAt')" label="held behind its front by" />
    </div>
    <div class="flex flex-wrap items-end gap-2">
      <button class="act" @click="addContent"><PlusIcon class="size-5" />Something in it</button>
      <button class="act" @click="weighEnds()">
        {{ load.ends ? 'Drop the end weighing' : 'Weighed at both ends' }}
      </button>
      <button v-if="!load.ends && load.mass" class="act" @click="weighEnds(true)">Weighed at one end</button>
      <ChoiceField
        v-if="contents.length"
        class="w-56"
        label="This weight is"
        :value="load.massCounts || 'alone'"
        :options="counts"
        @chosen="workspace.setAt(path('massCounts'), $event, 'what the weight counts')"
      />
    </div>
  </div>
</template>
