<script setup lang="ts">
// Load cases, worst first, and what each takes of the member that it uses most.
import { computed } from 'vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import type { Picture } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const props = defineProps<{ frame: Picture }>()
const workspace = useWorkspace()
const { say, nominal, measure, print } = useWords()
/** What is worked out at rest stays on screen while a hand moves. */
const rest = computed(() => workspace.settledReport?.frame)
const read: PlanField[] = [
  { at: 'twistLoad', label: 'On the free corner' },
  { at: 'twistDip', label: 'It went down by' },
]
const members = computed(() =>
  props.frame.members.filter((m) => m.use).sort((a, b) => b.use!.value - a.use!.value),
)
/** Where a kilogram more brings most: the weakest first, then what stiffens the frame. */
const gains = computed(() => {
  const all = rest.value?.members.filter((m) => m.gain && m.use) ?? []
  const weakest = [...all].sort((a, b) => b.use!.value - a.use!.value).slice(0, 1)
  const stiff = all.filter((m) => !weakest.includes(m))
  return [...weakest, ...stiff.sort((a, b) => b.gain!.twist.value - a.gain!.twist.value).slice(0, 3)]
})
const bar = (share: number) => `${Math.min(100, Math.round(share * 100))}%`
</script>

<template>
  <div class="plate p-3" data-strength>
    <p v-if="!frame.cases?.length">No strength yet: the checks beside the drawing say what is missing.</p>
    <template v-else>
      <h2 class="text-lg font-bold">Load cases</h2>
      <ul class="divide-rule mt-1 divide-y">
        <li
          v-for="(c, i) in frame.cases"
          :key="i"
          class="grid grid-cols-[4.5rem_1fr] items-center gap-2 py-1.5"
        >
          <b class="text-right" :class="{ 'text-fails': c.use.value > 1 }">{{ nominal(c.use) }}</b>
          <span>
            <span class="first-letter:uppercase inline-block">{{ say(c.says) }}</span>
            <button class="act ml-2 px-2 py-0.5 text-sm" @click="workspace.selected = c.member">
              {{ c.name || 'member' }}
            </button>
            <span v-if="c.lifts" class="text-soft text-sm"> A wheel is off the ground.</span>
          </span>
        </li>
      </ul>
      <section v-if="rest?.lighter?.length" class="mt-4" data-lighter>
        <h2 class="text-lg font-bold">What could be lighter</h2>
        <ul class="divide-rule divide-y">
          <li v-for="(l, i) in rest.lighter" :key="i" class="flex flex-wrap items-center gap-2 py-1.5">
            <span class="min-w-0 flex-1"
              >{{ say(l.says) }} <b>{{ nominal(l.saves) }} less</b>, about {{ nominal(l.use) }} used on this
              outing.</span
            >
            <button class="act min-h-11" @click="workspace.edit(l.patch, 'a lighter section')">
              Take it
            </button>
          </li>
        </ul>
      </section>
      <section v-if="gains.length" class="mt-4" data-gain>
        <h2 class="text-lg font-bold">What {{ print('mass', 1) }} more brings</h2>
        <ul class="divide-rule divide-y">
          <li v-for="m in gains" :key="m.path" class="py-1.5">
            <button class="font-semibold underline" @click="workspace.selected = m.path">
              {{ m.name || 'member' }}</button>: {{ nominal(m.use) }} → <b>{{ nominal(m.gain!.use) }}</b> of
            its strength, and the frame twists {{ nominal(m.gain!.twist) }} less.
          </li>
        </ul>
      </section>
      <section v-if="rest?.twist" class="mt-4" data-twist>
        <h2 class="text-lg font-bold">Twist, to try at home</h2>
        <p>
          Stand the finished frame on three corners, clamp the one across from the free corner, and load that:
          {{ print('mass', 100) }} should lower it by <b>{{ nominal(rest.twist.corner) }}</b>. Keep feet and
          hands from under it.
        </p>
        <div class="mt-2 grid grid-cols-1 gap-x-4 gap-y-3 sm:grid-cols-2">
          <PlanFields :base="`/trailers/${workspace.trailer}/frame`" :fields="read" />
        </div>
        <p v-if="rest.twist.bounces" class="text-soft mt-2 text-sm">
          Laden, it bounces about {{ nominal(rest.twist.bounces) }} on its springs<template
            v-if="rest.twist.swings"
            >; the frame in itself swings about {{ nominal(rest.twist.swings) }}</template
          >.
        </p>
      </section>
      <section v-if="rest?.cracks?.length" class="mt-4" data-cracks>
        <h2 class="text-lg font-bold">Cracks begin here first</h2>
        <ul>
          <li v-for="c in rest.cracks" :key="c.path" class="border-rule border-t py-1.5 first:border-t-0">
            <button class="font-semibold underline" @click="workspace.selected = c.path">
              {{ c.name || 'member' }}</button>, {{ nominal(c.at) }} from its beginning ({{ c.detail }}):
            bumps move it by {{ measure(c.range) }}, of a class of {{ nominal(c.class) }}.
          </li>
        </ul>
        <p class="text-soft text-sm">
          A comparison (EN 1993-1-9, bumps of ±0.5 to ±1 g), not a life in years. Look there each season.
        </p>
      </section>
      <p v-if="rest?.wearUnknown?.length" class="mt-3 text-sm" data-wear>
        How bumps wear welded aluminium is not known here: {{ rest.wearUnknown.join(', ') }}. Have the welds
        looked at each season.
      </p>
      <h2 class="mt-4 text-lg font-bold">Members</h2>
      <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Members">
        <table class="mt-1 w-full min-w-[38rem] text-sm" data-members>
          <thead>
            <tr class="text-soft text-left">
              <th class="font-normal">Member</th>
              <th class="font-normal">Section</th>
              <th class="w-32 font-normal">Used</th>
              <th class="pr-3 text-right font-normal">Bends</th>
              <th class="font-normal">Worst when</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="m in members" :key="m.path" class="border-rule border-t">
              <th scope="row" class="py-1 pr-2 text-left">
                <button class="text-left font-semibold underline" @click="workspace.selected = m.path">
                  {{ m.name || 'unnamed' }}
                </button>
              </th>
              <td class="pr-2">{{ say(m.says) }}</td>
              <td class="pr-3">
                <span class="bg-wash relative block h-5 rounded">
                  <span
                    class="bg-deep/30 absolute inset-y-0 left-0 rounded"
                    :style="{ width: bar(m.use!.value) }"
                  />
                  <span class="relative block px-1 text-right font-semibold">{{ nominal(m.use) }}</span>
                </span>
              </td>
              <td class="pr-3 text-right whitespace-nowrap">{{ nominal(m.bends) }}</td>
              <td>{{ say(m.case) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </div>
</template>
