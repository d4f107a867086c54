<script setup lang="ts">
// The strip above: outing, answer, undo, units, and the plan's menu.
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ArrowUturnLeftIcon, ArrowUturnRightIcon, EllipsisHorizontalIcon } from '@heroicons/vue/24/outline'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api } from '@/api'
import { download } from '@/download'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'
import { outcomeWord, useWords } from '@/words'
import BrandMark from './BrandMark.vue'
import HistoryDialog from './HistoryDialog.vue'
import PairDialog from './PairDialog.vue'
import SaveMark from './SaveMark.vue'

const emit = defineEmits<{ help: []; stages: [] }>()
const workspace = useWorkspace()
const records = useRecords()
const { say } = useWords()
const history = ref(false)
const pairing = ref(false)

const byOrder = <T extends { order: number; name: string }>(m: Record<string, T> | undefined) =>
  Object.entries(m ?? {}).sort((a, b) => a[1].order - b[1].order)
const states = computed(() => new Map((workspace.settledReport?.outings ?? []).map((o) => [o.id, o.outcome])))
const outings = computed(() =>
  byOrder(workspace.plan?.outings).map(([value, o]) => ({
    value,
    name: o.name || 'Unnamed outing',
    more: outcomeWord[states.value.get(value) ?? ''],
  })),
)
const trailers = computed(() =>
  byOrder(workspace.plan?.trailers).map(([value, t]) => ({ value, name: t.name || 'Unnamed trailer' })),
)
/** The plan's verdict is the worst of its outings: stated where it is not the one on screen. */
const rank: Record<string, number> = { fails: 0, unknown: 1, tight: 2, holds: 3 }
const worst = computed(() => {
  const all = workspace.settledReport?.outings ?? []
  const least = [...all].sort((a, b) => (rank[a.outcome] ?? 3) - (rank[b.outcome] ?? 3))[0]
  const own = rank[head.value?.outcome ?? ''] ?? 3
  return least && least.id !== workspace.outing && (rank[least.outcome] ?? 3) < own ? least : undefined
})
const head = computed(() => workspace.report?.headline)
/** Outing and trailer in words, for a print. */
const chosen = computed(() =>
  [
    outings.value.find((o) => o.value === workspace.outing),
    trailers.value.find((t) => t.value === workspace.trailer),
  ]
    .flatMap((x) => x?.name ?? [])
    .join(', '),
)
const imperial = computed(() => workspace.locale.units === 'imperial')

function theme() {
  const next = document.documentElement.dataset.theme === 'dark' ? 'light' : 'dark'
  document.documentElement.dataset.theme = next
  localStorage.setItem('theme', next)
}
const failure = ref('')
const fileName = () =>
  (workspace.plan?.name ?? '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'plan'
async function saveFile() {
  await workspace.saveNow()
  const file = new Blob([JSON.stringify(workspace.plan, null, 2) + '\n'], { type: 'application/json' })
  download(file, `${fileName()}.zygonos.json`)
}
/** The plan with all that is beside it; what waits here goes to the server first. */
async function saveArchive() {
  failure.value = ''
  try {
    await workspace.saveNow()
    await records.settle()
    download(await api.archive(workspace.id), `${fileName()}.zygonos.zip`)
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
const print = () => window.print()
const router = useRouter()
const route = useRoute()
const items = [
  { name: 'Save as a file', act: () => void saveFile() },
  { name: 'Save with records and photos', act: () => void saveArchive() },
  { name: 'Print', act: print },
  { name: 'Tick on a phone', act: () => (pairing.value = true) },
  { name: 'Earlier versions', act: () => (history.value = true) },
  { name: 'Light or dark', act: theme },
  { name: 'Stages to show', act: () => emit('stages') },
  { name: 'Guide', act: () => void router.push(`/guide/${String(route.params.stage ?? '')}`) },
  { name: 'Keys', act: () => emit('help') },
]
</script>

<template>
  <header
    class="border-rule bg-panel sticky top-0 z-20 flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b px-2 py-1.5"
  >
    <BrandMark class="no-print" />
    <h1 class="sr-only print:not-sr-only print:text-2xl print:font-bold">
      {{ workspace.plan?.name }}
    </h1>
    <p class="hidden print:block">{{ chosen }}</p>
    <ChoiceField
      class="no-print min-w-0 flex-1 md:w-56 md:flex-none"
      label="Outing"
      tight
      :value="workspace.outing"
      :options="outings"
      none="No outing"
      @chosen="workspace.choose({ outing: $event })"
    />
    <ChoiceField
      v-if="trailers.length > 1"
      class="no-print hidden w-44 md:block"
      label="Trailer"
      tight
      :value="workspace.trailer"
      :options="trailers"
      @chosen="workspace.choose({ trailer: $event })"
    />
    <p
      v-if="head"
      class="order-last flex min-w-0 basis-full items-center gap-2 leading-tight md:order-none md:basis-0 md:grow print:basis-full"
      role="status"
      data-headline
      :data-outcome="head.outcome"
    >
      <OutcomeMark :outcome="head.outcome" :size="26" word class="text-lg" />
      <span class="line-clamp-2 font-semibold print:line-clamp-none">{{ say(head.says) }}</span>
    </p>
    <button
      v-if="worst"
      class="act no-print order-last max-w-56 md:order-none"
      data-worst
      @click="workspace.choose({ outing: worst.id })"
    >
      <OutcomeMark :outcome="worst.outcome" :size="16" />
      <span class="truncate"
        >{{ workspace.plan?.outings[worst.id]?.name }}: {{ outcomeWord[worst.outcome] }}</span
      >
    </button>
    <div class="no-print flex items-center gap-1">
      <SaveMark class="mr-1 hidden sm:inline" />
      <button
        class="act w-10 px-0"
        aria-label="Undo"
        :disabled="!workspace.past.length"
        :title="workspace.past.at(-1)?.label"
        @click="workspace.undo()"
      >
        <ArrowUturnLeftIcon class="size-5" />
      </button>
      <button
        class="act hidden w-10 px-0 sm:inline-flex"
        aria-label="Redo"
        :disabled="!workspace.future.length"
        @click="workspace.redo()"
      >
        <ArrowUturnRightIcon class="size-5" />
      </button>
      <button
        class="act w-14 px-0"
        :aria-label="imperial ? 'Units: lb in. Change' : 'Units: kg mm. Change'"
        @click="workspace.setAt('/units', imperial ? 'metric' : 'imperial', 'change units')"
      >
        {{ imperial ? 'lb in' : 'kg mm' }}
      </button>
      <Menu as="div" class="relative">
        <MenuButton class="act w-10 px-0" aria-label="Plan"
          ><EllipsisHorizontalIcon class="size-6"
        /></MenuButton>
        <MenuItems
          class="border-rule bg-panel absolute right-0 z-30 mt-1 w-52 rounded-lg border py-1 shadow-lg focus:outline-none"
        >
          <MenuItem v-for="i in items" :key="i.name" v-slot="{ active }">
            <button class="block min-h-11 w-full px-4 text-left" :class="active && 'bg-wash'" @click="i.act">
              {{ i.name }}
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
    </div>
    <p v-if="failure" class="text-fails basis-full font-semibold" role="alert">{{ failure }}</p>
    <HistoryDialog :open="history" @closed="history = false" />
    <PairDialog :open="pairing" @close="pairing = false" />
  </header>
</template>
