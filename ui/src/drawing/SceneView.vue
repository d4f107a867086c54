<script setup lang="ts">
// One drawing to scale. Things with handles are taken by pointer or arrow keys;
// moving one writes a patch at the handle's path.
import { computed, ref, shallowRef, useTemplateRef } from 'vue'
import type { Fix, Handle, Op, Shape, Target, View } from '@/generated/types'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'
import './drawing.css'
import { fitted, layOut } from './labels'
import SceneShape from './SceneShape.vue'

const props = defineProps<{ view: View; scale: number; others?: Shape[]; weak?: string[] }>()
const workspace = useWorkspace()
const { say, print } = useWords()

const width = computed(() => props.view.max[0] - props.view.min[0])
const height = computed(() => props.view.max[1] - props.view.min[1])

/** Texts lie over all else. */
const texts = computed(() => props.view.shapes.filter((s) => s.form === 'text'))
/** Where texts go that would run over each other. */
const shifts = computed(() =>
  layOut(props.view, props.scale, (s) => fitted(say(s.says), s.room, props.scale)),
)

interface Group {
  thing: string
  shapes: Shape[]
  handles: Handle[]
}

/** Runs of shapes of one thing, in drawing order; each thing has one run. */
const groups = computed<Group[]>(() => {
  const out: Group[] = []
  const byThing = new Map<string, Group>()
  for (const shape of props.view.shapes) {
    const thing = shape.thing ?? ''
    let group = thing ? byThing.get(thing) : out.at(-1)
    if (!group || group.thing !== thing) {
      group = {
        thing,
        shapes: [],
        handles: (props.view.handles ?? []).filter((h) => thing !== '' && h.thing === thing),
      }
      out.push(group)
      if (thing) byThing.set(thing, group)
    }
    if (shape.form !== 'text') group.shapes.push(shape)
  }
  return out
})

/** Where the loads stood in the arrangement that was kept. */
const before = computed(() => {
  const kept = workspace.kept
  if (!kept || kept.plan === workspace.plan || kept.report.scope.outing !== workspace.outing) return []
  const was = kept.report.views.find((v) => v.id === props.view.id)
  return (was?.shapes ?? []).filter((s) => s.form === 'polygon' && s.class.startsWith('load'))
})

const held = ref('')
const ghost = ref<Shape[]>([]) // where the thing stood when it was taken
/** Where the thing in hand may stand: shaded along what carries it. */
const zone = computed(() => {
  const g = groups.value.find((g) => g.thing && g.thing === workspace.selected)
  return g?.handles.find((h) => h.zone)?.zone
})
const level = computed(() => {
  const z = zone.value
  if (!z) return { y: 0, height: 0 }
  return props.view.id === 'side'
    ? { y: z.level, height: 0.07 }
    : { y: props.view.min[1], height: props.view.max[1] - props.view.min[1] }
})
/** The box over which the thing in hand would be let go. */
const over = shallowRef<Target>()
const svg = useTemplateRef<SVGSVGElement>('svg')
function targetUnder(e: PointerEvent): Target | undefined {
  const frame = svg.value?.getBoundingClientRect()
  if (!frame) return
  const u = props.view.min[0] + (e.clientX - frame.left) / props.scale
  const v = props.view.min[1] + (e.clientY - frame.top) / props.scale
  return (drag?.targets ?? []).find(
    (t) => t.thing === held.value && u > t.min[0] && u < t.max[0] && v > t.min[1] && v < t.max[1],
  )
}

/** Whether a thing may be let go elsewhere. */
const moves = (thing: string) => !!thing && !!props.view.targets?.some((t) => t.thing === thing)

let gesture = 0
interface Drag {
  handles: Handle[]
  at: number[]
  targets: Target[] // as they were when it was taken: a preview moves them
  x: number
  y: number
  moved: boolean
}
let drag: Drag | undefined

function snap(h: Handle, v: number): number {
  const near = 7 / props.scale
  const clamped = Math.min(Math.max(v, h.min), h.max)
  let best = Math.round(clamped / h.step) * h.step
  let gap = near
  for (const s of [...(h.snaps ?? []), ...(props.view.marks?.[h.marks ?? ''] ?? [])]) {
    if (s >= h.min - 1e-9 && s <= h.max + 1e-9 && Math.abs(s - clamped) < gap) {
      best = s
      gap = Math.abs(s - clamped)
    }
  }
  return Math.round(Math.min(Math.max(best, h.min), h.max) * 1e4) / 1e4
}

function grab(e: PointerEvent, g: Group) {
  if (e.button !== 0 || workspace.preview) return
  if (!g.handles.length && !moves(g.thing)) return
  ;(e.currentTarget as Element).setPointerCapture(e.pointerId)
  gesture++
  workspace.selected = g.thing
  held.value = g.thing
  ghost.value = g.shapes.filter((s) => s.form === 'polygon')
  const targets = props.view.targets ?? []
  drag = {
    handles: g.handles,
    at: g.handles.map((h) => h.at),
    targets,
    x: e.clientX,
    y: e.clientY,
    moved: false,
  }
}

function move(e: PointerEvent) {
  if (!drag) return
  const u = (e.clientX - drag.x) / props.scale
  const v = (e.clientY - drag.y) / props.scale
  if (!drag.moved && Math.hypot(e.clientX - drag.x, e.clientY - drag.y) < 3) return
  drag.moved = true
  const was = over.value
  over.value = targetUnder(e)
  if (over.value !== was) tryStrap(over.value)
  if (over.value) return
  follow(drag.handles.map((h, i) => snap(h, drag!.at[i]! + u * h.direction[0] + v * h.direction[1])))
}

/** Where the thing in hand is wanted, by the path of each handle: ahead of the report. */
const wanted = ref(new Map<string, number>())

/** Brings the thing in hand to values of its handles, as one change; none where nothing moved. */
function follow(to: number[]) {
  const handles = drag!.handles
  const values = handles
    .map((h, i) => ({ path: h.path, value: to[i]! }))
    .filter((x, i) => x.value !== (wanted.value.get(x.path) ?? handles[i]!.at))
  if (!values.length) return
  wanted.value = new Map(handles.map((h, i) => [h.path, to[i]!]))
  workspace.setAll(values, `move ${say(handles[0]!.label)}`, `drag-${props.view.id}-${gesture}`)
}

/** How far the thing in hand stands from where the report has it. */
function ahead(g: Group): string | undefined {
  if (held.value !== g.thing || !wanted.value.size) return undefined
  let [u, v] = [0, 0]
  for (const h of g.handles) {
    const by = (wanted.value.get(h.path) ?? h.at) - h.at
    u += by * h.direction[0]
    v += by * h.direction[1]
  }
  return u || v ? `translate(${u} ${v})` : undefined
}

const opsOf = (t: Target): Op[] => t.moves.map((m) => ({ op: 'replace', path: m.path, value: m.to }))

/** A strap's end is tried where it is held, so that its load's bars follow; it is hooked when let go. */
function tryStrap(t: Target | undefined) {
  if (!held.value.includes('/lashings/')) return
  if (t) workspace.show({ name: t.label, patch: opsOf(t) } as Fix)
  else workspace.hide()
}

function release() {
  const target = over.value
  if (target) tryStrap(undefined)
  if (drag && target) {
    follow(drag.at)
    workspace.edit(opsOf(target), `move to ${say(target.label)}`)
  }
  over.value = undefined
  ghost.value = []
  drag = undefined
  held.value = ''
  wanted.value = new Map()
}

const keys: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

let lastKey = 0

function press(e: KeyboardEvent, g: Group) {
  const way = keys[e.key]
  if (!way || workspace.preview) return
  const toward = (h: Handle) => h.direction[0] * way[0] + h.direction[1] * way[1]
  const moved = g.handles.filter((h) => toward(h) !== 0)
  if (!moved.length) return
  e.preventDefault()
  if (e.timeStamp - lastKey > 1000) gesture++
  lastKey = e.timeStamp
  workspace.selected = g.thing
  const values = moved.map((h) => {
    const now = (workspace.get(h.path) as number | undefined) ?? h.at
    const next = Math.min(Math.max(now + toward(h) * (e.shiftKey ? h.coarse : h.step), h.min), h.max)
    return { path: h.path, value: Math.round(next * 1e4) / 1e4 }
  })
  workspace.setAll(values, `move ${say(moved[0]!.label)}`, `keys-${moved[0]!.path}-${gesture}`)
}
</script>

<template>
  <svg
    ref="svg"
    class="drawing"
    :data-view="view.id"
    :viewBox="`${view.min[0]} ${view.min[1]} ${width} ${height}`"
    :width="width * scale"
    :height="height * scale"
    role="group"
    :aria-label="say(view.title)"
  >
    <g v-if="before.length" class="ghost" aria-hidden="true" data-before>
      <SceneShape v-for="(s, k) in before" :key="k" :shape="s" :scale="scale" />
    </g>
    <g v-if="others?.length" class="ghost" aria-hidden="true" data-others>
      <SceneShape v-for="(s, k) in others" :key="k" :shape="s" :scale="scale" />
    </g>
    <g v-if="ghost.length" class="ghost" aria-hidden="true">
      <SceneShape v-for="(s, k) in ghost" :key="k" :shape="s" :scale="scale" />
    </g>
    <template v-for="(g, i) in groups" :key="g.thing || i">
      <g
        v-if="g.handles.length"
        class="thing"
        :class="{ chosen: workspace.selected === g.thing, held: held === g.thing }"
        :transform="ahead(g)"
        tabindex="0"
        role="slider"
        :data-thing="g.thing"
        :aria-label="say(g.handles[0]!.label)"
        :aria-valuemin="g.handles[0]!.min"
        :aria-valuemax="g.handles[0]!.max"
        :aria-valuenow="g.handles[0]!.at"
        :aria-valuetext="print('length', g.handles[0]!.at)"
        @pointerdown="grab($event, g)"
        @pointermove="move"
        @pointerup="release"
        @pointercancel="release"
        @keydown="press($event, g)"
        @keydown.enter.space.prevent="workspace.selected = g.thing"
      >
        <SceneShape v-for="(s, k) in g.shapes" :key="k" :shape="s" :scale="scale" />
      </g>
      <g
        v-else
        :class="{
          thing: g.thing,
          chosen: g.thing && workspace.selected === g.thing,
          held: g.thing && held === g.thing,
          weak: weak?.includes(g.thing),
        }"
        :data-moves="moves(g.thing) ? g.thing : undefined"
        @click="g.thing && (workspace.selected = g.thing)"
        @pointerdown="grab($event, g)"
        @pointermove="move"
        @pointerup="release"
        @pointercancel="release"
      >
        <SceneShape v-for="(s, k) in g.shapes" :key="k" :shape="s" :scale="scale" />
      </g>
    </template>
    <SceneShape v-for="(s, k) in texts" :key="`text ${k}`" :shape="s" :scale="scale" :shift="shifts.get(s)" />
    <g v-if="over" class="zone" aria-hidden="true" data-over>
      <rect
        :x="over.min[0]"
        :y="over.min[1]"
        :width="over.max[0] - over.min[0]"
        :height="over.max[1] - over.min[1]"
      />
    </g>
    <g v-if="zone" class="zone" aria-hidden="true" :data-zone="`${zone.from} ${zone.to}`">
      <rect :x="zone.from" :y="level.y" :width="zone.to + zone.length - zone.from" :height="level.height" />
      <path
        :d="`M${zone.from} ${level.y}v${level.height}M${zone.to + zone.length} ${level.y}v${level.height}`"
      />
    </g>
  </svg>
</template>
