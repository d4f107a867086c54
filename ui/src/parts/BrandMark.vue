<script setup lang="ts"></script>

<template>
  <RouterLink to="/" class="flex items-center gap-2 rounded-lg font-bold" aria-label="Zygonos, all plans">
    <img src="/mark.svg" alt="" width="34" height="34" />
    <slot />
  </RouterLink>
</template>
