<script setup lang="ts">
// What holds the frame together: the order of the welds, the bolts with where they go, how they are tightened.
import PlanFields from '@/fields/PlanFields.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import { useLists } from './lists'
import TapedView from './TapedView.vue'

const workspace = useWorkspace()
const { say, nominal } = useWords()
const { lists, failure } = useLists()
</script>

<template>
  <div class="plate p-3" data-joints>
    <h2 class="text-lg leading-tight font-bold" role="status">
      <template v-if="lists?.joints.welds.length || lists?.joints.bolts.length">
        {{ lists.joints.welds.length }} welded {{ lists.joints.welds.length === 1 ? 'place' : 'places' }},
        {{ lists.joints.bolts.reduce((n, b) => n + b.count, 0) }} bolts
      </template>
      <template v-else>Welds and bolts</template>
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-if="lists && !lists.joints.welds.length && !lists.joints.bolts.length" class="max-w-2xl">
      Draw the frame under Frame, with how its ends are joined: then you get the order of its welds, and its
      bolts with their lengths.
    </p>
    <template v-if="lists?.joints.welds.length">
      <h3 class="mt-2 font-bold">Tack in this order, square again, weld in the same</h3>
      <p class="text-soft">
        Each next place balances those before it about the middle, away from the last, so that heat and pull
        cancel. Short runs, both sides. How to weld it is up to a competent welder.
      </p>
      <div class="grid gap-4 md:grid-cols-2">
        <TapedView v-if="lists.joints.view" :view="lists.joints.view" />
        <ol class="list-decimal pl-8">
          <li v-for="(w, i) in lists.joints.welds" :key="i">{{ say(w.says) }}</li>
        </ol>
      </div>
    </template>
    <template v-if="lists?.joints.bolts.length">
      <h3 class="mt-3 font-bold">Bolts, sorted</h3>
      <ul>
        <li v-for="(b, i) in lists.joints.bolts" :key="i" class="border-rule border-t py-1.5">
          <b>{{ b.count }} × {{ say(b.name) }}</b>
          <span class="text-soft">
            for {{ nominal(b.grip) }}; spanner {{ nominal(b.flats) }}, hole {{ nominal(b.drill) }}</span
          ><b v-if="b.single" class="text-tight">, the odd ones</b>
          <p class="text-sm">{{ say(b.where) }}. {{ b.head }}</p>
        </li>
      </ul>
      <h3 class="mt-3 font-bold">Tighten from the middle outward, half first, then in full</h3>
      <ol class="list-decimal pl-8">
        <li v-for="(t, i) in lists.joints.sound" :key="i">
          {{ say(t.says)
          }}<template v-if="t.torque && t.pull && t.arm"
            >: <b>{{ nominal(t.torque) }}</b>, or {{ nominal(t.pull) }} at the end of a spanner of
            {{ nominal(t.arm) }}</template
          ><template v-else>: by the leaflet; its grade is not entered</template>
        </li>
      </ol>
      <p class="text-soft text-sm">
        Again after the first loads. The maker’s leaflet and the plate come first.
      </p>
    </template>
    <p v-for="(o, i) in lists?.joints.odd ?? []" :key="`o${i}`" class="text-fails font-semibold">
      {{ say(o) }}
    </p>
    <template v-if="lists?.joints.free.length">
      <h3 class="mt-3 font-bold">These stay free</h3>
      <ul class="list-disc pl-6">
        <li v-for="f in lists.joints.free" :key="f">{{ f }}</li>
      </ul>
    </template>
    <FoldedPart class="mt-2">
      <template #heading><b>A sleeve or pocket with its coat on</b></template>
      <p v-if="lists?.joints.sleeve?.length" class="font-semibold">{{ say(lists.joints.sleeve) }}</p>
      <div class="mt-1 grid grid-cols-2 items-end gap-x-4 gap-y-3 md:grid-cols-4">
        <PlanFields
          :base="`/trailers/${workspace.trailer}/workshop/sleeve`"
          :fields="[
            { at: 'inside', label: 'The outer, clear inside' },
            { at: 'outside', label: 'The inner, outside' },
            { at: 'coat', label: 'Paint or zinc, thick', hint: '0' },
            { at: 'bothCoat', label: 'On both of them', on: true },
          ]"
        />
      </div>
    </FoldedPart>
    <FoldedPart v-for="p in lists?.joints.how ?? []" :key="p.name">
      <template #heading
        ><b>{{ p.name }}</b></template
      >
      <ul class="list-disc pl-6">
        <li v-for="d in p.does" :key="d">{{ d }}</li>
      </ul>
      <p><b>Check:</b> {{ p.check }}</p>
    </FoldedPart>
  </div>
</template>
