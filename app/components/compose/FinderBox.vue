<script setup lang="ts">
/** A press that opens what can be found by a word: a field above, what was found below. */
const props = defineProps<{ label: string; hint: string; width?: number }>()
const opened = defineModel<boolean>('open', { default: false })
const asked = defineModel<string>('asked', { default: '' })
</script>

<template>
  <UPopover v-model:open="opened">
    <slot />
    <template #content="{ close }">
      <div class="finder" :style="{ width: `${props.width ?? 300}px` }">
        <UInput v-model="asked" v-cursor :placeholder="props.hint" :aria-label="props.label" />
        <slot name="found" :close="close" />
      </div>
    </template>
  </UPopover>
</template>

<style scoped>
.finder {
  padding: 10px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
</style>
