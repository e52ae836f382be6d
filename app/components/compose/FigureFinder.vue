<script setup lang="ts">
import { deckTheme, type FigureLook } from '#core/model'
import { drawFigure, poses, usualLook } from '#core/figures'

/** Chooses how a figure stands, each drawn as the figure looks. */
const props = defineProps<{ look?: FigureLook; words?: string }>()
const emit = defineEmits<{ choose: [pose: string] }>()
const store = useDeck()
const asked = ref('')
const found = computed(() => {
  const words = asked.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return poses
    .filter(pose => words.every(word => `${pose.label} ${pose.keywords}`.toLowerCase().includes(word)))
    .map(pose => ({ pose, drawing: drawFigure({ look: props.look ?? usualLook, pose: pose.name }, deckTheme(store.current).palette) }))
})
</script>

<template>
  <FinderBox v-model:asked="asked" label="Find a pose" hint="What it does" :width="372">
    <slot>
      <UButton size="sm">{{ props.words ?? 'Figure' }}</UButton>
    </slot>
    <template #found="{ close }">
      <div class="poses">
        <UButton
          v-for="{ pose, drawing } in found"
          :key="pose.name"
          variant="bare"
          class="pose"
          :title="pose.label"
          :data-pose="pose.name"
          @click="
            () => {
              emit('choose', pose.name)
              close()
            }
          "
        >
          <svg :viewBox="drawing.view.join(' ')" aria-hidden="true">
            <path
              v-for="(part, index) in drawing.parts"
              :key="index"
              :d="part.d"
              :fill="part.fill"
              :stroke="part.stroke?.color ?? 'none'"
              :stroke-width="part.stroke?.width"
            />
          </svg>
          <span>{{ pose.label }}</span>
        </UButton>
      </div>
      <p v-if="!found.length" class="quiet small">None does that. Try another word.</p>
    </template>
  </FinderBox>
</template>

<style scoped>
.poses {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 4px;
  max-height: 400px;
  overflow-y: auto;
}
.pose {
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  font-size: 12px;
  border-radius: 8px;
  padding: 4px 2px;
  cursor: pointer;
  display: flex;
  flex-direction: column;
  align-items: center;
}
.pose:hover,
.pose:focus-visible {
  background: var(--act-wash);
}
.pose svg {
  width: 100%;
  height: 96px;
}
.small {
  font-size: 12.5px;
  margin: 0;
}
</style>
