<script setup lang="ts">
import type { Theme } from '#core/model'
import type { Shadow } from '#core/values'

/** A shadow beneath something; px of deck space. */
const props = defineProps<{ modelValue: Shadow | null | undefined; theme: Theme }>()
const emit = defineEmits<{ 'update:modelValue': [shadow: Shadow | null] }>()
const initial: Shadow = { color: { role: 'ink', alpha: 0.35 }, x: 0, y: 10, blur: 28 }
const set = (fields: Partial<Shadow>) => emit('update:modelValue', { ...initial, ...props.modelValue, ...fields })
</script>

<template>
  <div class="row">
    <span class="label">Shadow</span>
    <ColorField
      none
      :model-value="modelValue?.color ?? null"
      :theme="theme"
      label="Shadow"
      @update:model-value="
        color => (color ? set({ color: modelValue ? color : { ...color, alpha: color.alpha ?? 0.35 } }) : emit('update:modelValue', null))
      "
    />
  </div>
  <div v-if="modelValue" class="three">
    <label>
      Aside
      <NumberField :model-value="modelValue.x" label="Shadow aside" :min="-500" :max="500" @update:model-value="x => set({ x })" />
    </label>
    <label>
      Below
      <NumberField :model-value="modelValue.y" label="Shadow below" :min="-500" :max="500" @update:model-value="y => set({ y })" />
    </label>
    <label>
      Soft
      <NumberField
        :model-value="modelValue.blur"
        label="Softness of the shadow"
        :min="0"
        :max="500"
        @update:model-value="blur => set({ blur })"
      />
    </label>
  </div>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px;
  padding: 2px 0 6px;
}
.three label {
  display: flex;
  flex-direction: column;
  gap: 2px;
  color: var(--second);
  font-size: 13px;
}
</style>
