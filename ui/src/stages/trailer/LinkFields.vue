<script setup lang="ts">
// Chains or cables that hold when the coupling lets go: what they are made of, how they hang.
import { computed } from 'vue'
import FieldGroup from '@/fields/FieldGroup.vue'
import PlanFields from '@/fields/PlanFields.vue'
import { where, type PlanField } from '@/fields/planField'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, linkWords, useWords } from '@/words'

const { term } = useWords()

const workspace = useWorkspace()
const reference = useReference()
const base = computed(() => `/trailers/${workspace.trailer}/secondLink`)
const link = computed(() => workspace.plan?.trailers[workspace.trailer]?.secondLink)
const several = computed(() => (workspace.plan?.trailers[workspace.trailer]?.chains ?? 0) > 1)
const grades = computed(() => (reference.data?.linkGrades ?? []).map((g) => ({ value: g.id, name: g.name })))
const bolts = computed(() => (reference.data?.bolts ?? []).map((b) => ({ value: b.id, name: b.name })))

const strength = computed<PlanField[]>(() => [
  { at: 'kind', label: 'Made of', options: choices(linkWords), usual: 'chain' },
  { at: 'thick', label: 'Thickness', hint: 'of one link’s wire' },
  ...where(link.value?.kind !== 'cable', {
    at: 'grade',
    label: 'Grade, as marked',
    options: grades.value,
    hint: 'No mark',
  }),
  { at: 'breaks', label: 'Breaks at', hint: 'tag, if it has one' },
  { at: 'hook', label: 'Hook or shackle, marked', hint: 'stamped on it' },
  ...where(several.value, {
    at: 'crossed',
    label: `Crossed under the ${term('coupling')}`,
    ask: ['Crossed', 'Side by side'],
  }),
])
const eye = computed<PlanField[]>(() => [
  { at: 'bolted/bolt', label: 'Eye’s bolts, diameter' },
  { at: 'bolted/bolts', label: 'How many', whole: true },
  { at: 'bolted/grade', label: 'Grade of bolt', options: bolts.value, hint: 'not known' },
  { at: 'welded', label: 'Its eye is welded', on: true },
  { at: 'seen', label: 'A welder looked at it', on: true },
  { at: 'tiesToo', label: 'The eye also takes a lashing', on: true },
])
const hangs = computed<PlanField[]>(() => [
  { at: 'length', label: 'Length, eye to eye' },
  { at: 'back', label: 'Its eye behind the ball' },
  { at: 'aside', label: 'Its eye beside the middle' },
  { at: 'up', label: 'Its eye above the ground', hint: 'as the car’s' },
  { at: 'carAside', label: 'Car’s eye beside the ball', hint: 'usual' },
])
</script>

<template>
  <div>
    <div class="grid gap-x-4 gap-y-3 md:grid-cols-2 lg:grid-cols-3">
      <PlanFields :base="base" :fields="strength" />
    </div>
    <FieldGroup class="mt-3" title="How it hangs" :base="base" :fields="hangs" />
    <FieldGroup title="Its eye on the trailer" :base="base" :fields="eye" />
  </div>
</template>
