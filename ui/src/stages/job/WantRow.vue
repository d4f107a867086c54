<script setup lang="ts">
// One must or wish: what it comes to, and its own figures when it is opened.
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { ChevronDownIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed } from 'vue'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import CountField from '@/fields/CountField.vue'
import DateField from '@/fields/DateField.vue'
import EstimateField from '@/fields/EstimateField.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import SwitchField from '@/fields/SwitchField.vue'
import type { State, Want } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { skillWords, useWords, wantWords } from '@/words'

const props = defineProps<{ id: string; want: Want; state?: State }>()
const workspace = useWorkspace()
const { say } = useWords()
const path = (field: string) => `/wants/${props.id}/${field}`
const outings = computed(() =>
  Object.entries(workspace.plan?.outings ?? {}).map(([value, o]) => ({ value, name: o.name })),
)
const title = computed(() => (props.state ? say(props.state.title) : wantWords[props.want.what]))
</script>

<template>
  <Disclosure
    v-slot="{ open }"
    as="li"
    class="border-rule border-t first:border-t-0"
    :data-want="want.what"
    :data-outcome="state?.outcome"
  >
    <DisclosureButton class="flex min-h-12 w-full items-center gap-2.5 py-1.5 text-left">
      <OutcomeMark :outcome="state?.outcome ?? 'unknown'" :size="20" />
      <span class="min-w-0 flex-1 leading-tight">
        <b>{{ title }}</b> <span v-if="want.wish" class="text-soft">· wish</span>
        <span v-if="state" class="text-soft block text-sm">{{ say(state.says) }}</span>
      </span>
      <ChevronDownIcon class="size-5 shrink-0" :class="open && 'rotate-180'" />
    </DisclosureButton>
    <DisclosurePanel class="grid items-end gap-x-4 gap-y-3 pt-1 pb-3 md:grid-cols-2">
      <ChoiceField
        v-if="want.what === 'carry'"
        label="Outing"
        :value="want.outing"
        :options="outings"
        @chosen="workspace.setAt(path('outing'), $event, 'which outing')"
      />
      <template v-if="want.what === 'storage' || want.what === 'sheet'">
        <EstimateField
          :path="path('size/length')"
          :label="want.what === 'sheet' ? 'Sheet’s length' : 'Bay’s length'"
          :hint="want.what === 'sheet' ? 2.44 : 'tape'"
        />
        <EstimateField
          :path="path('size/width')"
          :label="want.what === 'sheet' ? 'Sheet’s width' : 'Bay’s width, at the door'"
          :hint="want.what === 'sheet' ? 1.22 : 'tape'"
        />
        <EstimateField
          v-if="want.what === 'storage'"
          :path="path('size/height')"
          label="Height"
          hint="open above"
        />
      </template>
      <template v-if="want.what === 'alone'">
        <PlanQuantity :path="path('mass')" label="One person lifts" :hint="40" />
        <PlanQuantity :path="path('height')" label="as high as" :hint="1.4" />
      </template>
      <template v-if="want.what === 'road'">
        <PlanQuantity :path="path('speed')" label="Speed" />
        <PlanQuantity :path="path('distance')" label="Longest trip" />
      </template>
      <CountField v-if="want.what === 'anchors'" :path="path('count')" label="Tie-down points" hint="4" />
      <PlanQuantity
        v-if="want.what === 'budget'"
        :path="path('money')"
        label="In all, before it is on the road"
      />
      <template v-if="want.what === 'hours'">
        <PlanQuantity :path="path('hours')" label="Hours you have" />
        <DateField :path="path('date')" label="until" />
      </template>
      <template v-if="want.what === 'skills'">
        <SwitchField
          v-for="(word, s) in skillWords"
          :key="s"
          :label="word"
          :value="want.skills?.[s]"
          @set="workspace.setAt(path(`skills/${s}`), $event || undefined, 'skills')"
        />
      </template>
      <div class="flex flex-wrap items-center gap-3 md:col-span-2">
        <SwitchField
          label="Only a wish"
          :value="want.wish"
          @set="workspace.setAt(path('wish'), $event || undefined, 'must or wish')"
        />
        <button class="act ml-auto" @click="workspace.setAt(`/wants/${id}`, undefined, 'take out a must')">
          <TrashIcon class="size-5" />Take out
        </button>
      </div>
    </DisclosurePanel>
  </Disclosure>
</template>
