<script setup lang="ts">
// Ways to support hulls, with this outing's hulls under each.
import { computed } from 'vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { nominal, say } = useWords()
const ways = computed(() => workspace.report?.schools ?? [])
const hulls = computed(() => ways.value[0]?.rows.map((r) => r.hull) ?? [])
</script>

<template>
  <div v-if="ways.length" class="plate shrink-0 p-3" data-supports>
    <h2 class="text-lg font-bold">What the hulls lie on</h2>
    <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Ways to support hulls">
      <table class="mt-1 w-full text-sm">
        <thead>
          <tr class="align-bottom">
            <th><span class="sr-only">Hull</span></th>
            <th v-for="w in ways" :key="w.id" class="px-2 text-right">{{ w.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(hull, i) in hulls" :key="i" class="border-rule border-t align-top">
            <th scope="row" class="py-1 pr-2 text-left font-semibold">{{ hull }}</th>
            <td v-for="w in ways" :key="w.id" class="px-2 py-1 text-right">
              <b>{{ nominal(w.rows[i]?.pressure) }}</b>, strapped {{ nominal(w.rows[i]?.strapped) }}<br />
              <span class="text-soft"
                >{{ nominal(w.rows[i]?.bears) }} each, free {{ nominal(w.rows[i]?.span) }}, beyond
                {{ nominal(w.rows[i]?.beyond) }}</span
              >
            </td>
          </tr>
          <tr class="border-rule border-t align-top">
            <th scope="row" class="py-1 pr-2 text-left font-semibold">Sliding</th>
            <td v-for="w in ways" :key="w.id" class="px-2 py-1 text-right">{{ w.slides }}</td>
          </tr>
          <tr class="border-rule border-t align-top">
            <th scope="row" class="py-1 pr-2 text-left font-semibold">Takes</th>
            <td v-for="w in ways" :key="w.id" class="px-2 py-1 text-right">{{ say(w.takes) }}</td>
          </tr>
          <tr class="border-rule border-t align-top">
            <th scope="row" class="py-1 pr-2 text-left font-semibold">Later</th>
            <td v-for="w in ways" :key="w.id" class="px-2 py-1 text-right">{{ w.later }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="text-soft mt-1 text-sm">
      Pressure on the hull with shocks counted. Where it is high, soft polyethylene dents in the heat: spread
      the load and slacken straps when parked. The maker knows what a hull can take.
    </p>
  </div>
</template>
