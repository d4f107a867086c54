<script setup lang="ts">
// Papers, or what is done against theft: ticked, with number, day, note and photo.
import { CheckIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import { api } from '@/api'
import DateField from '@/fields/DateField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PaperRow } from '@/generated/types'
import FoldedPart from '@/parts/FoldedPart.vue'
import PhotoStrip from '@/parts/PhotoStrip.vue'
import { useRecords } from '@/stores/records'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { choices, paperWhenWords, paperWords, useWords } from '@/words'

const props = defineProps<{ of: 'rows' | 'theft' }>()
const workspace = useWorkspace()
const records = useRecords()
const { say } = useWords()
const { data, failure } = useStudy(api.papers, () => 0, true, true)
const base = computed(() => `/trailers/${workspace.trailer}/plate`)
const rows = computed(() => data.value?.[props.of] ?? [])
const done = (r: PaperRow) => records.all[r.record]?.paper?.done ?? !!r.done
function tick(r: PaperRow) {
  records.change(r.record, {
    ...(records.all[r.record] ? {} : { trailer: workspace.trailer }),
    paper: { done: !done(r) },
  })
}
const heading = (i: number) => {
  const when = rows.value[i]?.when
  return when && when !== rows.value[i - 1]?.when ? paperWhenWords[when] : undefined
}
</script>

<template>
  <div class="plate p-3" :data-papers="of">
    <h2 class="text-lg leading-tight font-bold" role="status">
      <template v-if="of === 'theft'">What keeps it from being stolen</template>
      <template v-else>{{ data ? say(data.says) : 'Papers' }}</template>
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-if="of === 'rows'" class="text-soft">
      What is usually required, as of {{ data?.asOf }}: pointers, not the law. Your local code decides; ask
      the office before you build or buy.
    </p>
    <div v-if="of === 'rows'" class="no-print mt-2 max-w-xs">
      <PlanFields
        :base="base"
        :fields="[{ at: 'kind', label: 'The trailer is', options: choices(paperWords), usual: data?.kind }]"
      />
    </div>
    <ol class="mt-2">
      <li v-for="(r, i) in rows" :key="r.record" :data-paper="r.record">
        <h3 v-if="heading(i)" class="mt-3 font-bold">{{ heading(i) }}</h3>
        <div class="border-rule flex items-start gap-3 border-t py-2">
          <button
            class="act size-11 shrink-0"
            :aria-pressed="done(r)"
            :aria-label="`${say(r.says)}: ${done(r) ? 'there' : 'open'}`"
            @click="tick(r)"
          >
            <CheckIcon v-if="done(r)" class="size-6" />
          </button>
          <div class="min-w-0 flex-1">
            <p :class="done(r) ? 'text-soft' : 'font-semibold'">{{ say(r.says) }}.</p>
            <p class="text-soft text-sm">{{ r.where ? say(r.where) : '' }}</p>
            <FoldedPart class="no-print">
              <template #heading><span class="text-soft text-sm">number, day, note, photo</span></template>
              <div class="mt-1 grid max-w-2xl grid-cols-2 items-end gap-x-4 gap-y-3">
                <PlanFields
                  :base="`/records/${r.record}`"
                  :fields="[
                    { at: 'paper/number', label: 'Number', text: true },
                    { at: 'note', label: 'Note', text: true },
                  ]"
                />
                <DateField :path="`/records/${r.record}/on`" label="On" />
              </div>
              <PhotoStrip class="mt-2" :record="r.record" :of="say(r.says)" />
            </FoldedPart>
          </div>
        </div>
      </li>
    </ol>
    <p v-if="of === 'rows'" class="text-soft mt-3 text-sm">
      Lamps and reflectors are judged under Wiring. Hauling waste or goods for pay may need a carrier’s
      registration and another insurance.
    </p>
  </div>
</template>
