<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ArrowUpTrayIcon, BookOpenIcon, LightBulbIcon, PlusIcon } from '@heroicons/vue/24/outline'
import { useTitle } from '@vueuse/core'
import { onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '@/api'
import type { Example, Listed } from '@/generated/types'
import BrandMark from '@/parts/BrandMark.vue'
import FoldedPart from '@/parts/FoldedPart.vue'
import LibraryList from '@/parts/LibraryList.vue'
import PlanCard from '@/parts/PlanCard.vue'
import { useLibrary } from '@/stores/library'

useTitle('Plans · Zygonos')
const router = useRouter()
const plans = ref<Listed[]>()
const failure = ref('')
const refused = ref('')
const deleted = ref<Listed>()
const library = useLibrary()
onMounted(library.load)

async function load() {
  try {
    plans.value = await api.plans()
    failure.value = ''
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
onMounted(load)

async function take(e: Event) {
  const input = e.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  refused.value = ''
  try {
    const packed = /\.zip$/i.test(file.name) || file.type === 'application/zip'
    const made = await (packed ? api.importArchive(file) : api.importFile(file))
    await router.push(`/plan/${made.id}/balance`)
  } catch (e) {
    refused.value = `${file.name}: ${e instanceof Error ? e.message : String(e)}`
  }
}

async function remove(p: Listed) {
  try {
    await api.remove(p.id)
    deleted.value = p
  } catch (e) {
    refused.value = e instanceof Error ? e.message : String(e)
  }
  await load()
}
async function restore() {
  if (!deleted.value) return
  await api.restore(deleted.value.id)
  deleted.value = undefined
  await load()
}

const examples = shallowRef<Example[]>([])
onMounted(async () => {
  examples.value = await api.examples().catch(() => [])
})
async function tryExample(e: Example) {
  try {
    const made = await api.tryExample(e.id)
    await router.push(`/plan/${made.id}/balance`)
  } catch (e) {
    refused.value = e instanceof Error ? e.message : String(e)
  }
}
</script>

<template>
  <div class="mx-auto min-h-full max-w-4xl p-4 md:p-8">
    <header class="flex items-center justify-between">
      <BrandMark><span class="text-2xl">Zygonos</span></BrandMark>
    </header>
    <main class="mt-6">
      <h1 class="text-3xl font-bold">Plans</h1>
      <p class="text-soft mt-1 max-w-xl">
        What a trailer carries, whether it holds, and what to move. One plan for each trailer, or for a choice
        of trailers.
      </p>
      <div class="mt-4 flex flex-wrap gap-2">
        <RouterLink to="/new" class="act-main"><PlusIcon class="size-5" />New plan</RouterLink>
        <Menu v-if="examples.length" as="div" class="relative">
          <MenuButton class="act min-h-11"><LightBulbIcon class="size-5" />Try an example</MenuButton>
          <MenuItems
            class="plate absolute right-0 z-20 mt-1 w-60 p-1 sm:right-auto sm:left-0 shadow-lg focus:outline-none"
          >
            <MenuItem v-for="e in examples" :key="e.id" v-slot="{ active }">
              <button
                class="block min-h-11 w-full rounded-lg px-3 text-left font-semibold"
                :class="{ 'bg-wash': active }"
                @click="tryExample(e)"
              >
                {{ e.name }}
              </button>
            </MenuItem>
          </MenuItems>
        </Menu>
        <label class="act min-h-11 focus-within:outline-3">
          <ArrowUpTrayIcon class="size-5" />Open a plan file
          <input
            type="file"
            accept=".json,.zip,application/json,application/zip"
            class="sr-only"
            @change="take"
          />
        </label>
        <RouterLink class="act min-h-11" to="/guide"><BookOpenIcon class="size-5" />Guide</RouterLink>
      </div>
      <p v-if="refused" class="text-fails mt-3 font-semibold" role="alert">{{ refused }}</p>
      <p v-if="deleted" class="plate mt-3 flex items-center justify-between p-3" role="status">
        “{{ deleted.name }}” is deleted. <button class="act" @click="restore">Bring it back</button>
      </p>
      <p v-if="failure" class="mt-6">
        {{ failure }} <button class="act ml-2" @click="load">Try again</button>
      </p>
      <p v-else-if="!plans" class="text-soft mt-6">Loading…</p>
      <div v-else-if="plans.length === 0" class="plate mt-6 p-6 text-center">
        <p class="font-bold">No plans yet.</p>
        <p class="text-soft">A new plan takes a label, a tape and ten minutes.</p>
      </div>
      <ul v-else class="mt-5 grid gap-2" data-plans>
        <PlanCard v-for="p in plans" :key="p.id" :plan="p" @removed="remove(p)" />
      </ul>
      <FoldedPart
        v-if="library.things && (library.things.length || library.dropped)"
        class="plate mt-6 px-3 py-1"
        data-library
      >
        <template #heading>
          <b
            >My library: {{ library.things.length }} {{ library.things.length === 1 ? 'thing' : 'things' }}</b
          >
        </template>
        <p class="text-soft text-sm">Kept from your plans, to copy into any plan.</p>
        <LibraryList :things="library.things" />
      </FoldedPart>
    </main>
  </div>
</template>
