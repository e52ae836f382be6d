<script setup lang="ts">
import { expected } from '#core/values'
import { readColor, written } from '#core/color'

/** A colour entered exactly, in any way of writing, or picked from anywhere on the screen. */
const props = defineProps<{
  modelValue: string
  label: string
  disabled?: boolean
  /** Only one line; every way of writing is still read. */ compact?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [hex: string] }>()
const ways = computed(() => written(props.modelValue))
const wrong = ref('')
function take(text: string) {
  const read = readColor(text)
  wrong.value = read.ok ? '' : read.message
  if (read.ok && read.value !== props.modelValue) emit('update:modelValue', read.value)
}
interface Dropper {
  open(): Promise<{ sRGBHex: string }>
}
const dropper = (globalThis as { EyeDropper?: new () => Dropper }).EyeDropper
async function pick() {
  const picked = await new dropper!().open().catch(expected('AbortError'))
  if (picked) take(picked.sRGBHex)
}
</script>

<template>
  <div class="entry">
    <div class="first">
      <input
        type="color"
        :value="modelValue"
        :aria-label="`${label}, by eye`"
        :disabled="disabled"
        @change="take(($event.target as HTMLInputElement).value)"
      />
      <input
        v-written="ways.hex"
        class="field amount"
        :aria-label="`${label} as hex`"
        :disabled="disabled"
        @change="take(($event.target as HTMLInputElement).value)"
      />
      <button
        v-if="dropper"
        type="button"
        class="press plain"
        title="Pick a colour from the screen"
        aria-label="Pick a colour from the screen"
        :disabled="disabled"
        @click="pick"
      >
        <UIcon name="i-lucide-pipette" />
      </button>
    </div>
    <input
      v-for="way in compact ? [] : (['rgb', 'hsl', 'oklch'] as const)"
      :key="way"
      v-written="ways[way]"
      class="field amount"
      :aria-label="`${label} as ${way}`"
      :disabled="disabled"
      @change="take(($event.target as HTMLInputElement).value)"
    />
    <p v-if="wrong" class="wrong">{{ wrong }}</p>
  </div>
</template>

<style scoped>
.entry {
  display: flex;
  flex-direction: column;
  gap: 5px;
}
.first {
  display: flex;
  gap: 6px;
  align-items: center;
}
.first .field {
  flex: 1;
}
input[type='color'] {
  width: 36px;
  height: 32px;
  padding: 0;
  border: 1px solid var(--line);
  border-radius: 7px;
  background: none;
  cursor: pointer;
}
.field.amount {
  font-size: 12.5px;
}
.wrong {
  color: var(--wrong);
  margin: 0;
  font-size: 13px;
}
</style>
