<script setup lang="ts">
// What a rack is cut from.
import { computed } from 'vue'
import { api } from '@/api'
import { download } from '@/download'
import type { Built } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const props = defineProps<{ built: Built }>()
const workspace = useWorkspace()
const { say, nominal, print } = useWords()

const priced = computed(() => props.built.pieces.some((p) => p.cost))
const asked = () => ({ plan: workspace.plan!, outing: workspace.outing, trailer: workspace.trailer })
async function exportTable() {
  download(await api.cutList(asked()), 'cut-list.csv')
}
async function exportDrawing(form: 'svg' | 'dxf') {
  download(await api.drawing(asked(), props.built.part, form), `rack.${form}`)
}
</script>

<template>
  <section aria-label="Cut list">
    <div class="flex items-center justify-between">
      <h3 class="font-bold">
        Cut list: {{ nominal(built.mass) }}<template v-if="built.cost">, {{ nominal(built.cost) }}</template>
      </h3>
      <div class="no-print flex gap-1.5">
        <button class="act" @click="exportTable">CSV</button>
        <button class="act" @click="exportDrawing('svg')">SVG</button>
        <button class="act" @click="exportDrawing('dxf')">DXF</button>
      </div>
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
            <th v-if="priced" class="text-right font-normal">Cost</th>
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
            <td v-if="priced" class="text-right">{{ p.cost ? nominal(p.cost) : '' }}</td>
          </tr>
          <tr class="border-rule border-t">
            <th scope="row" class="py-1 pr-2 text-left font-semibold">padding on the bars</th>
            <td></td>
            <td></td>
            <td class="text-right">{{ print('length', built.foam?.value ?? 0) }}</td>
            <td></td>
            <td></td>
            <td v-if="priced"></td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>
