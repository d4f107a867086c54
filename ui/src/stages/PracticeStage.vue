<script setup lang="ts">
// Practice: reversing one's own rig, judging it by eye, and how it gets better.
import TabbedStage from '@/parts/TabbedStage.vue'
import DrivePanel from './practice/DrivePanel.vue'
import JudgePanel from './practice/JudgePanel.vue'
import ProgressPanel from './practice/ProgressPanel.vue'

const tabs = [
  { name: 'Judge it', panel: JudgePanel },
  { name: 'Reverse it', panel: DrivePanel },
  { name: 'Getting better', panel: ProgressPanel },
]
</script>

<template>
  <TabbedStage label="Practice" :tabs="tabs" />
</template>
