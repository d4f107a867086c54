<script setup lang="ts">
// What keeps a part shut, up or in its place.
import { computed } from 'vue'
import FieldGroup from '@/fields/FieldGroup.vue'
import { where, type PlanField } from '@/fields/planField'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, latchWords, opensWords } from '@/words'

const props = defineProps<{ id: string }>()
const workspace = useWorkspace()
const reference = useReference()
const base = computed(() => `/parts/${props.id}/latch`)
const part = computed(() => workspace.plan?.parts[props.id])
const usual = computed(() => reference.data?.hinged.find((h) => h.fitting === part.value?.kind)?.opens)
const fields = computed<PlanField[]>(() => [
  { at: 'how', label: 'Held shut by', options: choices(latchWords) },
  { at: 'takes', label: 'One takes', hint: 'as marked' },
  ...where(
    part.value?.latch?.how === 'pin' || part.value?.latch?.how === 'bolt',
    { at: 'pin', label: 'Pin’s diameter' },
    {
      at: 'grade',
      label: 'Its grade',
      options: (reference.data?.bolts ?? []).map((b) => ({ value: b.id, name: b.name })),
      hint: 'not known',
    },
  ),
  { at: 'count', label: 'How many', whole: true, hint: '1' },
  { at: 'opens', label: 'It would open', options: choices(opensWords), usual: usual.value },
  { at: 'up', label: 'Latch above its hinge', hint: 'at its top' },
  { at: 'handle', label: 'Length of its lever, or of the pin' },
  { at: 'play', label: 'Play at its foot' },
  { at: 'socket', label: 'Depth of the socket' },
  { at: 'second', label: 'Second lock that holds by itself', on: true },
])
</script>

<template>
  <FieldGroup title="What holds it" :base="base" :fields="fields" />
</template>
