<script setup lang="ts">
// A plan in the list: its drawing from the side, its answer, when it was changed.
import { TrashIcon } from '@heroicons/vue/24/outline'
import { useElementVisibility, whenever } from '@vueuse/core'
import { computed, provide, shallowRef, useTemplateRef } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import SceneShape from '@/drawing/SceneShape.vue'
import type { Glance, Listed } from '@/generated/types'
import type { Locale } from '@/quantities'
import { sentence } from '@/said'
import { useReference } from '@/stores/reference'
import { localeKey } from '@/words'
import '@/drawing/drawing.css'

const props = defineProps<{ plan: Listed }>()
const emit = defineEmits<{ removed: [] }>()
const reference = useReference()
const glance = shallowRef<Glance>()
const locale = computed<Locale>(() => ({
  units: glance.value?.units ?? 'metric',
  region: glance.value?.region ?? 'uk',
}))
provide(localeKey, locale)

const card = useTemplateRef<HTMLElement>('card')
const seen = useElementVisibility(card)
whenever(
  seen,
  async () => {
    // A card that cannot be drawn still opens its plan.
    glance.value ??= await api.glance(props.plan.id).catch(() => undefined)
  },
  { immediate: true },
)
const says = computed(() => sentence(reference.data?.terms ?? {}, locale.value, glance.value?.headline.says))
const box = computed(() => {
  const v = glance.value?.view
  if (!v) return undefined
  const [x, y] = v.min
  return `${x} ${y} ${v.max[0] - x} ${v.max[1] - y}`
})
const when = (s: string) => new Date(s).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <li ref="card" class="plate flex items-stretch" :data-plan="plan.id" :data-drawn="!!glance">
    <RouterLink
      :to="`/plan/${plan.id}/balance`"
      class="hover:bg-wash grid min-w-0 flex-1 items-center gap-x-4 gap-y-2 rounded-l-xl p-3 sm:grid-cols-[11rem_minmax(0,1fr)]"
    >
      <span class="bg-wash block h-24 rounded-lg p-1">
        <svg v-if="box" class="drawing size-full" :viewBox="box" aria-hidden="true">
          <SceneShape v-for="(s, i) in glance!.view!.shapes" :key="i" :shape="s" :scale="40" />
        </svg>
      </span>
      <span class="min-w-0">
        <span class="block truncate text-lg font-bold">{{ plan.name || 'Unnamed plan' }}</span>
        <span v-if="glance" class="mt-0.5 flex items-start gap-2 leading-snug">
          <OutcomeMark :outcome="glance.headline.outcome" class="mt-0.5" />
          <span class="line-clamp-2">{{ says }}</span>
        </span>
        <span class="text-soft mt-0.5 block text-sm">Changed {{ when(plan.updatedAt) }}</span>
      </span>
    </RouterLink>
    <button class="act mr-3 self-center" :aria-label="`Delete ${plan.name}`" @click="emit('removed')">
      <TrashIcon class="size-5" />
    </button>
  </li>
</template>
