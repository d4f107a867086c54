<script setup lang="ts">
// No frame is drawn: what a first one needs, and the four that can be laid out.
import { computed, ref } from 'vue'
import EstimateField from '@/fields/EstimateField.vue'
import { useWorkspace } from '@/stores/workspace'
import { useWords } from '@/words'

const workspace = useWorkspace()
const { term } = useWords()
const trailer = computed(() => workspace.plan?.trailers[workspace.trailer])
const path = (field: string) => `/trailers/${workspace.trailer}/${field}`
const failure = ref('')
async function start(kind: string) {
  failure.value = ''
  try {
    await workspace.begin('frame', 'lay out a frame', kind)
  } catch (e) {
    failure.value = e instanceof Error ? e.message : String(e)
  }
}
</script>

<template>
  <div class="plate p-4" data-frame-start>
    <h2 class="text-lg font-bold">Draw the trailer’s own frame</h2>
    <p class="mt-1 max-w-2xl">
      For a trailer you build, lengthen or convert. Its members give weight, balance, strength and the cut
      list. A bought trailer needs none: its plate rules.
    </p>
    <div v-if="trailer" class="mt-3 grid gap-x-4 gap-y-3 md:grid-cols-2">
      <EstimateField :path="path('couplingToDeck')" :label="`${term('Coupling')} to deck’s front`" />
      <EstimateField :path="path('couplingToAxle')" :label="`${term('Coupling')} to axle`" />
      <EstimateField :path="path('deckLength')" label="Deck length" />
      <EstimateField :path="path('deckWidth')" label="Deck width" />
    </div>
    <p class="mt-3 font-semibold">Begin with a ladder under the deck, and</p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button class="act-main" :disabled="!trailer" @click="start('beam')">
        one beam to the {{ term('coupling') }}
      </button>
      <button class="act min-h-11" :disabled="!trailer" @click="start('a-frame')">
        two that run together
      </button>
      <button class="act min-h-11" :disabled="!trailer" @click="start('camper')">
        rails that run to it, as under a camper
      </button>
      <button class="act min-h-11" :disabled="!trailer" @click="start('kit')">
        one beam, all bolted, as a kit
      </button>
    </div>
    <p v-if="failure" class="text-fails mt-2 font-semibold" role="alert">{{ failure }}</p>
    <p class="text-soft mt-2 text-sm">
      Sections begin as the usual ones and can be changed for all rails, cross members or the
      {{ term('drawbar') }} at once. Every member can be moved, edited, copied or removed.
    </p>
  </div>
</template>
