<script setup lang="ts">
import type { DrawnIcon } from '#core/model'

/** An icon of the deck's kind, drawn in the colour of the words around it. */
defineProps<{ icon: DrawnIcon }>()
</script>

<template>
  <svg :viewBox="`0 0 ${icon.view[0]} ${icon.view[1]}`" width="1em" height="1em" aria-hidden="true">
    <path
      v-for="(path, index) in icon.paths"
      :key="index"
      :d="path.d"
      :fill="path.width === undefined ? 'currentColor' : 'none'"
      :stroke="path.width === undefined ? 'none' : 'currentColor'"
      :stroke-width="path.width"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
  </svg>
</template>
