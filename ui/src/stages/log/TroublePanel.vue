<script setup lang="ts">
// Something is wrong: what is felt or seen, what may be behind it, what to look at next.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed, ref } from 'vue'
import { api, today } from '@/api'
import { useDays } from '@/days'
import ChoiceField from '@/fields/ChoiceField.vue'
import TextField from '@/fields/TextField.vue'
import type { LookRow } from '@/generated/types'
import BackAgain from '@/parts/BackAgain.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import PhotoStrip from '@/parts/PhotoStrip.vue'
import { newId } from '@/stores/patch'
import { useRecords } from '@/stores/records'
import { useReference } from '@/stores/reference'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const records = useRecords()
const reference = useReference()
const { say, nominal, term } = useWords()
const { long } = useDays()
const { data, failure } = useStudy(api.troubles, () => 0, true, true)
const own = computed(() =>
  Object.entries(records.all)
    .filter(([, r]) => r.trouble && r.trailer === workspace.trailer)
    .sort((a, b) => (b[1].on ?? '').localeCompare(a[1].on ?? '') || (b[1].order ?? 0) - (a[1].order ?? 0))
    .map(([id]) => id),
)
const causeOf = (id: string | undefined) => {
  const c = reference.data?.causes.find((x) => x.id === id)
  return c ? say(c.says) : 'not found yet'
}
const picked = ref('')
const open = computed(() => (picked.value in records.all ? picked.value : (own.value[0] ?? '')))
const record = computed(() => records.all[open.value])
const opinion = computed(() => data.value?.rows.find((r) => r.record === open.value)?.opinion)
const some = computed(() => Object.values(record.value?.trouble?.signs ?? {}).some(Boolean))
const wide = ref(false) // all signs stand there, though some are marked
const signs = computed(() =>
  (reference.data?.signs ?? []).filter((s) => wide.value || !some.value || felt(s.id)),
)
const felt = (id: string) => !!record.value?.trouble?.signs?.[id]
function mark(sign: string) {
  let id = open.value
  if (!id) {
    id = newId('trouble')
    start(id)
  }
  workspace.setAt(`/records/${id}/trouble/signs/${sign}`, felt(sign) ? undefined : true, 'a sign')
  wide.value = true
}
function start(id = newId('trouble')) {
  records.change(id, {
    ...{ kind: 'trouble', trailer: workspace.trailer, on: today(), order: Object.keys(records.all).length },
    trouble: {},
  })
  picked.value = id
  wide.value = false
}
function seen(l: LookRow, answer: boolean | undefined) {
  workspace.setAt(`/records/${open.value}/trouble/seen/${l.id}`, answer, 'what was looked at')
}
</script>

<template>
  <div class="plate p-3" data-trouble>
    <template v-if="opinion?.stop.length">
      <p
        v-for="(s, i) in opinion.stop"
        :key="i"
        class="text-fails text-lg leading-tight font-bold"
        role="alert"
      >
        {{ say(s) }}
      </p>
    </template>
    <h2 class="text-lg leading-tight font-bold" role="status">
      {{ opinion ? say(opinion.says) : 'Mark what you feel, hear or see' }}
    </h2>
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <div class="no-print mt-2 flex flex-wrap gap-2" role="group" aria-label="What is felt, heard or seen">
      <button
        v-for="s in signs"
        :key="s.id"
        class="act min-h-11"
        :class="felt(s.id) ? 'bg-deep text-deep-ink border-deep' : ''"
        :aria-pressed="felt(s.id)"
        :data-sign="s.id"
        @click="mark(s.id)"
      >
        {{ say(s.says) }}
      </button>
      <button v-if="some && !wide" class="act min-h-11" @click="wide = true">
        <PlusIcon class="size-5" />Another sign
      </button>
    </div>
    <template v-if="opinion?.next.length">
      <h3 class="mt-3 font-bold">Look at this next</h3>
      <ul>
        <li
          v-for="l in opinion.next"
          :key="l.id"
          class="border-rule flex flex-wrap items-center gap-2 border-t py-1.5"
          :data-look="l.id"
        >
          <span class="min-w-0 flex-1 basis-56">{{ say(l.asks) }}</span>
          <span class="no-print flex gap-2">
            <button
              v-for="[name, v] in [
                ['Yes', true],
                ['No', false],
              ] as const"
              :key="name"
              class="act min-h-11"
              :class="l.seen === name.toLowerCase() ? 'bg-deep text-deep-ink border-deep' : ''"
              :aria-pressed="l.seen === name.toLowerCase()"
              @click="seen(l, l.seen === name.toLowerCase() ? undefined : v)"
            >
              {{ name }}
            </button>
          </span>
        </li>
      </ul>
    </template>
    <template v-if="opinion?.suspects.length">
      <h3 class="mt-3 font-bold">What may be behind it</h3>
      <ol>
        <li
          v-for="s in opinion.suspects"
          :key="s.id"
          class="border-rule border-t py-1.5"
          :data-suspect="s.id"
        >
          <b class="inline-block first-letter:uppercase">{{ say(s.says) }}</b>, about
          {{ nominal(s.likely) }}
          <p>{{ say(s.do) }}</p>
          <p v-if="s.because.length" class="text-soft text-sm">
            For it: {{ s.because.map((b) => say(b)).join(' ') }}
          </p>
          <p v-if="s.against.length" class="text-soft text-sm">
            Reasons against it: {{ s.against.map((b) => say(b)).join(' ') }}
          </p>
        </li>
      </ol>
    </template>
    <FoldedPart v-if="opinion?.hints.length" class="mt-2">
      <template #heading><span>What plan and log say about it</span></template>
      <ul>
        <li v-for="h in opinion.hints" :key="h.look">{{ say(h.says) }}</li>
      </ul>
    </FoldedPart>
    <div v-if="open" class="no-print mt-3">
      <div class="grid grid-cols-1 items-end gap-x-4 gap-y-3 sm:grid-cols-2">
        <ChoiceField
          label="What it turned out to be"
          none="not known yet"
          :value="record?.trouble?.found"
          :options="(reference.data?.causes ?? []).map((c) => ({ value: c.id, name: say(c.says) }))"
          @chosen="workspace.setAt(`/records/${open}/trouble/found`, $event, 'what it was')"
        />
        <TextField :path="`/records/${open}/note`" label="Remark" />
      </div>
      <div class="mt-2 flex flex-wrap gap-2">
        <PhotoStrip :record="open" of="what was wrong" />
        <button class="act min-h-11" @click="start()"><PlusIcon class="size-5" />Another trouble</button>
        <button class="act min-h-11" @click="records.remove(open, 'a trouble')">
          <TrashIcon class="size-5" />Take it out
        </button>
      </div>
    </div>
    <BackAgain />
    <ul v-if="own.length > 1" class="no-print mt-2">
      <li v-for="id in own" :key="id" class="border-rule border-t">
        <button
          class="min-h-11 w-full text-left"
          :aria-current="id === open || undefined"
          @click="picked = id"
        >
          {{ records.all[id]?.on ? long(records.all[id]!.on!) : 'Some day' }}:
          {{ causeOf(records.all[id]?.trouble?.found) }}
        </button>
      </li>
    </ul>
    <p class="text-soft mt-2 text-sm">
      The shares come from practice and are never certain. Leave brakes, bearings and the
      {{ term('coupling') }} to someone who knows them.
    </p>
  </div>
</template>
