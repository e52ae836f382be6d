<script setup lang="ts">
import { findShapes, outlineOf, type Shape } from '#core/shapes'

/** Finds a shape by name or by what it is for, each drawn as it is. */
const props = defineProps<{ label: string; words?: string; lines?: boolean }>()
const emit = defineEmits<{ choose: [shape: string]; tool: [tool: 'straight' | 'curve' | 'elbow' | 'freehand' | 'connector'] }>()
const asked = ref('')
const groups: Readonly<Record<Shape['group'], string>> = {
  plain: 'Plain',
  round: 'Round',
  'many-sided': 'Many-sided',
  arrows: 'Arrows',
  callouts: 'Callouts',
  signs: 'Signs',
  marks: 'Marks',
  ornaments: 'Ornaments',
}
const found = computed(() => {
  const shapes = findShapes(asked.value)
  return Object.entries(groups)
    .map(([group, label]) => ({ label, shapes: shapes.filter(shape => shape.group === group) }))
    .filter(entry => entry.shapes.length)
})
const tools = [
  ['straight', 'Line', 'M3 29L33 5'],
  ['curve', 'Curve', 'M3 26C12 2 22 34 33 8'],
  ['elbow', 'Corners', 'M3 28H18V7H33'],
  ['freehand', 'By hand', 'M3 20C6 8 10 30 15 16S22 6 24 18S28 28 33 12'],
  ['connector', 'Connector', 'M4 8H18V26H28M24 22L29 26L24 30'],
] as const
const size = { width: 36, height: 28 }
</script>

<template>
  <FinderBox v-model:asked="asked" label="Find a shape" hint="What it is called or for" :width="304">
    <slot>
      <UButton size="sm" :aria-label="props.label">{{ props.words ?? 'Shape' }}</UButton>
    </slot>
    <template #found="{ close }">
      <div class="all">
        <template v-if="props.lines && !asked.trim()">
          <b class="sub">Lines</b>
          <div class="shapes">
            <UButton
              v-for="[tool, name, d] in tools"
              :key="tool"
              variant="bare"
              class="shape"
              :aria-label="name"
              :title="name"
              :data-tool="tool"
              @click="
                () => {
                  emit('tool', tool)
                  close()
                }
              "
            >
              <svg viewBox="0 0 36 34">
                <path :d="d" fill="none" stroke="currentColor" stroke-width="2.5" stroke-linecap="round" stroke-linejoin="round" />
              </svg>
            </UButton>
          </div>
        </template>
        <template v-for="group in found" :key="group.label">
          <b class="sub">{{ group.label }}</b>
          <div class="shapes">
            <UButton
              v-for="shape in group.shapes"
              :key="shape.name"
              variant="bare"
              class="shape"
              :aria-label="shape.label"
              :title="shape.label"
              :data-shape="shape.name"
              @click="
                () => {
                  emit('choose', shape.name)
                  close()
                }
              "
            >
              <svg viewBox="-2 -4 40 36">
                <path :d="outlineOf({ shape: shape.name, radius: 7 }, size)" fill-rule="evenodd" fill="currentColor" />
              </svg>
            </UButton>
          </div>
        </template>
        <p v-if="!found.length" class="quiet small">None is called so. Try another word for it.</p>
      </div>
    </template>
  </FinderBox>
</template>

<style scoped>
.all {
  max-height: 400px;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  gap: 3px;
}
.sub {
  font-size: 12.5px;
  color: var(--second);
  margin-top: 4px;
}
.shapes {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 2px;
}
.shape {
  border: 0;
  background: none;
  color: var(--act);
  border-radius: 6px;
  cursor: pointer;
  padding: 4px;
}
.shape:hover,
.shape:focus-visible {
  background: var(--act-wash);
}
.shape svg {
  width: 100%;
  height: 30px;
}
.small {
  font-size: 12.5px;
}
</style>
