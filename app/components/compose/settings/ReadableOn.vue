<script setup lang="ts">
import type { ShownElement, TextElement } from '#core/deck'
import type { Remedy } from '~/composables/readable'

/** While words lie on a picture: how they stand out on its pixels, and what would help, shown before it is chosen. */
const props = defineProps<{ element: TextElement & ShownElement }>()
const store = useDeck()
const stage = useStage()
const { found } = useReadable(() => props.element)
const look = (remedy: Remedy) => { stage.tries = remedy.tries }
const leave = () => { stage.tries = {} }
function take(remedy: Remedy) {
  leave()
  store.edit(`make ${props.element.name} readable: ${remedy.label.toLowerCase()}`, remedy.changes())
}
onBeforeUnmount(leave)
const ratio = (value: number) => value.toFixed(1)
</script>

<template>
  <div v-if="found" class="readable" :class="{ bad: found.readability.ratio < found.needed }" data-test="readable" role="status">
    <p><b>{{ found.readability.ratio < found.needed ? 'Hard to read on the picture' : 'Readable on the picture' }}</b> <span class="amount" title="Contrast on the pixels beneath, by WCAG 2.2: all but the worst twentieth reach it">{{ ratio(found.readability.ratio) }} : 1</span><span v-if="found.readability.ratio < found.needed" class="quiet">needs {{ found.needed }} : 1; too faint on {{ Math.round(found.readability.below * 100) }} %</span></p>
    <div v-if="store.canEdit" class="remedies"><button v-for="remedy in found.remedies" :key="remedy.name" class="press remedy" :data-remedy="remedy.name" @pointerenter="look(remedy)" @pointerleave="leave" @focus="look(remedy)" @blur="leave" @click="take(remedy)"><span>{{ remedy.label }}</span><span class="quiet">{{ remedy.says }}</span></button></div>
  </div>
</template>

<style scoped>
.readable { border: 1px solid var(--line); border-radius: 8px; padding: 8px 10px; display: flex; flex-direction: column; gap: 6px; margin-bottom: 6px; }
.readable.bad { background: var(--now-wash); border-color: var(--now); color: var(--now-ink); }
.readable.bad .quiet { color: inherit; }
p { margin: 0; font-size: 13px; display: flex; flex-wrap: wrap; gap: 2px 8px; align-items: baseline; }
.remedies { display: flex; flex-direction: column; gap: 4px; }
.remedy { flex-direction: column; align-items: flex-start; gap: 0; white-space: normal; text-align: left; padding: 5px 9px; }
.remedy .quiet { font-size: 12.5px; color: var(--third) !important; }
</style>
