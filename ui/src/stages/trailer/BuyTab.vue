<script setup lang="ts">
// Before money is spent: what fails, what is not known and where to look, and
// the same with a bit more to carry.
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import type { Buying } from '@/generated/types'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { stageOfPath } from '@/fields/tables'
import { outcomeWord, useWords } from '@/words'

const props = defineProps<{ id: string }>()
const workspace = useWorkspace()
const router = useRouter()
const { say, term } = useWords()
const { data, failure } = useStudy<Buying>(
  (asked) => api.buy(asked),
  () => workspace.trailer,
)
const fails = computed(() => data.value?.open.filter((f) => f.outcome === 'fails') ?? [])
const unknown = computed(() => data.value?.open.filter((f) => f.outcome === 'unknown') ?? [])
const outing = (id: string | undefined) => workspace.plan?.outings[id ?? '']?.name
const go = (path: string) => router.push(`/plan/${props.id}/${stageOfPath(path)}`)
</script>

<template>
  <div class="plate p-3" data-buy :data-outcome="data?.outcome">
    <p v-if="failure" class="text-fails">{{ failure }}</p>
    <p v-if="data" class="flex items-center gap-2 text-xl leading-tight font-bold">
      <OutcomeMark :outcome="data.outcome" :size="28" />{{ say(data.says) }}
    </p>
    <ul v-if="data?.moved.length" class="text-soft mt-2 text-sm" data-moved>
      <li v-for="m in data.moved" :key="m.id">
        {{ outing(m.id) ?? 'Outing' }}, {{ say(m.name) }}, so that the {{ term('ball load') }} is right.
      </li>
    </ul>
    <template v-if="fails.length">
      <h2 class="mt-4 text-lg font-bold">Reasons against it</h2>
      <ul>
        <li
          v-for="(f, i) in fails"
          :key="i"
          class="border-rule flex items-start gap-2 border-t py-2 first:border-t-0"
        >
          <OutcomeMark outcome="fails" class="mt-0.5" />
          <span
            >{{ say(f.says) }}
            <span v-if="outing(f.scope.outing)" class="text-soft">· {{ outing(f.scope.outing) }}</span></span
          >
        </li>
      </ul>
    </template>
    <template v-if="unknown.length">
      <h2 class="mt-4 text-lg font-bold">Find out at the seller’s</h2>
      <ul>
        <li
          v-for="(f, i) in unknown"
          :key="i"
          class="border-rule flex items-start gap-2 border-t py-2 first:border-t-0"
        >
          <OutcomeMark outcome="unknown" class="mt-0.5" />
          <span class="flex-1">
            <template v-if="f.needs?.length">
              <b class="block first-letter:uppercase">{{ say(f.needs[0]!.says) }}</b>
              <span class="text-soft">{{ say(f.needs[0]!.where) }}</span>
            </template>
            <template v-else>{{ say(f.says) }}</template>
          </span>
          <button v-if="f.needs?.length" class="act no-print" @click="go(f.needs[0]!.path)">Fill in</button>
        </li>
      </ul>
    </template>
    <p v-if="data && !data.open.length" class="text-soft mt-2">
      Nothing is open. Papers, plates and your local code still come before anything said here.
    </p>
  </div>
  <div v-if="data?.growth.length" class="plate p-3">
    <h2 class="text-lg font-bold">If it grows</h2>
    <p class="text-soft text-sm">The same trailer with a bit more to carry, the load slid again.</p>
    <ul class="mt-1">
      <li
        v-for="(g, i) in data.growth"
        :key="i"
        class="border-rule flex items-start gap-2 border-t py-2 first:border-t-0"
        data-growth
      >
        <OutcomeMark :outcome="g.outcome" class="mt-0.5" />
        <span
          ><b class="inline-block first-letter:uppercase">{{ say(g.name) }}</b
          >: {{ outcomeWord[g.outcome] }}.
          <span class="text-soft">{{ say(g.says) }} · {{ outing(g.outing) }}</span></span
        >
      </li>
    </ul>
  </div>
</template>
