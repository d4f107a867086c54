<script setup lang="ts">
// A section of stock, by its usual name, and its material.
import { computed } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import type { Profile } from '@/generated/types'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{ path: string; profile: Profile; label: string; priced?: boolean }>()
const workspace = useWorkspace()
const reference = useReference()
const commons = computed(() => reference.data?.commons ?? [])
const sections = computed(() => commons.value.map((c) => ({ value: c.name, name: c.name })))
const materials = computed(() => (reference.data?.stocks ?? []).map((s) => ({ value: s.id, name: s.name })))
const same = (a = 0, b = 0) => Math.abs(a - b) < 1e-6
const name = computed(
  () =>
    commons.value.find(
      (c) =>
        c.shape === props.profile.shape &&
        same(c.height, props.profile.height) &&
        same(c.width, props.profile.width) &&
        same(c.wall, props.profile.wall),
    )?.name,
)
/** Wood stays wood and metal metal: another kind of stock brings its usual material. */
function choose(chosen: string) {
  const c = commons.value.find((c) => c.name === chosen)
  if (!c) return
  const stock = reference.data?.stocks.find((s) => s.id === props.profile.material)
  const stays = !!stock?.timber === !!c.timber && !!stock?.warm === !!c.plastic
  const material = stays ? props.profile.material : c.timber ? 'c24' : c.plastic ? 'pvc' : 's235'
  const { shape, height, width, wall, lip } = c
  const next = JSON.parse(JSON.stringify({ shape, height, width, wall, lip, material }))
  workspace.setAt(props.path, next, 'section')
}
</script>

<template>
  <ChoiceField :label="label" :value="name" none="own sizes" :options="sections" @chosen="choose" />
  <ChoiceField
    label="Their material"
    :value="profile.material"
    :options="materials"
    @chosen="workspace.setAt(`${path}/material`, $event, 'material')"
  />
  <PlanQuantity v-if="priced" :path="`${path}/perMetre`" :label="`${label}: a metre costs`" />
</template>
