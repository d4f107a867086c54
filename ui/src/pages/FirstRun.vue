<script setup lang="ts">
// A new plan: one thing a page, each may be skipped. At most twelve fields lead
// to a payload verdict, a chain verdict and a ball verdict.
import { PlusIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { useTitle, watchDebounced } from '@vueuse/core'
import { computed, provide, reactive, ref, shallowRef, useId } from 'vue'
import { useRouter } from 'vue-router'
import { api, ApiError } from '@/api'
import OutcomeMark from '@/checks/OutcomeMark.vue'
import ChoiceField from '@/fields/ChoiceField.vue'
import LikeField from '@/fields/LikeField.vue'
import NameField from '@/fields/NameField.vue'
import QuantityField from '@/fields/QuantityField.vue'
import type { FirstAnswers, FirstLoad, FirstPlan, Report } from '@/generated/types'
import BrandMark from '@/parts/BrandMark.vue'
import RigSketch from '@/parts/RigSketch.vue'
import { bulkOf, capital } from '@/kinds'
import { print as printed, type Kind, type Locale, type Typed } from '@/quantities'
import { sentence, term, worded } from '@/said'
import { uuid } from '@/stores/patch'
import { useReference } from '@/stores/reference'
import { localeKey } from '@/words'

useTitle('New plan · Zygonos')
const router = useRouter()
const reference = useReference()
const rules = computed(() => reference.data?.ruleSets ?? [])

const a = reactive<FirstAnswers>({
  region: 'uk',
  units: 'metric',
  loads: [{ name: '', count: 1 }],
  counts: 'unsure',
  brakes: '',
})
const locale = computed<Locale>(() => ({ units: a.units, region: a.region }))
provide(localeKey, locale)
const word = (key: string) => term(reference.data?.terms ?? {}, key, a.region)

const print = (k: Kind, v: number) => printed(locale.value, k, v)
const kinds = computed(() => [
  { value: '', name: 'not sure', more: 'Its empty weight is guessed from the deck’s length.' },
  ...(reference.data?.trailers ?? []).map((t) => ({
    value: t.id,
    name: t.name,
    more: `empty ${print('mass', t.low)} to ${print('mass', t.high)}`,
  })),
])
const kindOf = (l: FirstLoad) => reference.data?.loads.find((k) => k.id === l.kind)
/** What was typed behind the weight, as it is kept. */
const doubtOf = (l: FirstLoad) =>
  l.plusMinus !== undefined
    ? `±\u00a0${print('mass', l.plusMinus)}`
    : l.relative !== undefined && `±\u00a0${print('share', l.relative)}`
const typical = (l: FirstLoad) => {
  const k = kindOf(l)
  return k && `${print('mass', k.low)} to ${print('mass', k.high)}`
}

const steps = computed(() => [
  { mark: 'none', title: 'Where do you tow?' },
  { mark: 'load', title: 'What do you carry?' },
  { mark: 'plate', title: 'What does the trailer’s label say?' },
  { mark: 'axle', title: 'Tape four lengths' },
  { mark: 'car', title: 'What may the car tow?' },
  { mark: 'scale', title: `The empty trailer’s ${word('ball load')}` },
])
const step = ref(0)
const nameId = useId()
const mark = ref('')
const failure = ref('')
const made = shallowRef<FirstPlan>()
const report = computed(() => made.value?.report)
/** The answers, with the material that a heap's name says. */
const answers = computed<FirstAnswers>(() => ({
  ...a,
  loads: a.loads.map((l) =>
    l.kind === 'heap'
      ? { ...l, material: bulkOf(l.name, true, reference.data?.materials ?? []).material }
      : l,
  ),
}))

let asked = 0
watchDebounced(
  answers,
  async (told) => {
    if (step.value === 0) return
    const mine = ++asked
    const got = await api.first(told).catch(() => undefined)
    if (mine === asked) made.value = got // a later answer is not overtaken
  },
  { debounce: 120 },
)

const say = (s: Report['headline']['says']) => sentence(reference.data?.terms ?? {}, locale.value, s)
const verdicts = computed(() => {
  const f = (code: string) => report.value?.findings.find((x) => x.code === code)
  return [
    { name: 'Payload', finding: f('towing.link.gross') },
    { name: 'Car', finding: f('towing.link.tow') },
    { name: word('Ball load'), finding: f('balance.ball-window') },
  ]
})

function choose(region: string) {
  a.region = region
  a.units = region === 'na' ? 'imperial' : 'metric'
}

function weighed(l: FirstLoad, t: Typed) {
  l.weight = t.value
  l.plusMinus = t.plusMinus
  l.relative = t.relative
}

let going = false // a second press waits for the first
async function next() {
  if (going) return
  going = true
  await on().finally(() => (going = false))
}

async function on() {
  mark.value = ''
  failure.value = ''
  const last = step.value === steps.value.length - 1
  try {
    asked++
    const { plan } = (made.value = await api.first(answers.value))
    if (last) await keep(plan)
  } catch (e) {
    // answers that make no plan are said here; a server that is away only where it is needed
    if (last || (e instanceof ApiError && e.status === 422)) {
      failure.value = e instanceof Error ? e.message : String(e)
      return
    }
  }
  if (!last) step.value++
}

async function keep(plan: FirstPlan['plan']) {
  const id = uuid()
  await api.create(id, { saveId: uuid(), sitting: '', plan })
  await router.push(`/plan/${id}/balance`)
}
</script>

<template>
  <div class="mx-auto flex min-h-full max-w-5xl flex-col p-4 md:p-8">
    <header class="flex items-center justify-between">
      <BrandMark>Zygonos</BrandMark>
      <span class="text-soft text-sm">Page {{ step + 1 }} of {{ steps.length }}</span>
    </header>
    <main class="mt-4 grid flex-1 content-start gap-5 md:grid-cols-[1fr_300px]">
      <form class="plate p-5" :data-step="step" @submit.prevent="next">
        <h1 class="text-2xl font-bold">{{ steps[step]!.title }}</h1>
        <RigSketch v-if="steps[step]!.mark !== 'none'" class="my-3" :mark="mark || steps[step]!.mark" />

        <div v-if="step === 0" class="mt-4 grid gap-4">
          <fieldset>
            <legend class="text-soft text-sm">Rules and words to follow</legend>
            <div class="mt-1 flex flex-wrap gap-2">
              <button
                v-for="r in rules"
                :key="r.region"
                type="button"
                class="act min-h-11"
                :class="{ '!bg-deep !text-deep-ink': a.region === r.region }"
                :aria-pressed="a.region === r.region"
                @click="choose(r.region)"
              >
                {{ r.name }}
              </button>
            </div>
          </fieldset>
          <fieldset>
            <legend class="text-soft text-sm">Units</legend>
            <div class="mt-1 flex gap-2">
              <button
                v-for="u in [
                  ['metric', 'kg and mm'],
                  ['imperial', 'lb, feet and inches'],
                ]"
                :key="u[0]"
                type="button"
                class="act min-h-11"
                :class="{ '!bg-deep !text-deep-ink': a.units === u[0] }"
                :aria-pressed="a.units === u[0]"
                @click="a.units = u[0]!"
              >
                {{ u[1] }}
              </button>
            </div>
          </fieldset>
        </div>
        <div v-else-if="step === 1" class="grid gap-4">
          <fieldset
            v-for="(l, i) in a.loads"
            :key="i"
            class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-3 sm:grid-cols-[minmax(0,2fr)_minmax(0,1fr)_minmax(0,1fr)]"
            :data-load="i"
          >
            <legend class="sr-only">{{ l.name || `Load ${i + 1}` }}</legend>
            <NameField
              class="col-span-2 sm:col-span-1"
              label="Name"
              :name="l.name"
              hint="Two kayaks, mower, gravel…"
              @named="l.name = $event"
              @taken="(kind, name) => Object.assign(l, { kind: kind.id, name })"
            />
            <QuantityField
              label="How many"
              kind="count"
              :value="l.count"
              @typed="l.count = Math.max(1, Math.round($event.value))"
              @cleared="l.count = 1"
            />
            <QuantityField
              label="Weight of each"
              kind="mass"
              with-doubt
              :value="l.weight"
              :hint="kindOf(l) && typical(l)"
              @typed="weighed(l, $event)"
              @cleared="l.weight = undefined"
            />
            <p v-if="doubtOf(l)" class="text-soft col-span-full -mt-2 text-sm" data-doubt>
              Each {{ doubtOf(l) }}.
            </p>
            <div
              v-if="kindOf(l) || l.name.trim() || a.loads.length > 1"
              class="col-span-full flex flex-wrap items-end gap-2"
            >
              <p v-if="kindOf(l)" class="mr-auto" data-kind>
                <b>{{ capital(kindOf(l)!.name) }}</b>
                <span class="text-soft">
                  · typical {{ print('length', kindOf(l)!.length) }} long,
                  {{ print('length', kindOf(l)!.width) }} wide<template v-if="l.count > 1 && kindOf(l)!.pack"
                    >; all {{ l.count }} are one load</template
                  >
                </span>
                <button
                  type="button"
                  class="text-deep ml-2 min-h-8 text-sm underline"
                  @click="l.kind = undefined"
                >
                  Not this
                </button>
                <span v-if="kindOf(l)!.note" class="mt-1 block">{{
                  worded(reference.data?.terms ?? {}, a.region, kindOf(l)!.note!)
                }}</span>
              </p>
              <LikeField
                v-else-if="l.name.trim()"
                class="mr-auto w-64"
                :value="l.kind"
                @chosen="l.kind = $event"
              />
              <button
                v-if="a.loads.length > 1"
                type="button"
                class="act ml-auto"
                :aria-label="`Take out ${l.name || 'this load'}`"
                @click="a.loads.splice(i, 1)"
              >
                <TrashIcon class="size-5" />
              </button>
            </div>
          </fieldset>
          <button
            v-if="a.loads.length < 8"
            type="button"
            class="act justify-self-start"
            @click="a.loads.push({ name: '', count: 1 })"
          >
            <PlusIcon class="size-5" />Add something else
          </button>
        </div>
        <div v-else-if="step === 2" class="grid gap-3 sm:grid-cols-2">
          <QuantityField
            label="The label’s number"
            kind="mass"
            :value="a.label"
            @typed="a.label = $event.value"
            @cleared="a.label = undefined"
          />
          <ChoiceField
            label="This number is"
            :value="a.counts"
            :options="[
              { value: 'unsure', name: 'Not sure', more: 'Both ways are worked out.' },
              {
                value: 'gross',
                name: 'Trailer and load together',
                more: `The ${word('gross')}: on the plate.`,
              },
              { value: 'payload', name: 'The load alone', more: 'Shop labels often mean this.' },
            ]"
            @chosen="a.counts = $event"
          />
          <ChoiceField
            class="sm:col-span-2"
            label="Kind of trailer"
            :value="a.kind ?? ''"
            :options="kinds"
            @chosen="a.kind = $event || undefined"
          />
        </div>
        <div
          v-else-if="step === 3"
          class="grid gap-3 sm:grid-cols-2"
          @focusin="
            mark = ($event.target as HTMLElement).closest<HTMLElement>('[data-mark]')?.dataset.mark ?? ''
          "
        >
          <QuantityField
            data-mark="axle"
            :label="`${word('Coupling')} to axle`"
            kind="length"
            :value="a.axle"
            @typed="a.axle = $event.value"
            @cleared="a.axle = undefined"
          />
          <QuantityField
            data-mark="front"
            :label="`${word('Coupling')} to deck front`"
            kind="length"
            :value="a.front"
            @typed="a.front = $event.value"
            @cleared="a.front = undefined"
          />
          <QuantityField
            data-mark="deck"
            label="Deck length"
            kind="length"
            :value="a.deck"
            @typed="a.deck = $event.value"
            @cleared="a.deck = undefined"
          />
          <QuantityField
            data-mark="width"
            label="Deck width"
            kind="length"
            :value="a.width"
            @typed="a.width = $event.value"
            @cleared="a.width = undefined"
          />
        </div>
        <div v-else-if="step === 4" class="grid gap-3 sm:grid-cols-2">
          <QuantityField
            :label="word('Tow rating')"
            kind="mass"
            :value="a.tow"
            @typed="a.tow = $event.value"
            @cleared="a.tow = undefined"
          />
          <QuantityField
            :label="`${word('Ball load')} limit`"
            kind="mass"
            :value="a.ball"
            @typed="a.ball = $event.value"
            @cleared="a.ball = undefined"
          />
          <ChoiceField
            label="Brakes on your trailer"
            :value="a.brakes"
            :options="[
              { value: '', name: 'not sure' },
              { value: 'fitted', name: 'with brakes' },
              { value: 'none', name: 'without brakes' },
            ]"
            @chosen="a.brakes = $event"
          />
          <p class="text-soft self-end text-sm">
            Handbook, papers or the {{ word('tow bar') }}’s plate: they give one figure with brakes and a
            lower one without.
          </p>
        </div>
        <div v-else class="grid gap-3">
          <QuantityField
            label="The scale reads"
            kind="mass"
            :value="a.scale"
            @typed="a.scale = $event.value"
            @cleared="a.scale = undefined"
          />
          <p class="text-soft text-sm">
            Trailer empty, level and chocked; bathroom scale under the {{ word('coupling') }} itself, not
            under the {{ word('jockey wheel') }}. Keep feet and hands from under it.
          </p>
          <div class="border-rule mt-2 border-t pt-3">
            <label :for="nameId" class="text-soft mb-0.5 block text-sm">Name of the plan</label>
            <input :id="nameId" v-model="a.name" class="box" maxlength="200" :placeholder="made?.plan.name" />
          </div>
        </div>

        <p v-if="failure" class="text-fails mt-3" role="alert">{{ failure }}</p>
        <div class="mt-6 flex flex-wrap gap-2">
          <button v-if="step > 0" type="button" class="act min-h-11" @click="step--">Back</button>
          <button class="act-main">{{ step === steps.length - 1 ? 'Show the rig' : 'Next' }}</button>
          <button v-if="step > 0" type="button" class="act min-h-11 border-transparent" @click="next">
            I do not know: skip
          </button>
        </div>
      </form>
      <aside class="self-start" aria-label="So far" aria-live="polite">
        <section v-if="report?.questions.length" class="plate border-l-unknown mb-3 border-l-4 p-3">
          <h2 class="font-bold">Is this meant?</h2>
          <p v-for="q in report.questions" :key="q.code + q.path" class="mt-1 leading-snug" data-question>
            {{ say(q.says) }}
          </p>
        </section>
        <h2 class="font-bold">So far</h2>
        <ul class="mt-2 space-y-2">
          <li
            v-for="v in verdicts"
            :key="v.name"
            class="plate p-3"
            :data-verdict="v.name"
            :data-outcome="v.finding?.outcome ?? 'unknown'"
          >
            <div class="flex items-center justify-between gap-2">
              <b>{{ v.name }}</b><OutcomeMark :outcome="v.finding?.outcome ?? 'unknown'" word />
            </div>
            <p v-if="v.finding && step > 1" class="text-soft mt-1 text-sm leading-snug">
              {{ say(v.finding.says) }}
            </p>
          </li>
        </ul>
      </aside>
    </main>
  </div>
</template>
