<script setup lang="ts">
// What the empty trailer is made of by its drawing.
import { computed } from 'vue'
import type { Picture } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { howWords, useWords } from '@/words'

const props = defineProps<{ frame: Picture }>()
const workspace = useWorkspace()
const { nominal, print, measure, term } = useWords()
const sum = computed(() => (props.frame.empty ?? []).reduce((s, b) => s + b.mass.value, 0))
const used = computed(() => workspace.report?.emptyWay === 'from the drawing')
</script>

<template>
  <div class="plate p-3" data-weight>
    <p v-if="!frame.empty?.length">The drawing is not whole yet, so it does not weigh the trailer.</p>
    <template v-else>
      <h2 class="text-lg font-bold">Empty, by the drawing: {{ print('mass', sum) }}</h2>
      <p class="mt-1">
        {{
          used
            ? 'Nothing has been weighed and there is no plate figure, so balance and payload use this.'
            : 'A scale, plate or paper is more certain, so balance and payload use that.'
        }}
      </p>
      <table class="mt-2 w-full max-w-xl text-sm">
        <tbody>
          <tr v-for="(b, i) in frame.empty" :key="i" class="border-rule border-t">
            <th scope="row" class="py-1 pr-2 text-left font-semibold first-letter:uppercase">{{ b.name }}</th>
            <td class="pr-2 text-right whitespace-nowrap">{{ measure(b.mass) }}</td>
            <td class="text-soft">{{ howWords[b.how]?.[0] ?? b.how }}</td>
          </tr>
        </tbody>
      </table>
      <p class="text-soft mt-2 text-sm">
        Members alone weigh {{ nominal(frame.mass) }}. Floor, sides, {{ term('mudguard') }}s and
        {{ term('jockey wheel') }} count as usual until they are fitted under Trailer.
      </p>
    </template>
  </div>
</template>
