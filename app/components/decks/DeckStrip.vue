<script setup lang="ts">
/**
 * A deck as a bar that is as wide as it lasts: a talk with gaps between its slides, a film unbroken, a loop turning back. All of the width
 * is twenty minutes.
 */
const props = defineProps<{ seconds: readonly number[]; purpose: DeckEntry['purpose']; at?: number }>()
const full = 20 * 60
const total = computed(() => lengthOf(props.seconds))
const share = computed(() => Math.min(1, total.value / full))
const label = computed(
  () =>
    `${purposeWords[props.purpose]} of ${clockWords(total.value)}` +
    (total.value > full ? ', longer than the bar: all of its width is 20 minutes' : ', all of the width is 20 minutes'),
)
/** Whether slides can be told apart in it, as it is drawn about 230 px wide. */
const isBroken = computed(() => props.purpose !== 'film' && (share.value * 230) / Math.max(1, props.seconds.length) >= 4)
/** Where one was, as a share of the bar. */
const mark = computed(() => (props.at === undefined || !total.value ? null : lengthOf(props.seconds.slice(0, props.at)) / total.value))
</script>

<template>
  <div class="strip" role="img" :aria-label="label" :title="label">
    <div class="bar" :class="{ broken: isBroken, over: total > full }" :style="{ width: `${share * 100}%` }">
      <i v-for="(part, index) in seconds" :key="index" :style="{ flexGrow: part }" />
      <b v-if="mark !== null" :style="{ left: `${mark * 100}%` }" />
    </div>
    <UIcon v-if="purpose === 'loop'" name="i-lucide-corner-down-left" class="back" />
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  align-items: center;
  height: 12px;
}
.bar {
  position: relative;
  display: flex;
  height: 6px;
  min-width: 6px;
  border-radius: 3px;
  overflow: clip;
  overflow-clip-margin: 3px;
}
.bar.broken {
  gap: 2px;
}
.bar i {
  flex: 1 0 0;
  min-width: 0;
  background: color-mix(in srgb, var(--act) 45%, var(--well));
}
.bar i:first-child {
  border-radius: 3px 0 0 3px;
}
.bar i:last-of-type {
  border-radius: 0 3px 3px 0;
}
.bar.over i:last-of-type {
  border-radius: 0;
  mask-image: linear-gradient(90deg, #000, transparent);
}
.bar b {
  position: absolute;
  top: -3px;
  width: 2px;
  height: 12px;
  background: var(--now);
}
.back {
  flex: none;
  width: 12px;
  height: 12px;
  color: var(--second);
}
</style>
