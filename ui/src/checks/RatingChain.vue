<script setup lang="ts">
// The rating chain: a link a rating, its used share, the weakest plainly so.
import { computed } from 'vue'
import type { Link } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import OutcomeMark from './OutcomeMark.vue'

const props = defineProps<{ stage?: string }>()
const workspace = useWorkspace()
const { say, print, nominal } = useWords()
const links = computed(() =>
  (workspace.report?.chain ?? []).filter((l) => !props.stage || l.stage === props.stage),
)
const part = (v: number | undefined) => Math.min(Math.max(v ?? 0, 0), 1.25) / 1.25
const band = (l: Link) => {
  const low = part(l.share?.low ?? l.share?.value)
  return { x: low * 100, width: Math.max(0, part(l.share?.high ?? l.share?.value) - low) * 100 }
}
</script>

<template>
  <ol class="space-y-1">
    <li
      v-for="l in links"
      :key="l.id"
      class="grid grid-cols-[20px_minmax(0,1fr)_auto] items-center gap-x-2 rounded-lg px-2 py-1"
      :class="{ 'bg-wash outline-deep outline-2 -outline-offset-2': l.weakest }"
      :data-link="l.id"
    >
      <OutcomeMark :outcome="l.outcome" :size="18" />
      <span class="leading-tight" :class="{ 'font-bold': l.weakest }"
        >{{ say(l.name) }}<span v-if="l.weakest"> · weakest</span></span
      >
      <button
        class="min-h-6 text-right text-sm"
        :class="{ 'underline decoration-dotted underline-offset-4': l.share }"
        :disabled="!l.share"
        @click="workspace.opened = l.key"
      >
        <template v-if="l.share"
          >{{ nominal(l.figure) }} of {{ nominal(l.limit) }} ·
          <b>{{ print('share', l.share.value) }}</b></template
        >
        <template v-else>Not known</template>
      </button>
      <svg
        v-if="l.share"
        class="col-span-2 col-start-2 h-2 w-full"
        viewBox="0 0 100 8"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <rect x="0" y="2" width="80" height="4" rx="1" class="fill-rule" />
        <rect x="0" y="2" :width="part(l.share.value) * 100" height="4" rx="1" :class="`fill-${l.outcome}`" />
        <rect
          :x="band(l).x"
          y="0"
          :width="band(l).width"
          height="8"
          class="fill-unknown"
          fill-opacity=".35"
        />
        <rect x="79.5" y="0" width="1" height="8" class="fill-ink" />
      </svg>
    </li>
  </ol>
</template>
