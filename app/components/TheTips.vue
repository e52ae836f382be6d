<script setup lang="ts">
/** The one tip of the page: of the control that is pointed at or reached by the keyboard, with its keys. */
const { tip, close } = useTips()
</script>

<template>
  <UTooltip
    v-if="tip"
    :key="tip.words"
    open
    :reference="tip.of"
    :text="tip.words"
    :kbds="tip.keys"
    @update:open="open => open || close()"
  />
</template>
