<script setup lang="ts">
// Road: the gate, then the departure card to tick by the trailer. It prints on one side.
import { DevicePhoneMobileIcon, PlusIcon, PrinterIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api, today } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import { useDays } from '@/days'
import RigDrawing from '@/drawing/RigDrawing.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import { download } from '@/download'
import { newId } from '@/stores/patch'
import PairDialog from '@/parts/PairDialog.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import ParkedFields from './road/ParkedFields.vue'
import ReadingsPanel from './road/ReadingsPanel.vue'

const workspace = useWorkspace()
const { say, nominal } = useWords()
const { day } = useDays()
const card = computed(() => workspace.settledReport?.card)
const outing = computed(() => workspace.plan?.outings[workspace.outing])
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const base = computed(() => `/outings/${workspace.outing}/departures`)
const pages = computed(() =>
  Object.entries(outing.value?.departures ?? {}).sort((a, b) => b[1].order - a[1].order),
)
const chosen = ref('')
const page = computed(() => pages.value.find(([id]) => id === chosen.value) ?? pages.value[0])
const options = computed(() => pages.value.map(([value, p]) => ({ value, name: day(p.on) })))
const ticked = (id: string) => !!page.value?.[1].ticks?.[id]
const all = computed(() => card.value?.sections.flatMap((s) => s.ticks) ?? [])
const done = computed(() => all.value.filter((t) => ticked(t.id)).length)

function begin() {
  const id = newId('departure')
  const order = (pages.value[0]?.[1].order ?? 0) + 1
  workspace.setAt(
    `${base.value}/${id}`,
    { order, on: today(), revision: workspace.revision },
    'a new departure',
  )
  chosen.value = id
}
function tick(id: string) {
  if (!page.value) begin()
  const p = page.value?.[0]
  if (p)
    workspace.setAt(`${base.value}/${p}/ticks/${id}`, ticked(id) ? undefined : true, 'tick', `ticks-${p}`)
}
const print = () => window.print()
const pairing = ref(false)
/** Since when the figures stand, while there is no server to make new ones. */
const asOf = computed(() =>
  workspace.away || workspace.saveState === 'offline'
    ? workspace.settledAt?.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })
    : undefined,
)
const asked = () => ({ plan: workspace.plan!, outing: workspace.outing, trailer: workspace.trailer })
const files = [
  { name: 'Card, HTML', take: async () => download(await api.card(asked()), 'departure-card.html') },
  { name: 'Loads, CSV', take: async () => download(await api.loadTable(asked()), 'loads.csv') },
  { name: 'Straps, CSV', take: async () => download(await api.lashingTable(asked()), 'straps.csv') },
  {
    name: 'Report, JSON',
    take: async () =>
      download(
        new Blob([JSON.stringify(await api.review(asked(), 'settled'), null, 2)], {
          type: 'application/json',
        }),
        'report.json',
      ),
  },
]
const failure = ref('')
async function take(f: (typeof files)[number]) {
  failure.value = ''
  await f.take().catch((e: unknown) => (failure.value = e instanceof Error ? e.message : String(e)))
}
</script>

<template>
  <section class="relative flex flex-col gap-2 xl:overflow-auto print:gap-0" aria-label="Road" tabindex="-1">
    <p v-if="!card" class="plate p-3">Nothing is planned for the road yet: choose an outing and load it.</p>
    <template v-else>
      <div class="plate shrink-0 p-3" data-gate>
        <div class="flex flex-wrap items-center gap-2">
          <h1 class="mr-auto text-lg font-bold">{{ outing?.name }}, {{ trailer?.name }}</h1>
          <span v-if="card.most" class="font-semibold"
            >Not over {{ nominal(card.most) }}
            <span class="text-soft font-normal">({{ say(card.because) }})</span></span
          >
        </div>
        <p v-if="!card.gate.length" class="mt-1 font-semibold">
          No reason not to leave. The card is for eyes and hands.
        </p>
        <template v-else>
          <p class="text-fails mt-1 font-semibold">
            {{ card.gate.length === 1 ? 'One thing' : `${card.gate.length} things` }} to settle before you go:
          </p>
          <ul class="mt-1 grid gap-1 print:block print:columns-2 print:gap-x-6">
            <li
              v-for="f in card.gate"
              :key="f.code + f.subject"
              class="flex break-inside-avoid items-start gap-2 leading-snug"
            >
              <OutcomeMark :outcome="f.outcome" :size="16" class="mt-0.5" /><span>{{ say(f.says) }}</span>
            </li>
          </ul>
        </template>
      </div>
      <div class="plate shrink-0 overflow-hidden p-2 md:h-56 print:p-0">
        <RigDrawing class="h-full" :only="['side']" />
      </div>
      <div class="plate shrink-0 p-3" data-departure>
        <div class="flex flex-wrap items-end gap-2">
          <h2 class="mr-auto text-lg font-bold">Departure card</h2>
          <span class="text-soft self-center" data-done>{{ done }} of {{ all.length }} ticked</span>
          <ChoiceField
            v-if="options.length"
            class="w-40"
            label="Day"
            tight
            :value="page?.[0]"
            :options="options"
            @chosen="chosen = $event"
          />
          <button class="act no-print" @click="pairing = true">
            <DevicePhoneMobileIcon class="size-5" />Phone
          </button>
          <button class="act no-print" @click="begin"><PlusIcon class="size-5" />New page</button>
          <button class="act no-print" @click="print"><PrinterIcon class="size-5" />Print</button>
        </div>
        <p v-if="asOf" class="text-tight font-semibold" role="status" data-as-of>
          The server does not answer: figures as of {{ asOf }}. Ticks and readings are kept here and sent
          later.
        </p>
        <p v-if="page?.[1].revision" class="text-soft text-sm" data-page-revision>
          Started on revision {{ page[1].revision }} of the plan.
        </p>
        <div
          class="mt-2 gap-x-6 md:columns-2 print:mt-0 print:columns-2 print:text-[12.5px] print:leading-tight"
        >
          <section
            v-for="s in card.sections"
            :key="s.name"
            class="mb-3 break-inside-avoid print:mb-1"
            :aria-label="s.name"
          >
            <h3 class="font-bold">{{ s.name }}</h3>
            <ul>
              <li v-for="t in s.ticks" :key="t.id">
                <label
                  class="hover:bg-wash flex min-h-11 cursor-pointer items-center gap-3 rounded-lg px-1 py-1 leading-snug print:min-h-0 print:py-0 print:gap-1.5 print:leading-tight"
                >
                  <input
                    type="checkbox"
                    class="accent-deep size-6 shrink-0 print:size-3.5"
                    :checked="ticked(t.id)"
                    @change="tick(t.id)"
                  />
                  <span :class="{ 'text-soft': ticked(t.id) }">{{ say(t.says) }}</span>
                </label>
              </li>
            </ul>
          </section>
          <section v-if="card.unknown.length" class="break-inside-avoid" aria-label="Not known">
            <h3 class="font-bold">Not known</h3>
            <p class="text-soft text-sm">{{ card.unknown.map((u) => say(u)).join(', ') }}.</p>
          </section>
        </div>
      </div>
      <ReadingsPanel />
      <ParkedFields />
      <div class="plate no-print flex shrink-0 flex-wrap items-center gap-2 p-3" data-files>
        <h2 class="mr-auto text-lg font-bold">Files</h2>
        <button v-for="f in files" :key="f.name" class="act" @click="take(f)">{{ f.name }}</button>
        <p v-if="failure" class="text-fails w-full" role="alert">{{ failure }}</p>
      </div>
      <p class="text-soft px-1 text-sm">
        The card says what the plan says. Plates, local rules and your own eyes come first.
      </p>
    </template>
    <PairDialog :open="pairing" @close="pairing = false" />
  </section>
</template>
