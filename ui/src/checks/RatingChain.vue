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
      v-for="(l, i) in links"
      :key="l.id"
      class="relative grid grid-cols-[20px_minmax(0,1fr)_auto] items-center gap-x-2 rounded-lg py-1 pr-2 pl-9"
      :class="{ 'bg-wash outline-deep outline-2 -outline-offset-2': l.weakest }"
      :data-link="l.id"
    >
      <span
        class="link"
        :class="[{ edge: i % 2 === 1, weak: l.weakest, open: !l.share }, `text-${l.outcome}`]"
        aria-hidden="true"
      />
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

<style scoped>
/* A chain from top to bottom: each rating is a link that hangs in the next. */
.link {
  position: absolute;
  top: -7px;
  bottom: -7px;
  left: 8px;
  width: 20px;
  border: 5px solid var(--steel);
  border-radius: 10px;
}
.link.edge {
  left: 15px;
  width: 6px;
  border-width: 0;
  background: var(--steel);
  border-radius: 3px;
}
.link.open {
  border-style: dotted;
  border-width: 3px;
  background: none;
}
.link.weak {
  left: 8px;
  width: 20px;
  border: 2px solid currentColor;
  border-radius: 10px;
  background: none;
}
</style>
