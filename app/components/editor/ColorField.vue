<script setup lang="ts">
import { cssColor } from '#core/color'
import { roleNames, type Color, type Theme } from '#core/deck'

/** Chooses a palette role, or a value by its hex. Null stands for none, where that is offered. */
const props = defineProps<{ modelValue: Color | null | undefined, theme: Theme, label: string, none?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [color: Color | null] }>()
const hex = ref('')
const css = computed(() => (props.modelValue ? cssColor(props.modelValue, props.theme.palette) : 'transparent'))
const words = computed(() => (!props.modelValue ? 'none' : 'hex' in props.modelValue ? props.modelValue.hex : props.modelValue.role))
const take = (close: () => void) => {
  const value = hex.value.trim().replace(/^#?/, '#')
  if (!/^#[0-9a-f]{6}$/i.test(value)) return
  emit('update:modelValue', { hex: value.toLowerCase() })
  close()
}
</script>

<template>
  <UPopover>
    <button class="field choice" :aria-label="`${label}: ${words}`"><i :style="{ background: css }" />{{ words }}</button>
    <template #content="{ close }">
      <div class="colors">
        <div class="swatches">
          <button v-for="role in roleNames" :key="role" :style="{ background: theme.palette[role] }" :title="role" :aria-label="role" @click="emit('update:modelValue', { role }); close()" />
        </div>
        <form class="exact" @submit.prevent="take(close)"><input v-model="hex" class="field amount" placeholder="#12615c" aria-label="Value as hex" maxlength="7"><button class="press small">Take</button></form>
        <button v-if="none" class="press small" @click="emit('update:modelValue', null); close()">None</button>
      </div>
    </template>
  </UPopover>
</template>

<style scoped>
.choice { display: inline-flex; gap: 7px; align-items: center; cursor: pointer; }
.choice i { flex: none; width: 14px; height: 14px; border-radius: 50%; border: 1px solid var(--line); }
.colors { padding: 10px; display: flex; flex-direction: column; gap: 8px; width: 190px; }
.swatches { display: flex; flex-wrap: wrap; gap: 6px; }
.swatches button { width: 26px; height: 26px; border-radius: 50%; border: 1px solid var(--line); cursor: pointer; }
.exact { display: flex; gap: 6px; }
.exact .field { width: 100px; }
</style>
