<script setup lang="ts">
import type { ContrastRemedy } from '#core/contrast'
import type { TextElement } from '#core/model'
import type { ShownElement } from '#core/resolved'

/** While words lie on a picture, or are too faint: how they stand out on its pixels, and what would help, shown before it is chosen. */
const props = defineProps<{ element: TextElement & ShownElement }>()
const store = useDeck()
const stage = useStage()
const { found, changesOf } = useReadable(() => props.element)
const faint = computed(() => !!found.value && found.value.contrast.ratio < found.value.contrast.needed)
function look(remedy: ContrastRemedy) {
  stage.tries = remedy.fields
  stage.triedSlide = remedy.slide
}
function leave() {
  stage.tries = {}
  stage.triedSlide = null
}
function take(remedy: ContrastRemedy) {
  leave()
  store.edit(`make ${props.element.name} readable: ${remedy.label.toLowerCase()}`, changesOf(remedy))
}
onBeforeUnmount(leave)
/** Cut, never rounded up: what falls short must not read as if it did not. */
const ratio = (value: number) => numberWords(Math.floor(value * 10) / 10, 1)
const where = computed(() => (found.value?.contrast.onPicture ? 'on the picture' : 'on its background'))
const need = computed(() => {
  const { needed, isPlain, below } = found.value!.contrast
  return `needs ${needed} : 1${isPlain ? '' : `; too faint on ${Math.max(1, Math.round(below * 100))} %`}`
})
</script>

<template>
  <div v-if="found" class="readable" :class="{ bad: faint }" data-test="readable" role="status">
    <p>
      <b>{{ faint ? 'Hard to read' : 'Readable' }} {{ where }}</b>
      <span class="amount" title="Contrast on what is seen beneath, by WCAG 2.2: all but the worst twentieth reach it">
        {{ ratio(found.contrast.ratio) }} : 1
      </span>
      <span v-if="faint" class="quiet">
        {{ need }}
      </span>
    </p>
    <p v-if="found.contrast.unseen.length" class="quiet">Not looked at: {{ listWords(found.contrast.unseen) }}</p>
    <div v-if="store.canEdit" class="remedies">
      <UButton
        v-for="remedy in found.remedies"
        :key="remedy.name"
        class="remedy"
        :data-remedy="remedy.name"
        @pointerenter="look(remedy)"
        @pointerleave="leave"
        @focus="look(remedy)"
        @blur="leave"
        @click="take(remedy)"
      >
        <span>{{ remedy.label }}</span>
        <span class="quiet">{{ remedy.says }}, then {{ ratio(remedy.after.ratio) }} : 1</span>
      </UButton>
    </div>
  </div>
</template>

<style scoped>
.readable {
  border: 1px solid var(--line);
  border-radius: 8px;
  padding: 8px 10px;
  display: flex;
  flex-direction: column;
  gap: 6px;
  margin-bottom: 6px;
}
.readable.bad {
  background: var(--now-wash);
  border-color: var(--now);
  color: var(--now-ink);
}
.readable.bad .quiet {
  color: inherit;
}
p {
  margin: 0;
  font-size: 13px;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: baseline;
}
.remedies {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.remedy {
  flex-direction: column;
  align-items: flex-start;
  gap: 0;
  white-space: normal;
  text-align: left;
  padding: 5px 9px;
}
.remedy .quiet {
  font-size: 12.5px;
  color: var(--third) !important;
}
</style>
