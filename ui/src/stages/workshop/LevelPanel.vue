<script setup lang="ts">
// Heights at stands: the shim for each, the twist that remains.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import PlanList from '@/fields/PlanList.vue'
import { useWorkspace } from '@/stores/workspace'
import { choices, levelWords } from '@/words'
import TapedView from './TapedView.vue'
import { useTaped } from './taped'

const workspace = useWorkspace()
const { drawn, failure } = useTaped()
const base = computed(() => `/trailers/${workspace.trailer}/workshop/level`)
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const level = computed(() => trailer.value?.workshop?.level)
const stands = computed(() => Object.keys(level.value?.stands ?? {}).length)
const corners = () => workspace.begin('stands', 'four stands')
</script>

<template>
  <div class="plate p-3" data-level>
    <h2 class="text-lg font-bold">Is it level?</h2>
    <p>Read the height at each stand. Shims only add, so all come up to the highest.</p>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <button v-if="!stands" class="act-main mt-2" @click="corners">Four stands at the corners</button>
    <template v-else>
      <TapedView
        v-if="drawn?.level"
        class="mt-2"
        :view="drawn.level"
        note="The shim for each stand, the front on top."
      />
      <div class="mt-2 grid grid-cols-2 items-end gap-x-4 gap-y-3 md:grid-cols-4">
        <PlanFields
          :base="base"
          :fields="[
            { at: 'by', label: 'Read with', options: choices(levelWords), usual: 'laser' },
            { at: 'doubt', label: 'A height may be off by', hint: 0.001 },
          ]"
        />
      </div>
      <PlanList
        :path="`${base}/stands`"
        :of="level?.stands"
        thing="stand"
        :fresh="{ name: '', back: 0, right: 0 }"
        :fields="[
          { at: 'name', label: 'Stand', text: true },
          { at: 'read', label: 'Reading' },
          { at: 'back', label: 'Behind the front' },
          { at: 'right', label: 'Right of the middle' },
        ]"
      />
    </template>
  </div>
</template>
