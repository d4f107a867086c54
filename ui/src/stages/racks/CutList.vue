<script setup lang="ts">
// What a rack is cut from.
import { api } from '@/api'
import type { Built } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

defineProps<{ built: Built }>()
const workspace = useWorkspace()
const { say, nominal, print } = useWords()

async function exportTable() {
  if (!workspace.plan) return
  const asked = { plan: workspace.plan, outing: workspace.outing, trailer: workspace.trailer }
  const a = document.createElement('a')
  a.href = URL.createObjectURL(await api.cutList(asked))
  a.download = 'cut-list.csv'
  a.click()
  setTimeout(() => URL.revokeObjectURL(a.href), 1000)
}
</script>

<template>
  <section aria-label="Cut list">
    <div class="flex items-center justify-between">
      <h3 class="font-bold">Before you cut: {{ nominal(built.mass) }} in all</h3>
      <button class="act no-print" @click="exportTable">As a table</button>
    </div>
    <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Pieces">
      <table class="mt-1 w-full text-sm" data-cut-list>
        <thead>
          <tr class="text-soft text-left">
            <th class="font-normal">Piece</th>
            <th class="font-normal">Section</th>
            <th class="text-right font-normal">Count</th>
            <th class="text-right font-normal">Length</th>
            <th class="text-right font-normal">Weight</th>
            <th class="text-right font-normal">Holes</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in built.pieces" :key="p.name" class="border-rule border-t">
            <th scope="row" class="py-1 pr-2 text-left font-semibold">{{ p.name }}</th>
            <td class="pr-2">{{ say(p.section) }}</td>
            <td class="text-right">{{ p.count }}</td>
            <td class="text-right">{{ nominal(p.length) }}</td>
            <td class="text-right">{{ nominal(p.mass) }}</td>
            <td class="text-right">{{ p.holes }}</td>
          </tr>
          <tr class="border-rule border-t">
            <th scope="row" class="py-1 pr-2 text-left font-semibold">padding on the bars</th>
            <td></td>
            <td></td>
            <td class="text-right">{{ print('length', built.foam?.value ?? 0) }}</td>
            <td></td>
            <td></td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
