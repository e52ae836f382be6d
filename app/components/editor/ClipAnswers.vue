<script setup lang="ts">
import { answersOf, fits } from '#core/timing'

/** Clips and voices that do not end with their slide, each with the answers side by side and what comes of them. */
const store = useDeck()
const where = useWhere()
const planned = computed(() => store.plan?.slides.find(slide => slide.slide === where.slideId))
const open = computed(() =>
  (planned.value?.beats.at(-1)?.openEnded ? [] : (planned.value?.score.clips ?? []).filter(fit => !fits(fit))).map(fit => ({
    fit,
    answers: answersOf(store.current, store.plan!, planned.value!, fit),
  })),
)
</script>

<template>
  <div v-for="{ fit, answers } in open" :key="fit.element ?? fit.sound ?? ''" class="notice" data-test="clip-answers">
    <p>
      “{{ fit.name }}” plays {{ secondsWords(fit.seconds) }}, {{ secondsWords(Math.abs(fit.beyond)) }}
      {{ fit.beyond > 0 ? 'longer' : 'shorter' }} than there is time.
    </p>
    <template v-if="store.canEdit">
      <UButton
        v-for="answer in answers"
        :key="answer.kind"
        size="sm"
        class="answer"
        @click="store.edit(answer.label.toLowerCase(), answer.changes)"
      >
        <b>{{ answer.label }}</b>
        <span>{{ answer.result }}</span>
      </UButton>
    </template>
  </div>
</template>

<style scoped>
.notice {
  margin-bottom: 8px;
  font-size: 13.5px;
}
.notice p {
  margin: 0 0 6px;
}
.answer {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 0;
  width: 100%;
  margin-top: 4px;
  border-radius: 8px;
  white-space: normal;
  text-align: left;
  line-height: 1.3;
}
.answer b {
  font-weight: 600;
}
</style>
