<script setup lang="ts">
import type { ColumnChoice, ReadingReport } from '#core/data'

/**
 * How a column was read, above it: a sentence whose underlined words open the other ways of reading it, or the question that is open with
 * its answers as buttons.
 */
const props = defineProps<{ reading: ReadingReport['columns'][number]; canEdit: boolean }>()
const emit = defineEmits<{ decide: [label: string, choice: ColumnChoice | undefined] }>()
const shown = ref(false)
const offers = computed(() => props.reading.offers)
const isNow = (choice: ColumnChoice) => JSON.stringify(choice) === JSON.stringify(props.reading.choice)
function decide(label: string, choice: ColumnChoice | undefined) {
  shown.value = false
  emit('decide', `${props.reading.name}: ${label}`, choice)
}
/** The figures choose; the list itself has the arrows and Escape. */
function onKey(event: KeyboardEvent) {
  const offer = /^[1-9]$/.test(event.key) ? offers.value[Number(event.key) - 1] : undefined
  if (!offer) return
  event.preventDefault()
  decide(offer.label, offer.choice)
}
const cellWords = computed(() => (props.reading.sample ? `“${props.reading.sample}”` : 'nothing stands here'))
</script>

<template>
  <div class="how" :class="{ open: reading.open }">
    <template v-if="reading.open">
      <p>
        <b>Which is it?</b>
        {{ reading.open.question }}
      </p>
      <p v-if="canEdit" class="answers">
        <UButton
          v-for="answer in reading.open.answers"
          :key="answer.label"
          size="sm"
          data-question
          @click="decide(answer.label, answer.choice)"
        >
          {{ answer.label }}
        </UButton>
      </p>
    </template>
    <UPopover v-else-if="canEdit" v-model:open="shown">
      <UButton variant="bare" class="sentence" :aria-label="`How ${reading.name} is read: ${reading.words.replaceAll('*', '')}`">
        <span v-if="reading.isChosen" class="chosen" title="Decided by hand" />
        <template v-for="(part, at) in partsOf(reading.words)" :key="at">
          <u v-if="part.changeable">{{ part.text }}</u>
          <template v-else>{{ part.text }}</template>
        </template>
      </UButton>
      <template #content>
        <div class="readings" @keydown="onKey">
          <p class="head">
            <b>Read {{ reading.name }} as</b>
            <kbd v-if="offers.length > 1">1 to {{ Math.min(9, offers.length) }}</kbd>
          </p>
          <div role="radiogroup" :aria-label="`Read ${reading.name} as`">
            <UButton
              v-for="offer in offers"
              :key="offer.label"
              variant="bare"
              class="offer"
              role="radio"
              :aria-checked="isNow(offer.choice)"
              :class="{ now: isNow(offer.choice) }"
              @click="decide(offer.label, offer.choice)"
            >
              <span class="label">{{ offer.label }}</span>
              <span class="amount quiet">
                {{ numberWords(offer.reads) }} of {{ numberWords(offer.of) }}{{ reading.sampled ? ' looked at' : '' }}
              </span>
              <span v-if="offer.example && offer.example.shown !== offer.example.cell" class="example">
                “{{ offer.example.cell }}” is {{ offer.example.shown }}
              </span>
            </UButton>
          </div>
          <UButton v-if="reading.isChosen" variant="bare" class="back" @click="decide('back to the guess', undefined)">
            Back to the guess
          </UButton>
          <p class="quiet">Your choice is kept for the versions that follow.</p>
        </div>
      </template>
    </UPopover>
    <p v-else>{{ reading.words.replaceAll('*', '') }}</p>
    <p class="cell" :title="reading.sample">{{ cellWords }}</p>
  </div>
</template>

<style scoped>
.how {
  height: 112px;
  padding: 9px 10px 7px;
  display: flex;
  flex-direction: column;
  gap: 6px;
  font-size: 12.5px;
  line-height: 1.35;
  font-weight: 400;
  text-align: left;
  color: var(--second);
}
.how.open {
  background: var(--now-wash);
  color: var(--now-ink);
}
.how p {
  margin: 0;
}
.sentence {
  border: 0;
  background: none;
  padding: 0;
  font: inherit;
  color: inherit;
  text-align: left;
  cursor: pointer;
  border-radius: 4px;
}
.sentence u {
  color: var(--act);
  font-weight: 600;
  text-underline-offset: 3px;
}
.sentence:hover u {
  color: var(--act-deep);
}
.chosen {
  display: inline-block;
  width: 7px;
  height: 7px;
  border-radius: 50%;
  background: var(--act);
  margin-right: 5px;
  vertical-align: 1px;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}
.cell {
  margin-top: auto !important;
  font-family: 'Spline Sans Mono', monospace;
  font-size: 12px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.readings {
  width: 330px;
  max-width: 90vw;
  padding: 12px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  font-size: 13.5px;
}
.readings p {
  margin: 0;
  font-size: 12.5px;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  overflow-wrap: anywhere;
}
.offer {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 1px 12px;
  width: 100%;
  padding: 7px 9px;
  border: 0;
  border-radius: 8px;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.offer:hover,
.offer.now {
  background: var(--act-wash);
}
.offer.now .label {
  font-weight: 600;
}
.example {
  grid-column: 1 / -1;
  font-family: 'Spline Sans Mono', monospace;
  font-size: 12px;
  color: var(--second);
  overflow-wrap: anywhere;
}
.back {
  align-self: start;
  color: var(--act);
}
</style>
