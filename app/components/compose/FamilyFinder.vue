<script setup lang="ts">
import { textOf, type TextDoc } from '#core/model'
import { diagramFamilies, readItems } from '#core/diagrams'

/** Chooses a family of diagrams, each drawn with the very lines it would hold. */
const props = defineProps<{ text?: TextDoc; words?: string; label?: string }>()
const emit = defineEmits<{ choose: [family: string] }>()
const asked = ref('')
const size = { width: 150, height: 96 }
const sample = textOf([
  { text: 'One', level: 1 },
  { text: 'Two', level: 1 },
  { text: 'Three', level: 1 },
  { text: 'Four', level: 1 },
])
const items = computed(() => {
  const own = props.text ? readItems(props.text) : []
  return own.length ? own : readItems(sample)
})
const found = computed(() => {
  const words = asked.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return diagramFamilies
    .filter(family => words.every(word => `${family.label} ${family.description} ${family.keywords}`.toLowerCase().includes(word)))
    .map(family => ({ family, drawing: family.draw(items.value, size, {}) }))
})
</script>

<template>
  <FinderBox v-model:asked="asked" label="Find a family of diagrams" hint="What it shall say" :width="376">
    <slot>
      <UButton size="sm">{{ props.words ?? 'Diagram' }}</UButton>
    </slot>
    <template #found="{ close }">
      <div class="families">
        <UButton
          v-for="{ family, drawing } in found"
          :key="family.name"
          variant="bare"
          class="family"
          :title="family.description"
          :data-family="family.name"
          @click="
            () => {
              emit('choose', family.name)
              close()
            }
          "
        >
          <svg :viewBox="`-4 -4 ${size.width + 8} ${size.height + 8}`" aria-hidden="true">
            <path v-for="(shape, index) in drawing.back" :key="`b${index}`" :d="shape.d" :class="shape.look" />
            <template v-for="(item, index) in drawing.items" :key="index">
              <path v-for="(link, at) in item.links" :key="`l${at}`" :d="link.d + (link.head ?? '')" class="link" />
            </template>
            <template v-for="(item, index) in drawing.items" :key="`i${index}`">
              <path v-for="(shape, at) in item.shapes" :key="at" :d="shape.d" :class="shape.look" />
            </template>
          </svg>
          <span>{{ family.label }}</span>
        </UButton>
        <p v-if="!found.length" class="quiet small">None says that. Try another word.</p>
      </div>
    </template>
  </FinderBox>
</template>

<style scoped>
.families {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px;
  max-height: 380px;
  overflow-y: auto;
}
.family {
  border: 1px solid var(--line);
  background: none;
  color: inherit;
  font: inherit;
  font-size: 12.5px;
  border-radius: 8px;
  padding: 6px;
  cursor: pointer;
  display: flex;
  flex-direction: column;
  gap: 3px;
  align-items: center;
}
.family:hover,
.family:focus-visible {
  border-color: var(--act);
  background: var(--act-wash);
}
.family svg {
  width: 100%;
  height: 64px;
}
.solid {
  fill: var(--act);
}
.soft {
  fill: color-mix(in srgb, var(--act) 26%, var(--panel));
}
.glass {
  fill: var(--act);
  opacity: 0.45;
}
.line {
  fill: var(--panel);
  stroke: var(--act);
  stroke-width: 1.5;
}
.link {
  fill: none;
  stroke: var(--third);
  stroke-width: 1.6;
}
.small {
  font-size: 12.5px;
}
</style>
