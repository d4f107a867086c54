<script setup lang="ts">
// The plan meets the scale: what each would read, what it read, and what that
// says of the guesses.
import { computed } from 'vue'
import { api } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import PlanQuantity from '@/fields/PlanQuantity.vue'
import QuantityField from '@/fields/QuantityField.vue'
import type { Op, Scales } from '@/generated/types'
import { useStudy } from '@/stores/study'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { say, measure, nominal, term } = useWords()
const { data, failure } = useStudy<Scales>(
  (asked) => api.scales(asked),
  () => [workspace.outing, workspace.trailer],
  false,
)
const base = computed(() => `/outings/${workspace.outing}/layouts/${workspace.trailer}/readings`)
const rows = computed(() => {
  const order = ['ball', 'axle', 'whole', 'left', 'right']
  const all = [...(data.value?.rows ?? []), ...(data.value?.expect ?? [])]
  return order.flatMap((w) => all.filter((r) => r.what === w))
})
const valueOf = (id: string) => workspace.get(`${base.value}/${id}/mass`) as number | undefined

/** A plank with one end on a block shares a load that is too much for the scale. */
const plank = (id: string) => workspace.get(`${base.value}/${id}/plank`)
const onPlank = (id: string) =>
  workspace.setAt(`${base.value}/${id}/plank`, plank(id) ? undefined : { span: 1.5, to: 0.5 }, 'plank')

/** A reading belongs to the load as it stands when it is typed. */
function stood() {
  const l = workspace.plan?.outings[workspace.outing]?.layouts[workspace.trailer]
  return { axleAt: l?.axleAt, parts: l?.parts, placements: l?.placements ?? {} }
}

function typed(what: string, id: string | undefined, mass: number) {
  const key = id ?? what
  const was = workspace.get(`${base.value}/${key}`) as Record<string, unknown> | undefined
  workspace.setAt(
    `${base.value}/${key}`,
    JSON.parse(
      JSON.stringify({
        order: rows.value.findIndex((r) => r.what === what) + 1,
        what,
        stood: stood(),
        ...was,
        mass,
      }),
    ),
    'reading',
    `type-${base.value}/${key}`,
  )
}
</script>

<template>
  <div class="plate shrink-0 p-3" data-scales :data-outcome="data?.outcome">
    <h2 class="text-lg font-bold">On the scale</h2>
    <p v-if="failure" class="text-fails">{{ failure }}</p>
    <template v-if="data">
      <p class="mt-0.5 flex items-start gap-2 leading-snug">
        <OutcomeMark v-if="data.rows.length" :outcome="data.outcome" class="mt-0.5" />{{ say(data.says) }}
      </p>
      <p v-if="data.moved" class="text-tight font-semibold">
        Something was moved since: this is about the load as it stood then.
      </p>
      <p v-if="data.settles" class="font-semibold">{{ say(data.settles) }}</p>
      <ul class="mt-2 grid gap-2 md:grid-cols-2">
        <li
          v-for="r in rows"
          :key="r.what"
          class="grid grid-cols-[minmax(0,1fr)_7rem] items-end gap-2"
          :data-scale="r.what"
        >
          <QuantityField
            :label="say(r.name)"
            kind="mass"
            :value="valueOf(r.id ?? r.what)"
            :path="`${base}/${r.id ?? r.what}/mass`"
            :hint="`expect ${nominal(r.expect)}`"
            @typed="typed(r.what, r.id, $event.value)"
            @cleared="workspace.setAt(`${base}/${r.id ?? r.what}`, undefined, 'reading')"
          />
          <PlanQuantity
            v-if="r.read"
            :path="`${base}/${r.id ?? r.what}/plusMinus`"
            label="within ±"
            kind="mass"
            hint="2 %"
          />
          <p class="text-soft col-span-2 text-sm">Expected before: {{ measure(r.expect) }}</p>
          <div v-if="r.what === 'ball' && r.read" class="col-span-2 grid grid-cols-2 items-end gap-2">
            <template v-if="plank(r.id ?? r.what)">
              <PlanQuantity
                :path="`${base}/${r.id ?? r.what}/plank/span`"
                label="Plank: block to scale"
                kind="length"
              />
              <PlanQuantity
                :path="`${base}/${r.id ?? r.what}/plank/to`"
                :label="`block to ${term('coupling')}`"
                kind="length"
              />
              <p class="col-span-2 text-sm">On the ball: {{ measure(r.read) }}</p>
            </template>
            <button class="act col-span-2 justify-self-start" @click="onPlank(r.id ?? r.what)">
              {{ plank(r.id ?? r.what) ? 'Straight on the scale' : 'It stood on a plank' }}
            </button>
          </div>
        </li>
      </ul>
      <template v-if="data.guesses.length">
        <table class="mt-3 w-full max-w-2xl text-sm">
          <thead>
            <tr class="text-soft text-left">
              <th class="font-normal">Guess</th>
              <th class="font-normal">before</th>
              <th class="font-normal">what agrees</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="g in data.guesses" :key="g.path" class="border-rule border-t">
              <th scope="row" class="py-1 pr-2 text-left">{{ g.name }}</th>
              <td class="pr-2">{{ measure(g.before) }}</td>
              <td>{{ measure(g.after) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="data.after" class="mt-1">
          Share on the ball: {{ measure(data.before) }}, with the readings <b>{{ measure(data.after) }}</b>.
        </p>
      </template>
      <div v-if="data.fix || data.suspects.length" class="no-print mt-2 grid gap-1.5">
        <div
          v-for="(v, i) in [...(data.fix ? [data.fix] : []), ...data.suspects]"
          :key="i"
          class="flex items-center justify-between gap-2"
        >
          <span class="first-letter:uppercase">{{ say(v.name) }}</span>
          <button
            class="act !border-deep !text-deep shrink-0 whitespace-nowrap"
            @click="workspace.edit(v.patch as Op[], say(v.name))"
          >
            Do it
          </button>
        </div>
      </div>
      <p class="text-soft mt-2 text-sm">
        Level, chocked, on firm ground; the scale under the {{ term('coupling') }}, not under the
        {{ term('jockey wheel') }}. A reading belongs to the load as it stands when you type it.
      </p>
    </template>
  </div>
</template>
