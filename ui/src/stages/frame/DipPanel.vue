<script setup lang="ts">
// What the zinc bath and the rain ask of the frame's closed sections.
import { computed, ref } from 'vue'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import SwitchField from '@/fields/SwitchField.vue'
import type { DipRow } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, nominal } = useWords()
const dip = computed(() => workspace.settledReport?.frame?.dip)
const base = computed(() => `/trailers/${workspace.trailer}/frame`)
const needy = computed(() => dip.value?.rows.filter((r) => r.bursts || r.small || r.stands) ?? [])
const shut = computed(() => needy.value.filter((r) => r.bursts || r.small).length)
const failure = ref('')
const bath: PlanField[] = [
  { at: 'bathLong', label: 'The bath is long' },
  { at: 'bathWide', label: 'wide' },
  { at: 'bathDeep', label: 'deep' },
]
const outcome = (r: DipRow) =>
  r.bursts || r.small ? (dip.value?.dipped ? 'fails' : 'tight') : r.stands ? 'tight' : 'holds'
async function drill() {
  failure.value = ''
  try {
    await workspace.begin('vents', 'drill vents')
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
</script>

<template>
  <div class="plate p-3" data-dip>
    <p v-if="!dip">The drawing is not whole yet.</p>
    <template v-else>
      <div class="flex flex-wrap items-center gap-3">
        <h2 class="mr-auto text-lg font-bold">
          {{ shut ? `${shut} closed members have no way out` : 'Every closed member is open or vented' }}
        </h2>
        <button v-if="shut" class="act-main no-print" @click="drill">Drill the vents</button>
      </div>
      <p v-if="failure" class="text-fails mt-1 font-semibold" role="alert">{{ failure }}</p>
      <p class="mt-1">
        Zinc over {{ nominal(dip.area) }} weighs about <b>{{ nominal(dip.zinc) }}</b>. Into the bath goes
        {{ nominal(dip.long) }} by {{ nominal(dip.wide) }} by {{ nominal(dip.deep) }}.
      </p>
      <ul class="divide-rule mt-2 divide-y">
        <li v-for="r in needy" :key="r.path" class="flex items-start gap-2 py-2">
          <OutcomeMark :outcome="outcome(r)" class="mt-0.5" />
          <span class="min-w-0 flex-1">
            <button class="font-semibold underline" @click="workspace.selected = r.path">
              {{ r.mark }} {{ r.name }}</button
            >: {{ say(r.says) }}
          </span>
        </li>
        <li v-for="(l, i) in dip.laps ?? []" :key="`l${i}`" class="flex items-start gap-2 py-2">
          <OutcomeMark outcome="tight" class="mt-0.5" /><span class="min-w-0 flex-1">{{ say(l) }}</span>
        </li>
      </ul>
      <SwitchField
        class="mt-3"
        label="It goes to the zinc bath"
        :value="!!workspace.get(`${base}/dipped`)"
        @set="workspace.setAt(`${base}/dipped`, $event || undefined, 'zinc bath')"
      />
      <div v-if="dip.dipped" class="mt-3 grid grid-cols-1 gap-x-4 gap-y-3 sm:grid-cols-3">
        <PlanFields :base="base" :fields="bath" />
      </div>
      <p class="text-soft mt-3 text-sm">
        A shut tube can burst in the bath and hurt people. Holes at opposite corners, close to the joint.
        First take off axle, springs, rubber, wood and aluminium, and show the frame to the galvaniser.
      </p>
    </template>
  </div>
</template>
