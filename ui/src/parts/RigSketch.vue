<script setup lang="ts">
// A sketch that shows where to look or tape. It is not to scale.
defineProps<{ mark: string }>()
</script>

<template>
  <svg viewBox="0 0 360 170" class="w-full max-w-md" role="img" :aria-label="`Sketch: ${mark}`">
    <path d="M8 140h344" class="stroke-ink" stroke-width="2" />
    <path
      d="M8 118V62q0-6 8-8l38-4q16 24 16 68z"
      class="fill-[var(--car)]"
      :class="{ 'fill-load stroke-deep stroke-3': mark === 'car' }"
    />
    <circle cx="32" cy="124" r="16" class="fill-[var(--soft)]" />
    <path d="M62 112h28l34-6" fill="none" stroke-width="5" class="stroke-[var(--steel)]" />
    <rect x="124" y="98" width="190" height="8" class="fill-[var(--steel)]" />
    <circle cx="226" cy="122" r="18" class="fill-ink" />
    <circle cx="226" cy="122" r="7" class="fill-panel" />
    <rect
      x="150"
      y="58"
      width="110"
      height="40"
      rx="4"
      class="fill-[var(--load)]"
      :class="mark === 'load' ? 'stroke-deep stroke-4' : 'stroke-[var(--load-edge)]'"
    />
    <circle cx="90" cy="112" r="6" class="fill-deep" />
    <g v-if="mark === 'plate'">
      <rect x="128" y="84" width="34" height="20" rx="2" class="fill-panel stroke-deep stroke-3" />
      <path d="M133 91h24M133 97h16" class="stroke-ink" stroke-width="2" />
    </g>
    <g v-if="mark === 'scale'">
      <rect x="72" y="124" width="36" height="14" rx="3" class="fill-panel stroke-deep stroke-3" />
      <path d="M90 116v8" class="stroke-deep" stroke-width="5" />
    </g>
    <g v-if="['axle', 'front', 'deck'].includes(mark)" class="stroke-deep" stroke-width="3" fill="none">
      <path v-if="mark === 'axle'" d="M90 30H226M90 22v84M226 22v96" />
      <path v-else-if="mark === 'front'" d="M90 30H124M90 22v84M124 22v74" />
      <path v-else d="M124 30H314M124 22v74M314 22v74" />
    </g>
    <g v-if="mark === 'width'" stroke-width="3" class="stroke-deep">
      <rect x="150" y="8" width="130" height="42" class="stroke-[var(--steel)] fill-[var(--deck)]" />
      <path d="M136 8V50M128 8h16M128 50h16" fill="none" />
    </g>
  </svg>
</template>
