<script setup lang="ts">
// Before steel is cut: what fails or is open, over all outings.
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import PlanFields from '@/fields/PlanFields.vue'
import type { PlanField } from '@/fields/planField'
import SwitchField from '@/fields/SwitchField.vue'
import { stageOfPath } from '@/fields/tables'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const router = useRouter()
const { say, term } = useWords()
const { data, failure } = useStudy(api.beforeCut, () => workspace.trailer)
const outing = (id: string | undefined) => workspace.plan?.outings[id ?? '']?.name
const base = computed(() => `/trailers/${workspace.trailer}/frame`)
const fields = computed<PlanField[]>(() => [
  { at: 'headTakes', label: `The ${term('coupling')} takes a bar of` },
  { at: 'headHoles', label: 'or its holes are apart' },
  { at: 'jockey', label: `${term('Jockey wheel')} behind the ball` },
  { at: 'jockeyTop', label: 'its handle ends at' },
])
/** What is asked for here has its field below. */
const here = (path: string) => path === asked.value || /\/frame\/(head|jockey)\w*$/.test(path)
const asked = computed(() => `/trailers/${workspace.trailer}/frame/asked`)
const go = (path: string) => router.push(`/plan/${workspace.id}/${stageOfPath(path)}`)
</script>

<template>
  <div class="plate p-3" data-before-cut :data-outcome="data?.outcome">
    <p v-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <template v-if="data">
      <p class="flex items-center gap-2 text-lg leading-tight font-bold">
        <OutcomeMark :outcome="data.outcome" :size="24" />{{ say(data.says) }}
      </p>
      <ul class="divide-rule mt-2 divide-y">
        <li v-for="(f, i) in [...data.open, ...data.tight]" :key="i" class="flex items-start gap-2 py-2">
          <OutcomeMark :outcome="f.outcome" class="mt-0.5" />
          <span class="min-w-0 flex-1"
            >{{ say(f.says) }}
            <span v-if="outing(f.scope.outing)" class="text-soft">· {{ outing(f.scope.outing) }}</span>
            <template v-if="f.outcome === 'unknown' && f.needs?.length">
              <span class="text-soft block text-sm">{{ say(f.needs[0]!.where) }}</span>
            </template>
          </span>
          <button
            v-if="f.outcome === 'unknown' && f.needs?.length && !here(f.needs[0]!.path)"
            class="act"
            @click="go(f.needs[0]!.path)"
          >
            Go there
          </button>
        </li>
      </ul>
      <div class="mt-3 grid grid-cols-1 gap-x-4 gap-y-3 sm:grid-cols-2">
        <PlanFields :base="base" :fields="fields" />
      </div>
      <SwitchField
        class="mt-3"
        :label="`I have asked what approval frame and ${term('coupling')} bar need`"
        :value="!!workspace.get(asked)"
        @set="workspace.setAt(asked, $event || undefined, 'asked about approval')"
      />
    </template>
    <p v-else-if="!failure" class="text-soft">Looking through all outings…</p>
  </div>
</template>
