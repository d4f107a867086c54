<script setup lang="ts">
// What came, against the list: counted, and what to do about what is wrong.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { ref } from 'vue'
import { api } from '@/api'
import ChoiceField from '@/fields/ChoiceField.vue'
import CountField from '@/fields/CountField.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { CellError, PartRow } from '@/generated/types'
import BackAgain from '@/parts/BackAgain.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import PhotoStrip from '@/parts/PhotoStrip.vue'
import { newId } from '@/stores/patch'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'
import { choices, partStateWords, useWords } from '@/words'
import { useLists } from './lists'
import TapedView from './TapedView.vue'

const workspace = useWorkspace()
const records = useRecords()
const { say } = useWords()
const { lists, failure } = useLists()

const text = ref('')
const wrong = ref<CellError[]>([])
const refused = ref('')
async function read() {
  if (!workspace.plan) return
  refused.value = ''
  try {
    const got = await api.partList(
      { plan: workspace.plan, outing: workspace.outing, trailer: workspace.trailer },
      text.value,
    )
    wrong.value = got.wrong
    let order = Object.keys(records.all).length
    for (const part of got.rows) add({ ...part }, order++)
    if (!got.wrong.length) text.value = ''
  } catch (e) {
    refused.value = e instanceof Error ? e.message : String(e)
  }
}
async function file(e: Event) {
  const from = e.target as HTMLInputElement
  text.value = (await from.files?.[0]?.text()) ?? ''
  from.value = ''
  await read()
}
function add(part: object, order = Object.keys(records.all).length) {
  records.change(newId('part'), { kind: 'part', trailer: workspace.trailer, order, part })
}
const path = (r: PartRow) => `/records/${r.record}`
/** A line of the drawn frame says of which member it is, so that it is no line of one's own. */
function all(r: PartRow) {
  const own = r.own ? {} : { name: say([r.name]).slice(0, 200), member: r.record }
  records.change(r.record, {
    ...(records.all[r.record] ? {} : { trailer: workspace.trailer }),
    part: { ...own, got: r.want, state: 'good' },
  })
}
function state(r: PartRow, value: string | undefined) {
  if (!records.all[r.record] && !r.own)
    records.change(r.record, {
      trailer: workspace.trailer,
      part: { name: say([r.name]).slice(0, 200), member: r.record },
    })
  workspace.setAt(`${path(r)}/part/state`, value, 'what came')
}
</script>

<template>
  <div class="plate p-3" data-parts>
    <h2 class="text-lg leading-tight font-bold" role="status">
      {{ lists ? say(lists.parts.says) : 'What came' }}
    </h2>
    <p class="text-soft">
      Lay everything out and count before the first bolt. A missing part blocks the steps that need it.
    </p>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-for="n in lists?.parts.twice ?? []" :key="n" class="text-tight font-semibold">
      Number {{ n }} is on two lines: see which is right.
    </p>
    <BackAgain />
    <ul class="mt-2">
      <li
        v-for="r in lists?.parts.rows ?? []"
        :key="r.record"
        class="border-rule border-t py-2"
        :data-part="r.record"
      >
        <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
          <p class="min-w-0 flex-1 basis-56">
            <b>{{ r.want }} × {{ say([r.name]) }}</b
            >{{ r.size.length || r.number ? ', ' : '' }}
            <span class="text-soft">{{ r.number ? `no. ${r.number}, ` : '' }}{{ say(r.size) }}</span>
          </p>
          <button
            class="act min-h-11"
            :class="r.got === r.want && r.state === 'good' ? 'text-holds font-bold' : ''"
            :aria-pressed="r.got === r.want && r.state === 'good'"
            @click="all(r)"
          >
            All there
          </button>
          <div class="w-24"><CountField :path="`${path(r)}/part/got`" label="There" /></div>
          <div class="w-48">
            <ChoiceField
              label="Their state"
              :value="r.state"
              none="not looked at"
              :options="choices(partStateWords)"
              @chosen="state(r, $event)"
            />
          </div>
          <button
            v-if="r.own"
            class="act size-11"
            :aria-label="`Take out ${say([r.name])}`"
            @click="records.remove(r.record, say([r.name]))"
          >
            <TrashIcon class="size-5" />
          </button>
        </div>
        <p v-if="r.says?.length" class="text-fails font-semibold">
          {{ say(r.says) }}<template v-if="r.blocks"> It holds up {{ r.blocks }}.</template>
        </p>
        <TapedView v-if="r.drill" :view="r.drill" />
        <FoldedPart v-if="r.says?.length || r.own" class="no-print">
          <template #heading><span class="text-soft text-sm">note, photo</span></template>
          <div class="grid max-w-2xl grid-cols-2 items-end gap-x-4 gap-y-3">
            <PlanFields
              :base="path(r)"
              :fields="[
                ...(r.own
                  ? [
                      { at: 'part/name', label: 'Part', text: true as const },
                      { at: 'part/size', label: 'Size', text: true as const },
                      { at: 'part/want', label: 'Wanted', whole: true as const },
                    ]
                  : []),
                { at: 'note', label: 'Note', text: true },
              ]"
            />
          </div>
          <PhotoStrip class="mt-2" :record="r.record" :of="say([r.name])" />
        </FoldedPart>
      </li>
    </ul>
    <div class="no-print mt-3 flex flex-wrap items-end gap-2">
      <button class="act min-h-11" @click="add({ name: 'A part', want: 1 })">
        <PlusIcon class="size-5" />Another part
      </button>
      <label class="act min-h-11 cursor-pointer focus-within:outline-2">
        A table
        <input
          type="file"
          class="sr-only"
          accept=".csv,.tsv,.txt,text/csv"
          aria-label="A table of parts"
          @change="file"
        />
      </label>
    </div>
    <label class="no-print mt-2 block max-w-2xl">
      <span class="text-soft text-sm">Or paste the list, one part a line, such as “4 x bolt M10 × 90”</span>
      <textarea v-model="text" class="box h-24 w-full py-2" aria-label="A list of parts" />
    </label>
    <button v-if="text" class="act-main no-print mt-2" @click="read">Take these lines</button>
    <p v-if="refused" class="text-fails font-semibold" role="alert">{{ refused }}</p>
    <div v-if="wrong.length" class="text-fails mt-1" role="alert">
      <p v-for="(w, i) in wrong" :key="i">Line {{ w.line }}: {{ w.says }}</p>
    </div>
  </div>
</template>
