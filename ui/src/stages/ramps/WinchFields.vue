<script setup lang="ts">
// The winch: what it pulls, where it stands, by hand or by battery.
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import CountField from '@/fields/CountField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import ProfileFields from '@/fields/ProfileFields.vue'
import SwitchField from '@/fields/SwitchField.vue'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { choices, wheelWords } from '@/words'

const workspace = useWorkspace()
const base = computed(() => `/outings/${workspace.outing}/layouts/${workspace.trailer}/loading/winch`)
const path = (field: string) => `${base.value}/${field}`
const reference = useReference()
const grades = computed(() => (reference.data?.bolts ?? []).map((b) => ({ value: b.id, name: b.name })))
const winch = computed(
  () => workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer]?.loading?.winch,
)
const set = (field: string, value: unknown, label: string) => workspace.setAt(path(field), value, label)
const tube = { shape: 'tube', height: 0.06, width: 0.06, wall: 0.003, material: 's235' }
</script>

<template>
  <div class="plate shrink-0 p-3" data-winch>
    <div class="flex items-center gap-2">
      <h2 class="mr-auto text-lg font-bold">Winch</h2>
      <button
        v-if="!winch"
        class="act"
        @click="workspace.setAt(base, { back: 0, up: 0.3 }, 'tell of the winch')"
      >
        Tell of the winch
      </button>
    </div>
    <div v-if="winch" class="mt-2 grid grid-cols-2 items-end gap-2 lg:grid-cols-4">
      <PlanQuantity :path="path('pull')" label="Rated pull, first layer" kind="mass" />
      <PlanQuantity :path="path('back')" label="Drum behind headboard" kind="length" />
      <PlanQuantity :path="path('up')" label="Line over the deck" kind="length" />
      <ChoiceField
        label="The machine"
        :value="winch.wheels || 'hard'"
        :options="choices(wheelWords)"
        @chosen="set('wheels', $event, 'how it rolls')"
      />
      <SwitchField
        label="Block at the machine"
        :value="winch.block"
        @set="set('block', $event || undefined, 'block')"
      />
      <CountField :path="path('layer')" label="Layer on the drum" />
      <PlanQuantity :path="path('drum')" label="Bare drum’s diameter" kind="length" />
      <PlanQuantity :path="path('line')" label="Line’s thickness" kind="length" />
      <PlanQuantity :path="path('lineMax')" label="Line’s working limit" kind="mass" />
      <PlanQuantity :path="path('hookMax')" label="Hook’s working limit" kind="mass" />
      <PlanQuantity :path="path('tieMax')" label="Shackle’s working limit" kind="mass" />
      <PlanQuantity :path="path('ratio')" label="Hand: crank turns to one" kind="count" />
      <PlanQuantity :path="path('crank')" label="Hand: crank’s length" kind="length" />
      <PlanQuantity :path="path('amps')" label="Electric: A at rated pull" kind="count" />
      <PlanQuantity :path="path('idle')" label="Electric: A without load" kind="count" />
      <PlanQuantity :path="path('speed')" label="Line’s speed" kind="speed" />
      <PlanQuantity :path="path('battery')" label="Battery, A·h" kind="count" />
      <PlanQuantity :path="path('aside')" label="Drum beside the middle" kind="length" />
      <CountField :path="path('bolts')" label="Bolts at its foot" />
      <PlanQuantity :path="path('bolt')" label="Bolts’ diameter" kind="length" />
      <PlanQuantity :path="path('gauge')" label="Between their rows" kind="length" />
      <PlanQuantity :path="path('pin')" label="Receiver’s pin" kind="length" />
      <ChoiceField
        label="Grade of bolts and pin"
        :value="winch.grade"
        :options="grades"
        @chosen="set('grade', $event, 'grade')"
      />
      <SwitchField
        label="Tell of its post"
        :value="!!winch.post"
        @set="set('post', $event ? tube : undefined, 'winch post')"
      />
      <ProfileFields v-if="winch.post" :path="path('post')" :profile="winch.post" label="Post" />
      <PlanQuantity
        v-if="winch.post"
        :path="path('brace')"
        label="Brace meets it at"
        kind="length"
        hint="no brace"
      />
    </div>
    <p class="text-soft mt-2 text-sm">
      A line under tension kills when it parts: stand aside, hang a damper on it, gloves on.
    </p>
  </div>
</template>
