<script setup lang="ts">
// Takes a copy of a thing out of the library.
import { BookmarkIcon } from '@heroicons/vue/20/solid'
import { computed, onMounted, ref } from 'vue'
import DialogShell from '@/parts/DialogShell.vue'
import LibraryList from '@/parts/LibraryList.vue'
import type { Op, Shelved } from '@/generated/types'
import { useLibrary, type Collection } from '@/stores/library'

const {
  collection,
  title,
  also = () => [],
} = defineProps<{
  collection: Collection
  title: string
  also?: (id: string) => Op[] // what else goes with the edit
}>()
const emit = defineEmits<{ taken: [id: string] }>()
const library = useLibrary()
const open = ref(false)
onMounted(() => {
  library.need()
})
const things = computed(() => library.things?.filter((t) => t.collection === collection) ?? [])
async function take(thing: Shelved) {
  const id = await library.take(thing, also)
  if (!id) return
  open.value = false
  emit('taken', id)
}
</script>

<template>
  <button v-if="things.length" class="act" :data-from-library="collection" @click="open = true">
    <BookmarkIcon class="size-5" />From my library
  </button>
  <DialogShell :open="open" :title="title" width="max-w-lg" @closed="open = false">
    <LibraryList class="mt-3" :things="things" taking @taken="take" />
    <p class="text-soft mt-3 text-sm">
      The plan gets a copy of its own. When the library changes later, you are asked first.
    </p>
  </DialogShell>
</template>
