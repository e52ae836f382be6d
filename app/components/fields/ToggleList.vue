<script setup lang="ts" generic="T extends string">
/** Things of which any may be chosen, folded away under what they are called and how many are; it says which one is pressed. */
const props = defineProps<{ label: string; none?: string; items: readonly { key: T; label: string }[]; chosen: readonly T[] }>()
const emit = defineEmits<{ choose: [chosen: T[]] }>()
const toggle = (key: T) => emit('choose', props.chosen.includes(key) ? props.chosen.filter(other => other !== key) : [...props.chosen, key])
</script>

<template>
  <details>
    <summary>{{ label }}: {{ chosen.length || (none ?? 'none') }}</summary>
    <div class="keys">
      <UButton
        v-for="item in items"
        :key="item.key"
        size="sm"
        :active="chosen.includes(item.key)"
        :aria-pressed="chosen.includes(item.key)"
        @click="toggle(item.key)"
      >
        {{ item.label }}
      </UButton>
    </div>
  </details>
</template>

<style scoped>
details {
  margin-top: 6px;
  color: var(--second);
}
summary {
  cursor: pointer;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  padding: 8px 0;
  max-height: 160px;
  overflow-y: auto;
}
</style>
