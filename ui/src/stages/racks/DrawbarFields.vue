<script setup lang="ts">
// The drawbar: what it is made of, and how it is lengthened.
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import CountField from '@/fields/CountField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const reference = useReference()
const { term, print } = useWords()
const base = computed(() => `/trailers/${workspace.trailer}/drawbar`)
const drawbar = computed(() => workspace.plan?.trailers[workspace.trailer]?.drawbar)
const wanted = computed(() => workspace.settledReport?.swing?.longer?.by)
const set = (field: string, value: unknown) => workspace.setAt(`${base.value}/${field}`, value, 'drawbar')
function tell() {
  const profile = { shape: 'tube', height: 0.06, width: 0.06, wall: 0.003, material: 's235' }
  workspace.setAt(base.value, { profile, beams: 1 }, `describe the ${term('drawbar')}`)
}
const ways = [
  { value: 'sleeve', name: 'Bolted sleeve' },
  { value: 'weld', name: 'Welded on' },
]
const beams = [
  { value: 1, name: 'One beam' },
  { value: 2, name: 'Two, an A' },
]
const grades = computed(() => (reference.data?.bolts ?? []).map((b) => ({ value: b.id, name: b.name })))
</script>

<template>
  <div class="plate shrink-0 p-3" data-drawbar>
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="mr-auto text-lg font-bold first-letter:uppercase">{{ term('drawbar') }}</h2>
      <button v-if="!drawbar" class="act" @click="tell">Describe the {{ term('drawbar') }}</button>
      <button v-else-if="wanted" class="act" @click="set('longer', wanted)">
        Longer by {{ print('length', wanted) }}, so that it turns
      </button>
    </div>
    <div v-if="drawbar" class="mt-2 grid gap-2 sm:grid-cols-2 lg:grid-cols-4">
      <ProfileFields :path="`${base}/profile`" :profile="drawbar.profile" label="Section" />
      <ChoiceField
        label="Built of"
        :value="drawbar.beams || 1"
        :options="beams"
        @chosen="set('beams', $event)"
      />
      <PlanQuantity :path="`${base}/longer`" label="Lengthen it by" />
      <template v-if="drawbar.longer">
        <ChoiceField
          label="Joined by"
          :value="drawbar.way || 'sleeve'"
          :options="ways"
          @chosen="set('way', $event)"
        />
        <template v-if="drawbar.way !== 'weld'">
          <PlanQuantity :path="`${base}/overlap`" label="Overlap" />
          <CountField :path="`${base}/bolts`" label="Bolts" />
          <PlanQuantity :path="`${base}/bolt`" label="Bolts’ diameter" />
          <ChoiceField
            label="Their grade"
            :value="drawbar.grade"
            :options="grades"
            @chosen="set('grade', $event)"
          />
        </template>
      </template>
    </div>
    <p v-else class="text-soft text-sm">
      Its section shows whether it bends, and what slides in to lengthen it.
    </p>
  </div>
</template>
