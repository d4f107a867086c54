<script setup lang="ts">
// Things of the library, to take or to take out.
import { TrashIcon } from '@heroicons/vue/20/solid'
import type { Shelved } from '@/generated/types'
import { useLibrary } from '@/stores/library'

defineProps<{ things: Shelved[]; taking?: boolean }>()
const emit = defineEmits<{ taken: [thing: Shelved] }>()
const library = useLibrary()
const day = (at: string) => new Date(at).toLocaleDateString(undefined, { dateStyle: 'medium' })
</script>

<template>
  <div>
    <p v-if="library.failure" class="text-fails" role="alert">{{ library.failure }}</p>
    <p v-if="library.dropped" class="flex items-center justify-between gap-2" role="status">
      “{{ library.dropped.name }}” is out of the library; plans keep their copies.
      <button class="act" @click="library.restore">Bring it back</button>
    </p>
    <ul class="divide-rule divide-y">
      <li v-for="t in things" :key="t.id" class="flex items-center gap-2 py-2" :data-thing="t.name">
        <span class="min-w-0 flex-1">
          <b class="block truncate">{{ t.name || 'Unnamed' }}</b>
          <span class="text-soft block truncate text-sm">
            {{ t.spoilt ? 'Its record is damaged: keep it again.' : `from ${t.from}, ${day(t.at)}` }}
          </span>
        </span>
        <button v-if="taking" class="act min-h-11" :disabled="t.spoilt" @click="emit('taken', t)">
          Take
        </button>
        <button
          class="act size-11"
          :aria-label="`Take ${t.name} out of the library`"
          @click="library.drop(t)"
        >
          <TrashIcon class="size-5" />
        </button>
      </li>
    </ul>
  </div>
</template>
