<script setup lang="ts">
import type { Deck } from '#core/model'
import type { SlideDesign } from '#core/layouts'

/** One slide as one look would have it: a press takes it. */
const props = defineProps<{
  deck: Deck | null
  slide: string
  design: SlideDesign | undefined
  /** The look’s name to read. */ look: string
  width: number
  ratio: number
  isTaken: boolean
  disabled: boolean
}>()
const emit = defineEmits<{ take: []; split: [] }>()
const over = computed(() => {
  const { design } = props
  return design?.room != null && design.room < design.count ? design.count - design.room : 0
})
</script>

<template>
  <div class="cell" :class="{ taken: isTaken }">
    <span class="ring"><UIcon v-if="isTaken" name="i-lucide-check" /></span>
    <UButton
      variant="bare"
      class="slide"
      :aria-label="`${design?.label ?? 'Being laid out'}, ${look}`"
      :aria-pressed="isTaken"
      :title="design?.reason"
      :disabled="disabled"
      @click="emit('take')"
    >
      <NearThumb :deck="design ? deck : null" :slide="slide" :width="width" :ratio="ratio" />
    </UButton>
    <span v-if="design" class="caption">
      <b>{{ design.label }}</b>
      <span v-if="design.keeps" class="hand">
        <UIcon :name="design.keeps === 'chosen' ? 'i-lucide-hand' : 'i-lucide-layers'" />
        {{ design.keeps === 'chosen' ? 'yours' : 'stays' }}
      </span>
      <template v-else-if="over">
        <span class="over">{{ over }} more than {{ over === 1 ? 'fits' : 'fit' }}</span>
        <UButton size="xs" class="split" :disabled="disabled" @click="emit('split')">Split</UButton>
      </template>
      <span v-else-if="design.room !== null" class="quiet">room for {{ design.room }}</span>
      <span v-if="isTaken" class="mark">taken</span>
    </span>
  </div>
</template>

<style scoped>
.cell {
  display: grid;
  grid-template-columns: 26px auto minmax(0, 1fr);
  align-items: center;
  gap: 0 8px;
  min-width: 0;
}
.ring {
  position: relative;
  z-index: 1;
  justify-self: center;
  display: grid;
  place-items: center;
  width: 16px;
  height: 16px;
  border-radius: 50%;
  border: 2px solid var(--third);
  background: var(--panel);
}
.taken .ring {
  width: 20px;
  height: 20px;
  border-color: var(--act);
  background: var(--act);
  color: var(--on-act);
  font-size: 13px;
}
.slide {
  padding: 1px;
  border: 1px solid var(--line);
  border-radius: 7px;
  overflow: hidden;
}
.slide:hover:not(:disabled) {
  border-color: var(--act);
}
.taken .slide {
  border: 2px solid var(--act);
  padding: 0;
}
.caption {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  align-self: start;
  gap: 1px;
  min-width: 0;
  padding-top: 4px;
  font-size: 13px;
}
.caption b {
  font-weight: 600;
  max-width: 100%;
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
  overflow: hidden;
}
.hand {
  display: flex;
  align-items: center;
  gap: 4px;
  color: var(--now-ink);
}
.over {
  color: var(--wrong);
}
.mark {
  color: var(--act);
  font-weight: 600;
}
</style>
