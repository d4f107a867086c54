<script setup lang="ts">
// Notches and holes of the member in hand.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import type { Member, MemberCut } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import { newId, put } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'
import { choices, cutWords, faceWords } from '@/words'

const props = defineProps<{ path: string; member: Member }>()
const workspace = useWorkspace()
const cuts = computed(() => Object.entries(props.member.cuts ?? {}).sort((a, b) => a[1].order - b[1].order))
const fields = (c: MemberCut): PlanField[] => [
  { at: 'what', label: 'It is a', options: choices(cutWords) },
  { at: 'at', label: 'Its middle from the beginning' },
  { at: 'face', label: 'In its', options: choices(faceWords), usual: 'top' },
  { at: 'size', label: c.what === 'hole' ? 'Diameter' : 'Depth' },
  ...where(c.what === 'hole', { at: 'off', label: 'Off the middle: right, rear or up', hint: '0' }),
  ...where(
    c.what === 'notch',
    { at: 'long', label: 'Along the member' },
    { at: 'rounded', label: 'Corners drilled round', on: true },
    { at: 'closed', label: 'Plate welded over it', on: true },
  ),
]
function add(what: 'hole' | 'notch') {
  if (!workspace.plan) return
  const value = {
    order: cuts.value.length + 1,
    what,
    at: 0.1,
    size: what === 'hole' ? 0.011 : 0.02,
    ...(what === 'notch' ? { long: 0.06 } : {}),
  }
  workspace.edit(put(workspace.plan, `${props.path}/cuts/${newId(what)}`, value), `add a ${what}`)
}
</script>

<template>
  <FoldedPart data-cuts :open="cuts.length > 0">
    <template #heading
      ><b>Notches and holes</b><span v-if="cuts.length" class="text-soft">, {{ cuts.length }}</span></template
    >
    <div
      v-for="[cid, c] in cuts"
      :key="cid"
      class="border-rule mt-2 grid grid-cols-2 items-end gap-2 border-t pt-2 sm:grid-cols-4"
    >
      <PlanFields :base="`${path}/cuts/${cid}`" :fields="fields(c)" />
      <button
        class="act size-11"
        aria-label="Take this cut out"
        @click="workspace.setAt(`${path}/cuts/${cid}`, undefined, 'take a cut out')"
      >
        <TrashIcon class="size-5" />
      </button>
    </div>
    <div class="mt-2 flex flex-wrap gap-2">
      <button class="act min-h-11" @click="add('hole')"><PlusIcon class="size-5" />A hole</button>
      <button class="act min-h-11" @click="add('notch')"><PlusIcon class="size-5" />A notch</button>
    </div>
  </FoldedPart>
</template>
