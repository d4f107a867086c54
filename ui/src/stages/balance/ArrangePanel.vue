<script setup lang="ts">
// The core places the loads: up to three arrangements with what each trades.
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import type { Arranged, Arrangement, Fix, Plan } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, nominal } = useWords()
const found = shallowRef<Arranged>()
const foundFor = shallowRef<Plan>() // the plan that it belongs to
const places = ref(0)
const failure = ref('')
const running = shallowRef<AbortController>()

async function arrange() {
  if (!workspace.plan) return
  const controller = new AbortController()
  running.value = controller
  found.value = undefined
  failure.value = ''
  places.value = 0
  const plan = workspace.plan
  try {
    const asked = { plan, outing: workspace.outing, trailer: workspace.trailer }
    found.value = await api.arrange(asked, controller.signal, (n) => (places.value = n))
    foundFor.value = plan
  } catch (e) {
    if (!controller.signal.aborted) failure.value = e instanceof Error ? e.message : String(e)
  } finally {
    if (running.value === controller) running.value = undefined
  }
}
function stop() {
  running.value?.abort()
  running.value = undefined
}
onScopeDispose(stop)
watch(() => [workspace.outing, workspace.trailer], stop)
watch(
  () => [workspace.outing, workspace.trailer],
  () => (found.value = undefined),
)

/** An arrangement is offered as a fix is: previewed, applied, undone. */
const options = computed(() =>
  (found.value?.options ?? []).map((o) => ({ ...o, fix: o as unknown as Fix & Arrangement })),
)
const stale = computed(() => foundFor.value !== workspace.plan)
const titles: Record<string, string> = { calm: 'Calmest', even: 'Most even', near: 'Least to shift' }
const previewed = (o: Fix) => workspace.preview?.fix === o
const rows = computed(() => options.value[0]?.figures.map((f) => say(f.name)) ?? [])
const figure = (o: Arrangement, name: string) => o.figures.find((f) => say(f.name) === name)
const worse = (name: string) => options.value.map((o) => figure(o, name)?.was).find(Boolean)
</script>

<template>
  <div class="plate shrink-0 p-3" data-arrange :data-outcome="found?.outcome">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1">
      <h2 class="mr-auto text-lg font-bold">Arrange for me</h2>
      <button v-if="running" class="act" @click="stop">Stop</button>
      <button v-else class="act-main" @click="arrange">Place the loads</button>
    </div>
    <p v-if="running" class="mt-1" role="status">Looking… {{ places.toLocaleString('en') }} places so far.</p>
    <p v-else-if="failure" class="text-fails" role="alert">{{ failure }}</p>
    <p v-else-if="!found" class="text-soft text-sm">
      Moves every load that is not pinned: {{ say([{ term: 'ball load' }]) }} in its window, wheels even,
      weight close to the middle.
    </p>
    <template v-if="found">
      <p class="mt-1 flex items-start gap-2 leading-snug">
        <OutcomeMark :outcome="found.outcome" class="mt-0.5" />{{ say(found.says) }}
      </p>
      <p v-if="stale && options.length" class="text-tight text-sm font-semibold">
        Something was changed since: place them anew.
      </p>
      <div
        v-if="options.length"
        class="mt-2 overflow-x-auto"
        tabindex="0"
        role="region"
        aria-label="Arrangements"
      >
        <table class="w-full text-sm">
          <thead>
            <tr class="text-left align-bottom">
              <th class="text-soft font-normal"><span class="sr-only">Figure</span></th>
              <th class="text-soft px-2 text-right font-normal">now</th>
              <th v-for="o in options" :key="o.kind" class="px-2 text-right">
                <OutcomeMark :outcome="o.outcome" :size="14" class="mr-1 inline-block" />{{ titles[o.kind] }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="name in rows" :key="name" class="border-rule border-t">
              <th scope="row" class="py-1 pr-2 text-left font-semibold">{{ name }}</th>
              <td class="text-soft px-2 text-right">{{ worse(name) ? nominal(worse(name)) : '' }}</td>
              <td v-for="o in options" :key="o.kind" class="px-2 text-right">
                {{ nominal(figure(o, name)?.then) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <ul class="no-print mt-2 grid gap-1.5">
        <li
          v-for="o in options"
          :key="o.kind"
          class="border-rule flex flex-wrap items-center gap-2 border-t pt-1.5"
        >
          <p class="min-w-48 flex-1 leading-snug">
            <b>{{ titles[o.kind] }}.</b> {{ say(o.says) }}
          </p>
          <button
            class="act"
            :disabled="stale"
            :aria-pressed="previewed(o.fix)"
            @click="previewed(o.fix) ? workspace.hide() : workspace.show(o.fix)"
          >
            {{ previewed(o.fix) ? 'Back' : 'Preview' }}
          </button>
          <button
            class="act !border-deep !text-deep"
            :disabled="stale"
            @click="workspace.apply(o.fix, say(o.name))"
          >
            Do it
          </button>
        </li>
      </ul>
    </template>
  </div>
</template>
