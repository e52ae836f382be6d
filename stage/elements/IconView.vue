<script setup lang="ts">
import type { DrawnIcon } from '#core/model'

/** A drawing in one colour. `color` is CSS; `weight` makes its lines so many times as thick. */
defineProps<{ icon: DrawnIcon; color: string; weight?: number; alt?: string }>()
</script>

<template>
  <svg
    class="stage-icon"
    :viewBox="`0 0 ${icon.view[0]} ${icon.view[1]}`"
    :role="alt ? 'img' : undefined"
    :aria-label="alt || undefined"
    :aria-hidden="alt ? undefined : true"
  >
    <path
      v-for="(path, index) in icon.paths"
      :key="index"
      :d="path.d"
      :fill="path.width ? 'none' : color"
      :stroke="path.width ? color : 'none'"
      :stroke-width="path.width ? path.width * (weight ?? 1) : undefined"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
  </svg>
</template>
