<script setup lang="ts">
// What the trailer must do and would better do, each with what it comes to on
// the trailer at hand.
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { PlusIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import { newId } from '@/stores/patch'
import { useWorkspace } from '@/stores/workspace'
import { wantWords } from '@/words'
import WantRow from './WantRow.vue'

const workspace = useWorkspace()
const wants = computed(() =>
  Object.entries(workspace.plan?.wants ?? {}).sort((a, b) => a[1].order - b[1].order),
)
/** Outings are judged when settled; the older word stays meanwhile. */
const states = computed(
  () => new Map((workspace.settledReport ?? workspace.report)?.wants.map((s) => [s.id, s]) ?? []),
)

const fresh: Record<string, Record<string, unknown>> = {
  carry: {},
  alone: { mass: 40, height: 1.4 },
  anchors: { count: 4 },
  road: { speed: 22.2 },
  skills: { skills: { bolt: true } },
}
function add(what: string) {
  const order = Math.max(0, ...wants.value.map(([, w]) => w.order)) + 1
  const value = { order, what, ...fresh[what], ...(what === 'carry' ? { outing: workspace.outing } : {}) }
  workspace.setAt(`/wants/${newId(what)}`, value, 'add a must')
}
</script>

<template>
  <div class="plate p-3">
    <div class="flex items-center justify-between gap-2">
      <h2 class="text-lg font-bold">What it must do</h2>
      <Menu as="div" class="relative">
        <MenuButton class="act"><PlusIcon class="size-5" />Add</MenuButton>
        <MenuItems
          class="border-rule bg-panel absolute right-0 z-30 mt-1 max-h-96 w-72 overflow-auto rounded-lg border py-1 shadow-lg focus:outline-none"
        >
          <MenuItem v-for="(word, what) in wantWords" :key="what" v-slot="{ active }">
            <button
              class="block min-h-11 w-full px-4 text-left"
              :class="active && 'bg-wash'"
              @click="add(String(what))"
            >
              {{ word }}
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
    </div>
    <p v-if="!wants.length" class="text-soft mt-1">
      Nothing asked for yet. Say what must fit, what you can spend, where it is kept: trailers are judged by
      it.
    </p>
    <ul v-else class="mt-1">
      <WantRow v-for="[id, w] in wants" :id="id" :key="id" :want="w" :state="states.get(id)" />
    </ul>
  </div>
</template>
