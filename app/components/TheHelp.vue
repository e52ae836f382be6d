<script setup lang="ts">
/** Help on the place that was asked about. */
const help = useHelp()
const topic = computed<HelpTopic | null>(() => help.value && helpTopics[help.value])
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
