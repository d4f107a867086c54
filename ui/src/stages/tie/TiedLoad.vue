<script setup lang="ts">
// One load: how many g it withstands each way, its straps, the schools side by side.
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { PlusIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import SwitchField from '@/fields/SwitchField.vue'
import type { Tied } from '@/generated/types'
import { newId } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import StrapRow from './StrapRow.vue'

const props = defineProps<{ tied: Tied }>()
const workspace = useWorkspace()
const reference = useReference()
const { nominal } = useWords()
const id = computed(() => props.tied.load.replace('/loads/', ''))
const base = computed(() => `/outings/${workspace.outing}/layouts/${workspace.trailer}`)
const layout = computed(() => workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer])
const lashings = computed(() =>
  Object.entries(layout.value?.lashings ?? {})
    .filter(([, x]) => x.load === id.value)
    .sort((a, b) => a[1].order - b[1].order),
)
const straps = computed(() => Object.keys(workspace.plan?.straps ?? {}))
const fresh = ref('') // the strap just added: open
const told = (lid: string) => props.tied.straps.find((s) => s.path.endsWith(`/lashings/${lid}`))
function add() {
  const order = Math.max(0, ...Object.values(layout.value?.lashings ?? {}).map((x) => x.order)) + 1
  const [from, to] = props.tied.points
  fresh.value = newId('tie')
  workspace.setAt(
    `${base.value}/lashings/${fresh.value}`,
    {
      order,
      load: id.value,
      strap: straps.value[0] ?? '',
      from: from?.id ?? '',
      ...(to ? { to: to.id } : {}),
      hold: { back: 0.3 },
    },
    'add a strap',
  )
}
const surfaces = computed(() => [
  { value: '', name: 'usual for its kind' },
  ...(reference.data?.surfaces ?? []).map((s) => ({
    value: s.id,
    name: s.name,
    more: s.low === s.high ? String(s.low) : `${s.low} to ${s.high}`,
  })),
])
const blocked = computed(() => layout.value?.placements[id.value]?.blocked)
const faces = [
  { id: 'front', name: 'in front' },
  { id: 'rear', name: 'behind' },
  { id: 'left', name: 'on its left' },
  { id: 'right', name: 'on its right' },
] as const
const words: Record<string, string> = {
  forward: 'Forward',
  rearward: 'Rearward',
  left: 'Left',
  right: 'Right',
  up: 'Up',
}
const full = 1.5 // g over the whole bar
const share = (g: number) => `${Math.max(0, Math.min(1, g / full)) * 100}%`
</script>

<template>
  <div class="plate shrink-0 p-3" :data-tied="id">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <h2 class="mr-auto text-lg font-bold">{{ tied.name || 'A load' }}</h2>
      <SwitchField
        class="no-print"
        label="Mat under it"
        :value="layout?.placements[id]?.mat"
        @set="workspace.setAt(`${base}/placements/${id}/mat`, $event || undefined, 'mat')"
      />
      <SwitchField
        class="no-print"
        label="Blocked"
        :value="!!blocked"
        @set="workspace.setAt(`${base}/placements/${id}/blocked`, $event ? {} : undefined, 'blocking')"
      />
      <ChoiceField
        class="no-print w-44"
        label="On what"
        tight
        none="usual for its kind"
        :value="layout?.placements[id]?.surface || ''"
        :options="surfaces"
        @chosen="workspace.setAt(`${base}/placements/${id}/surface`, $event || undefined, 'surface')"
      />
      <span class="text-soft text-sm">friction {{ tied.grip.toFixed(2) }}</span>
    </div>
    <div v-if="blocked" class="no-print mt-1 grid grid-cols-2 items-end gap-2 lg:grid-cols-5" data-blocked>
      <SwitchField
        v-for="face in faces"
        :key="face.id"
        :label="face.name"
        :value="blocked[face.id]"
        @set="workspace.setAt(`${base}/placements/${id}/blocked/${face.id}`, $event || undefined, 'blocking')"
      />
      <PlanQuantity :path="`${base}/placements/${id}/blocked/takes`" label="Each carries" />
      <p v-if="!blocked.takes" class="text-soft col-span-2 text-sm lg:col-span-5">
        It counts once you enter what it can take.
      </p>
    </div>
    <dl v-if="tied.bars?.length" class="mt-1 grid gap-x-6 gap-y-1 sm:grid-cols-2" data-bars>
      <div
        v-for="b in tied.bars"
        :key="b.direction"
        class="grid grid-cols-[5.5rem_1fr_8.5rem] items-center gap-2 text-sm"
      >
        <dt class="font-semibold">{{ words[b.direction] }}</dt>
        <dd class="bg-wash relative h-4 rounded" aria-hidden="true">
          <span
            class="absolute inset-y-0 left-0 rounded"
            :class="!b.known ? 'bg-unknown' : b.holds ? 'bg-holds' : 'bg-fails'"
            :style="{ width: share(b.has) }"
          ></span>
          <span class="bg-ink absolute -inset-y-0.5 w-0.5" :style="{ left: share(b.asked) }"></span>
        </dd>
        <dd>
          <b>{{ b.known ? `${b.has.toFixed(2)} g` : 'Not known' }}</b> of {{ b.asked }} g
        </dd>
      </div>
    </dl>
    <p v-else class="text-soft text-sm">
      {{ lashings.length ? 'A strap holds nothing like this: see the checks.' : 'Not tied down yet.' }}
    </p>
    <ul v-if="lashings.length" class="mt-2">
      <li v-for="[lid, x] in lashings" :key="lid" :data-lashing="lid">
        <StrapRow
          :path="`${base}/lashings/${lid}`"
          :lashing="x"
          :points="tied.points"
          :told="told(lid)"
          :first="!!tied.weak && told(lid)?.path === tied.weak"
          :fresh="lid === fresh"
        />
      </li>
    </ul>
    <div class="no-print mt-2 flex flex-wrap gap-2">
      <button class="act" :disabled="!straps.length || !tied.points.length" @click="add">
        <PlusIcon class="size-5" />Strap
      </button>
    </div>
    <Disclosure v-if="lashings.length">
      <DisclosureButton class="act no-print mt-2">Compare the rules</DisclosureButton>
      <DisclosurePanel class="mt-2 overflow-x-auto" tabindex="0">
        <table class="w-full text-sm" data-schools>
          <thead>
            <tr class="text-soft text-left">
              <th class="font-normal">Rule</th>
              <th class="px-2 text-right font-normal">Holds by</th>
              <th class="px-2 text-right font-normal">Asks</th>
              <th class="px-2 text-right font-normal">Straps</th>
              <th class="px-2 font-normal">Binds</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="s in tied.schools" :key="s.id" class="border-rule border-t align-top">
              <th scope="row" class="py-1 text-left font-semibold">
                {{ s.name }}{{ s.chosen ? ' (chosen)' : '' }}:
                <span :class="s.holds ? 'text-holds' : 'text-fails'">{{ s.holds ? 'Holds' : 'Fails' }}</span>
              </th>
              <td class="px-2 py-1 text-right">{{ nominal(s.has) }}</td>
              <td class="px-2 py-1 text-right">{{ nominal(s.needs) }}{{ s.says ? `, ${s.says}` : '' }}</td>
              <td class="px-2 py-1 text-right">{{ s.least ? `${s.count ?? 0} of ${s.least}` : '' }}</td>
              <td class="px-2 py-1">{{ s.source }}: {{ s.bound }}</td>
            </tr>
          </tbody>
        </table>
        <p class="text-soft mt-1 text-sm">
          They disagree because they count differently: one adds up what the straps take and wants half the
          weight; the others look at what friction and pull give against each push, with the tightener’s pull
          for a strap over the top.
        </p>
      </DisclosurePanel>
    </Disclosure>
  </div>
</template>
