<script setup lang="ts">
// A quantity typed as people write it and read back at once in the plan's
// units. What cannot be read stays in the box, with a sentence under it.
import { computed, ref, useId, watch } from 'vue'
import { parse, ParseError, print, type Kind, type Typed } from '@/quantities'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const props = defineProps<{
  label: string
  kind: Kind
  value?: number
  path?: string // of the field in the plan, to show the core's own word on it
  hint?: string | number // a number is printed in the plan's units
  withDoubt?: boolean
  tight?: boolean
}>()
const emit = defineEmits<{ typed: [Typed]; cleared: [] }>()

const workspace = useWorkspace()
const { locale, say } = useWords()
const id = useId()

const shown = computed(() => (props.value === undefined ? '' : print(locale.value, props.kind, props.value)))
const hinted = computed(() =>
  typeof props.hint === 'number' ? print(locale.value, props.kind, props.hint) : props.hint,
)
const text = ref(shown.value)
const focused = ref(false)
const wrong = ref('')
const readBack = ref('')

watch(shown, (v) => {
  if (!focused.value && !wrong.value) text.value = v
})

const problem = computed(() => {
  if (wrong.value) return wrong.value
  const word = props.path && workspace.wordOn(props.path)
  return !word ? '' : typeof word === 'string' ? word : say(word)
})

function read() {
  readBack.value = wrong.value = ''
  if (text.value.trim() === '') {
    emit('cleared')
    return
  }
  try {
    const typed = parse(locale.value, props.kind, text.value)
    if (typed.plusMinus !== undefined || typed.relative !== undefined) {
      if (!props.withDoubt) throw new ParseError('A ± has no place here.')
    }
    readBack.value = print(locale.value, props.kind, typed.value)
    emit('typed', typed)
  } catch (e) {
    wrong.value = e instanceof ParseError ? e.message : String(e)
  }
}

function leave() {
  focused.value = false
  readBack.value = ''
  workspace.endGesture()
  if (!wrong.value) text.value = shown.value
}
</script>

<template>
  <div class="min-w-0">
    <label :for="id" class="text-soft mb-0.5 block text-sm" :class="{ 'sr-only': tight }">{{ label }}</label>
    <div class="relative">
      <input
        :id="id"
        v-model="text"
        class="box"
        :class="{ '!border-fails !border-2': problem }"
        inputmode="text"
        autocomplete="off"
        spellcheck="false"
        :data-path="path"
        :aria-invalid="!!problem"
        :aria-describedby="`${id}-word`"
        :placeholder="hinted"
        @focus="focused = true"
        @input="read"
        @blur="leave"
      />
      <span
        v-if="readBack && readBack !== text"
        class="text-soft bg-panel pointer-events-none absolute top-2.5 right-2 rounded px-1 text-sm"
      >
        = {{ readBack }}
      </span>
    </div>
    <p :id="`${id}-word`" class="text-fails text-sm" :class="{ hidden: !problem }" role="status">
      {{ problem }}
    </p>
  </div>
</template>
