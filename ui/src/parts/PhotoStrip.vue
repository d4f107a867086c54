<script setup lang="ts">
// The photos of a record: added from the camera or a file, opened large, taken away.
import { CameraIcon, TrashIcon } from '@heroicons/vue/20/solid'
import { computed, ref, useId } from 'vue'
import { api } from '@/api'
import { small } from '@/photo'
import DialogShell from '@/parts/DialogShell.vue'
import { newId } from '@/stores/patch'
import { useRecords } from '@/stores/records'
import { useWorkspace } from '@/stores/workspace'

const props = defineProps<{ record: string; of: string }>()
const workspace = useWorkspace()
const records = useRecords()
const input = useId()
const photos = computed(() =>
  Object.entries(records.all[props.record]?.photos ?? {}).sort((a, b) => a[1].order - b[1].order),
)
const failure = ref('')
const busy = ref(false)
const open = ref('')
const path = (id: string) => `/records/${props.record}/photos/${id}`

async function add(e: Event) {
  const from = e.target as HTMLInputElement
  const file = from.files?.[0]
  if (!file) return
  failure.value = ''
  busy.value = true
  try {
    const id = newId('photo')
    await api.photos.add(workspace.id, id, await small(file))
    workspace.setAt(path(id), { order: (photos.value.at(-1)?.[1].order ?? 0) + 1 }, 'a photo')
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  } finally {
    busy.value = false
    from.value = ''
  }
}
const gone = ref<{ id: string; order: number }>()
function away(id: string) {
  gone.value = { id, order: photos.value.find(([p]) => p === id)?.[1].order ?? 1 }
  open.value = ''
  workspace.setAt(path(id), undefined, 'no photo')
  void api.photos.remove(workspace.id, id).catch(() => {}) // it is tidied away with its plan
}
async function back() {
  const last = gone.value
  if (!last) return
  try {
    await api.photos.restore(workspace.id, last.id)
    workspace.setAt(path(last.id), { order: last.order }, 'the photo again')
    gone.value = undefined
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <button
      v-for="[id] in photos"
      :key="id"
      class="border-rule size-16 overflow-hidden rounded border"
      :aria-label="`Open the photo of ${of}`"
      @click="open = id"
    >
      <img :src="api.photos.at(workspace.id, id)" alt="" class="size-full object-cover" loading="lazy" />
    </button>
    <label :for="input" class="act no-print min-h-11 cursor-pointer focus-within:outline-2">
      <CameraIcon class="size-5" />{{ busy ? 'Sending…' : 'Photo' }}
      <input
        :id="input"
        type="file"
        class="sr-only"
        accept="image/jpeg,image/png,image/webp"
        :aria-label="`Photo of ${of}`"
        @change="add"
      />
    </label>
    <p v-if="failure" class="text-fails w-full font-semibold" role="alert">{{ failure }}</p>
    <button v-if="gone" class="act no-print min-h-11" @click="back">Bring the photo back</button>
    <DialogShell :open="!!open" :title="of" width="max-w-3xl" @closed="open = ''">
      <img
        :src="api.photos.at(workspace.id, open)"
        :alt="`Photo of ${of}`"
        class="max-h-[70vh] w-full object-contain"
      />
      <button class="act mt-2 min-h-11" @click="away(open)"><TrashIcon class="size-5" />Take it away</button>
    </DialogShell>
  </div>
</template>
