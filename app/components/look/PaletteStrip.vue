<script setup lang="ts">
import type { Palette } from '#core/color'

defineProps<{ palette: Palette }>()
const accents = ['accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6'] as const
</script>

<template>
  <span class="strip" :style="{ background: palette.ground, color: palette.ink }" aria-hidden="true">
    <b>Aa</b>
    <i v-for="role in accents" :key="role" :style="{ background: palette[role] }" />
  </span>
</template>

<style scoped>
.strip {
  display: flex;
  align-items: center;
  gap: 3px;
  height: 34px;
  padding: 0 7px;
}
.strip b {
  font: 700 14px 'Bricolage Grotesque';
  margin-right: 3px;
}
.strip i {
  flex: 1;
  height: 14px;
  border-radius: 4px;
  min-width: 5px;
}
</style>
