<script setup lang="ts">
// The guide for owners, as it stands in docs/guide: shipped with the app.
import { ArrowLeftIcon } from '@heroicons/vue/20/solid'
import { marked } from 'marked'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import BrandMark from '@/parts/BrandMark.vue'

const props = defineProps<{ page?: string }>()
const router = useRouter()
const texts = import.meta.glob<string>('../../../docs/guide/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
})
const pictures = import.meta.glob<string>('../../../docs/screenshots/*.png', {
  query: '?url',
  import: 'default',
  eager: true,
})
const of = (name: string) => texts[`../../../docs/guide/${name}.md`]
const html = computed(() => {
  const text = of(props.page || 'README') ?? of('README')!
  return marked
    .parse(text, { async: false })
    .replaceAll(/href="([a-z]+)\.md"/g, 'href="/guide/$1"')
    .replaceAll(/\.\.\/screenshots\/[\w-]+\.png/g, (path) => pictures[`../../../docs/${path.slice(3)}`] ?? '')
})
const main = useTemplateRef<HTMLElement>('main')
watch(
  () => props.page,
  () => void nextTick(() => main.value?.focus()),
)
/** Links between its pages go without loading again. */
function follow(e: MouseEvent) {
  const a = (e.target as HTMLElement).closest('a')
  const to = a?.getAttribute('href')
  if (!to?.startsWith('/guide') || e.metaKey || e.ctrlKey) return
  e.preventDefault()
  void router.push(to)
}
</script>

<template>
  <div class="mx-auto max-w-3xl p-4">
    <header class="mb-3 flex items-center gap-3">
      <BrandMark class="size-9" />
      <button class="act min-h-11" @click="router.back()"><ArrowLeftIcon class="size-5" />Back</button>
      <RouterLink v-if="page" class="act min-h-11" to="/guide">Ten steps</RouterLink>
    </header>
    <!-- Its text is the app's own, from docs/guide. -->
    <!-- eslint-disable vue/no-v-html -->
    <main ref="main" class="guide plate p-5 outline-none" tabindex="-1" @click="follow" v-html="html" />
  </div>
</template>

<style scoped>
.guide :deep(h1) {
  font-size: 1.5rem;
  font-weight: 700;
  line-height: 1.2;
  margin-bottom: 0.75rem;
}
.guide :deep(p),
.guide :deep(ul),
.guide :deep(ol) {
  margin: 0.6rem 0;
}
.guide :deep(ul) {
  list-style: disc;
  padding-left: 1.4rem;
}
.guide :deep(ol) {
  list-style: decimal;
  padding-left: 1.6rem;
}
.guide :deep(li) {
  margin: 0.35rem 0;
}
.guide :deep(a) {
  color: var(--deep);
  font-weight: 600;
  text-decoration: underline;
}
.guide :deep(img) {
  border: 1px solid var(--rule);
  border-radius: 0.5rem;
  width: 100%;
}
</style>
