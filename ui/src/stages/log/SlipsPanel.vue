<script setup lang="ts">
// Slips: what the load weighed, its density, and a material of one's own from several.
import { PlusIcon } from '@heroicons/vue/20/solid'
import { ref } from 'vue'
import { api, today } from '@/api'
import { useDays } from '@/days'
import DateField from '@/fields/DateField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { Op } from '@/generated/types'
import BackAgain from '@/parts/BackAgain.vue'
import RecordRow from '@/parts/RecordRow.vue'
import { newId } from '@/stores/patch'
import { useListFile } from '@/stores/listFile'
import { useRecords } from '@/stores/records'
import { useReference } from '@/stores/reference'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import SlipsBehind from './SlipsBehind.vue'

const workspace = useWorkspace()
const records = useRecords()
const reference = useReference()
const { say, nominal, range } = useWords()
const { day } = useDays()
const { data, failure } = useStudy(api.log, () => 0, true, true)
const open = ref('')
const most = ref(100) // rows on screen
const { wrong, refused, read } = useListFile('slip', api.slipList, (r) => r.slip)
function add() {
  const id = newId('slip')
  const last = data.value?.slips[0]
  records.change(id, {
    ...{ kind: 'slip', trailer: workspace.trailer, on: today(), order: Object.keys(records.all).length },
    slip: { material: (last && records.all[last.record]?.slip?.material) || 'gravel' },
  })
  open.value = id
}
</script>

<template>
  <div class="plate p-3" data-slips>
    <h2 class="text-lg leading-tight font-bold" role="status">
      <template v-if="data?.materials.length">{{ say(data.materials[0]!.says) }}</template>
      <template v-else>What your loads really weigh</template>
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <ul class="mt-1">
      <li
        v-for="(m, i) in data?.materials ?? []"
        :key="m.material"
        class="border-rule border-t py-1.5"
        :data-learned="m.material"
      >
        <p v-if="i">{{ say(m.says) }}</p>
        <p class="text-soft text-sm">
          Typical {{ range(m.typical) }}; nine in ten that yours is {{ range(m.mean) }}.
        </p>
        <button
          v-if="m.use.length"
          class="act no-print mt-1 min-h-11"
          @click="workspace.edit(m.use as Op[], 'what the slips say')"
        >
          Use it in the plan
        </button>
        <span v-else class="text-soft text-sm">It is in the plan.</span>
        <SlipsBehind :used="m.used" :out="m.out" :slips="data?.slips ?? []" />
      </li>
    </ul>
    <ul v-if="data?.masses.length" class="mt-1">
      <li
        v-for="m in data.masses"
        :key="m.path"
        class="border-rule border-t py-1.5"
        :data-learned="m.path.split('/')[2]"
      >
        <p>{{ say(m.says) }}</p>
        <button
          v-if="m.use.length"
          class="act no-print mt-1 min-h-11"
          @click="workspace.edit(m.use as Op[], 'what the slips say')"
        >
          Use it in the plan
        </button>
        <span v-else class="text-soft text-sm">It is in the plan.</span>
        <SlipsBehind :used="m.used" :out="m.out" :slips="data?.slips ?? []" />
      </li>
    </ul>
    <div class="no-print mt-2 flex flex-wrap items-center gap-2">
      <button class="act-main" @click="add"><PlusIcon class="size-5" />A slip</button>
      <label class="act min-h-11 cursor-pointer focus-within:outline-2">
        A table
        <input
          type="file"
          class="sr-only"
          accept=".csv,.tsv,.txt,text/csv"
          aria-label="A table of slips"
          @change="read"
        />
      </label>
    </div>
    <p v-if="refused" class="text-fails font-semibold" role="alert">{{ refused }}</p>
    <div v-if="wrong.length" class="text-fails mt-1" role="alert">
      <p v-for="(w, i) in wrong" :key="i">Line {{ w.line }}, {{ w.head }}: {{ w.says }}</p>
    </div>
    <BackAgain />
    <ul class="mt-2">
      <RecordRow
        v-for="r in data?.slips.slice(0, most) ?? []"
        :id="r.record"
        :key="r.record"
        v-model:open="open"
        :name="say([r.name])"
        of="the slip"
        :data-slip="r.record"
      >
        <template #heading>
          <b>{{ say([r.name]) }}</b><span class="text-soft"
            ><template v-if="r.on">, {{ day(r.on) }}</template
            ><template v-if="r.load">, {{ nominal(r.load) }}</template
            ><template v-if="r.density">, {{ nominal(r.density) }}</template
            ><template v-if="r.perTon">, {{ nominal(r.perTon) }} a tonne</template></span
          ><b v-if="r.out" class="text-tight">, not counted</b>
        </template>
        <template #below>
          <p v-if="r.wrong?.length" class="text-fails font-semibold">{{ say(r.wrong) }}</p>
        </template>
        <DateField :path="`/records/${r.record}/on`" label="On" />
        <PlanFields
          :base="`/records/${r.record}/slip`"
          :fields="[
            {
              at: 'material',
              label: 'Material',
              options: (reference.data?.materials ?? []).map((m) => ({ value: m.id, name: m.name })),
            },
            { at: 'full', label: 'Loaded, on the slip' },
            { at: 'empty', label: 'Empty, on the slip' },
            { at: 'fill', label: 'It filled' },
            { at: 'fillDoubt', label: 'known to', hint: '10 %' },
            { at: 'price', label: 'It cost' },
            {
              at: 'load',
              label: 'Or it was this load',
              options: Object.entries(workspace.plan?.loads ?? {}).map(([value, l]) => ({
                value,
                name: l.name || 'unnamed',
              })),
            },
            { at: 'alone', label: 'The trailer stood alone on the bridge', on: true },
          ]"
        />
      </RecordRow>
    </ul>
    <button v-if="(data?.slips.length ?? 0) > most" class="act no-print mt-2 min-h-11" @click="most += 200">
      Older ones, {{ data!.slips.length - most }}
    </button>
    <p class="text-soft mt-2 text-sm">
      Rake it level and tape it: the fill is the least certain figure. A slip that does not fit with the
      others is shown but not counted.
    </p>
  </div>
</template>
