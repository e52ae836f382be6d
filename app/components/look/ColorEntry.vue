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
/** What is chosen by eye, until the picker closes. */
const eyed = ref<string | null>(null)
function takeEyed() {
  if (eyed.value) take(eyed.value)
  eyed.value = null
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
      <UPopover @update:open="open => open || takeEyed()">
        <UButton
          variant="bare"
          class="eye"
          :style="{ background: eyed ?? modelValue }"
          :aria-label="`${label}, by eye`"
          :disabled="disabled"
        />
        <template #content>
          <UColorPicker class="picker" :model-value="eyed ?? modelValue" @update:model-value="hex => (eyed = hex ?? null)" />
        </template>
      </UPopover>
      <WordsField
        :model-value="ways.hex"
        class="amount"
        :aria-label="`${label} as hex`"
        :disabled="disabled"
        @update:model-value="words => take(words)"
      />
      <UButton
        v-if="dropper"
        variant="ghost"
        icon="i-lucide-pipette"
        title="Pick a colour from the screen"
        aria-label="Pick a colour from the screen"
        :disabled="disabled"
        @click="pick"
      />
    </div>
    <WordsField
      v-for="way in compact ? [] : (['rgb', 'hsl', 'oklch'] as const)"
      :key="way"
      :model-value="ways[way]"
      class="amount"
      :aria-label="`${label} as ${way}`"
      :disabled="disabled"
      @update:model-value="words => take(words)"
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
.first [data-slot='root'] {
  flex: 1;
}
.eye {
  width: 36px;
  height: 32px;
  flex: none;
  border: 1px solid var(--line);
  border-radius: 7px;
}
.picker {
  padding: 10px;
}
.wrong {
  color: var(--wrong);
  margin: 0;
  font-size: 13px;
}
</style>
