<script setup lang="ts">
import type { PasteQuestion } from '~/composables/clipboard'

/** What was pasted could be one thing or another: asked once. */
const question = defineModel<PasteQuestion | null>({ required: true })
const open = computed({
  get: () => !!question.value,
  set: shown => {
    if (!shown) question.value = null
  },
})
function take(answer: PasteQuestion['answers'][number]) {
  question.value = null
  void answer.take()
}
</script>

<template>
  <UModal v-model:open="open" title="What shall it become?" :description="question?.words ?? ''">
    <template #body>
      <div class="answers">
        <UButton v-for="answer in question?.answers ?? []" :key="answer.label" class="answer" @click="take(answer)">
          <b>{{ answer.label }}</b>
          <span class="quiet">{{ answer.says }}</span>
        </UButton>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.answers {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: 1fr;
  gap: 10px;
}
.answer {
  flex-direction: column;
  padding: 16px;
  white-space: normal;
}
</style>
