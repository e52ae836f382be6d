<script setup lang="ts">
import { waveform } from '#core/sound'

/** How loud a stretch of a recording is, drawn `width` px wide and `height` px high. */
const props = defineProps<{
  peaks: Uint8Array
  from: number
  until: number
  width: number
  height: number
  loop?: { from: number; until: number }
}>()
const path = computed(() => {
  const count = Math.max(1, Math.min(2000, Math.round(props.width / 2)))
  const middle = props.height / 2
  // The ear hears loudness more evenly than amplitude grows.
  const half = (value: number) => Math.max(0.5, value ** 0.6 * (middle - 1))
  const values = waveform(props.peaks, props.from, props.until, count)
  const at = (index: number) => ((index + 0.5) / count) * props.width
  return `M0 ${middle}${values.map((value, index) => `L${at(index).toFixed(1)} ${(middle - half(value)).toFixed(1)}`).join('')}L${props.width} ${middle}${values
    .map((value, index) => [value, index] as const)
    .reverse()
    .map(([value, index]) => `L${at(index).toFixed(1)} ${(middle + half(value)).toFixed(1)}`)
    .join('')}Z`
})
</script>

<template>
  <svg class="wave" :width="width" :height="height" aria-hidden="true"><path :d="path" /></svg>
</template>

<style scoped>
.wave {
  display: block;
}
.wave path {
  fill: currentColor;
}
</style>
