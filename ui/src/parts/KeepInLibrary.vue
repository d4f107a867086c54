<script setup lang="ts">
// An entry of the plan and the library: keep it there, or see what differs.
import { BookmarkIcon, CheckIcon } from '@heroicons/vue/20/solid'
import { computed, onMounted } from 'vue'
import type { Kept } from '@/generated/types'
import { useLibrary } from '@/stores/library'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const { path, name } = defineProps<{ path: string; name: string }>()
const workspace = useWorkspace()
const library = useLibrary()
const { say } = useWords()
onMounted(() => {
  library.need()
})
const own = computed(() => workspace.get(`${path}/kept`) as Kept | undefined)
const thing = computed(() => library.things?.find((t) => t.id === own.value?.id))
const offer = computed(() => library.offers[path])
</script>

<template>
  <div data-keep>
    <template v-if="own && thing && offer">
      <div class="border-rule rounded-lg border p-3" data-offer>
        <p class="font-bold">
          {{ offer.newer ? 'Your library has other figures' : 'Changed here, not in your library' }}
        </p>
        <ul class="mt-1">
          <li v-for="(d, i) in offer.differs" :key="i" class="first-letter:uppercase">{{ say(d) }}.</li>
          <li v-if="offer.more">And {{ offer.more }} more.</li>
        </ul>
        <div class="mt-2 flex flex-wrap gap-2">
          <button class="act min-h-11" @click="workspace.edit(offer.take, 'take from the library')">
            Take the library’s
          </button>
          <button
            v-if="offer.newer"
            class="act min-h-11"
            @click="workspace.edit(offer.leave, 'keep these figures')"
          >
            Keep these
          </button>
          <button v-else class="act min-h-11" @click="library.keep(path)">Change the library too</button>
        </div>
      </div>
    </template>
    <p v-else-if="own && thing" class="text-soft flex min-h-11 items-center gap-1 text-sm">
      <CheckIcon class="size-5" />In your library, kept from {{ thing.from }}
    </p>
    <button
      v-else
      class="act min-h-11"
      :aria-label="`Keep in my library: ${name}`"
      @click="library.keep(path)"
    >
      <BookmarkIcon class="size-5" />Keep in my library
    </button>
    <p v-if="library.failure" class="text-fails mt-1 text-sm" role="alert">{{ library.failure }}</p>
  </div>
</template>
