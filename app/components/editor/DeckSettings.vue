<script setup lang="ts">
import { infoOf } from '#core/model'

/** What the deck is for; pressed, all that its time is reckoned from can be set. */
const store = useDeck()
const purpose = computed(() => infoOf(store.current).purpose)
</script>

<template>
  <UPopover>
    <UButton size="sm" title="What the deck is for, who reads it">{{ purposeWords[purpose] }}</UButton>
    <template #content><LazyDeckSettingsForm /></template>
  </UPopover>
</template>
