<script setup lang="ts">
/** Above the names of the score's rows: how near it is looked at, and how it is laid out. */
const props = defineProps<{ zoom: number }>()
const emit = defineEmits<{ look: [zoom: number] }>()
const evenly = defineModel<boolean>('evenly', { required: true })
const byTime = defineModel<boolean>('byTime', { required: true })
const onlyMoving = defineModel<boolean>('onlyMoving', { required: true })
const ripples = defineModel<boolean>('ripples', { required: true })
const choice = (label: string, checked: boolean, set: (on: boolean) => void) => ({
  label,
  type: 'checkbox' as const,
  checked,
  onUpdateChecked: set,
})
const ways = computed(() => [
  [
    choice('Beats as wide as they last', !evenly.value, () => (evenly.value = false)),
    choice('All beats equally wide', evenly.value, () => (evenly.value = true)),
  ],
  [
    choice('Rows in the order in which things happen', byTime.value, on => (byTime.value = on)),
    choice('Only rows of what moves', onlyMoving.value, on => (onlyMoving.value = on)),
  ],
  [choice('What comes later in a beat moves along', ripples.value, on => (ripples.value = on))],
])
</script>

<template>
  <div class="corner">
    <b>Score</b>
    <span class="zooms">
      <UButton
        variant="ghost"
        size="sm"
        icon="i-lucide-minus"
        aria-label="Zoom out"
        title="Zoom out"
        data-keys="-"
        :disabled="props.zoom <= 1"
        @click="emit('look', props.zoom / 1.5)"
      />
      <UButton
        variant="ghost"
        size="sm"
        aria-label="All in sight"
        title="All in sight"
        data-keys="F"
        :disabled="props.zoom === 1"
        @click="emit('look', 1)"
      >
        {{ props.zoom === 1 ? 'all' : `× ${numberWords(props.zoom, 1)}` }}
      </UButton>
      <UButton
        variant="ghost"
        size="sm"
        icon="i-lucide-plus"
        aria-label="Zoom in"
        title="Zoom in, also by Ctrl and the wheel"
        data-keys="+"
        @click="emit('look', props.zoom * 1.5)"
      />
    </span>
    <UDropdownMenu :items="ways">
      <UButton
        variant="ghost"
        size="sm"
        class="ways"
        icon="i-lucide-sliders-horizontal"
        aria-label="How the score is laid out"
        title="How the score is laid out"
      />
    </UDropdownMenu>
  </div>
</template>

<style scoped>
.corner {
  width: 172px;
  flex: none;
  padding: 8px 14px;
  position: sticky;
  left: 0;
  background: var(--panel);
  z-index: 2;
  border-right: 1px solid var(--line);
  display: flex;
  flex-direction: column;
}
.zooms {
  display: flex;
  align-items: center;
  margin-left: -6px;
}
.zooms [data-slot='base'] {
  padding: 2px 6px;
}
.ways {
  position: absolute;
  right: 4px;
  top: 6px;
  padding: 4px 6px;
}
</style>
