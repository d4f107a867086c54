<script setup lang="ts">
// Where the loads of the other outings lie on this trailer, drawn behind this one's.
import { ref, watch } from 'vue'
import { api } from '@/api'
import SwitchField from '@/fields/SwitchField.vue'
import type { Shape } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'

const emit = defineEmits<{ shapes: [Record<string, Shape[]>] }>()
const workspace = useWorkspace()
const on = ref(false)
async function fetchShapes() {
  const plan = workspace.plan
  const shapes: Record<string, Shape[]> = {}
  if (on.value && plan) {
    for (const [outing, o] of Object.entries(plan.outings)) {
      if (outing === workspace.outing || !o.layouts[workspace.trailer]) continue
      const report = await api
        .review({ plan, outing, trailer: workspace.trailer }, 'live')
        .catch(() => undefined)
      for (const v of report?.views ?? []) {
        const loads = v.shapes.filter((s) => s.form === 'polygon' && s.class.startsWith('load'))
        shapes[v.id] = [...(shapes[v.id] ?? []), ...loads]
      }
    }
  }
  emit('shapes', shapes)
}
// What is written in the plan while it is on screen is drawn at the next rest.
watch(
  [on, () => workspace.outing, () => workspace.trailer, () => on.value && workspace.settledReport],
  fetchShapes,
)
</script>

<template>
  <SwitchField label="Show the other outings’ loads" :value="on" @set="on = !!$event" />
</template>
