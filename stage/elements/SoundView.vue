<script setup lang="ts">
import type { SoundElement } from '#core/model'
import type { ShownElement } from '#core/resolved'

/** A sound is heard, not seen: at work it has a place to take hold of. */
defineProps<{ element: SoundElement & ShownElement; prompts: boolean }>()
</script>

<template>
  <div v-if="prompts" class="stage-sound" :title="element.name">
    <svg viewBox="0 0 48 48" aria-hidden="true">
      <path
        d="M6 24h4M14 16v16M22 9v30M30 15v18M38 20v8M44 24h-2"
        fill="none"
        stroke="currentColor"
        stroke-width="4"
        stroke-linecap="round"
      />
    </svg>
  </div>
</template>
