<script setup lang="ts">
/** Says in a few sentences what the place in hand is for. */
const props = defineProps<{ about: HelpName }>()
const help = useHelp()
</script>

<template>
  <UButton
    variant="ghost"
    icon="i-lucide-circle-help"
    :aria-label="`Help: ${helpTopics[props.about].label}`"
    title="What this is for"
    @click="help = props.about"
  />
</template>
