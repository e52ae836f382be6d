<script setup lang="ts">
/** Help on the place that was asked about. */
const help = useHelp()
/** What was asked last, so that the words stay while the dialog closes. */
const topic = computed<HelpTopic | null>(last => (help.value ? helpTopics[help.value] : (last ?? null)))
</script>

<template>
  <UModal
    :open="!!help"
    :title="topic?.label"
    description="What this is for"
    @update:open="
      open => {
        if (!open) help = null
      }
    "
  >
    <template #body>
      <p v-for="line in topic?.lines" :key="line">{{ line }}</p>
    </template>
  </UModal>
</template>

<style scoped>
p {
  margin: 0 0 12px;
  line-height: 1.5;
}
p:last-child {
  margin: 0;
}
</style>
