<script setup lang="ts">
/** The words of labels that have no room in a chart: how many, and which. */
const props = defineProps<{ words: readonly string[] }>()
const isOpen = ref(false)
/** So many are listed at once. */
const few = 40
const all = ref(false)
const shown = computed(() => (all.value ? props.words : props.words.slice(0, few)))
</script>

<template>
  <div v-if="words.length" class="left-out">
    <UButton variant="bare" class="link" :aria-expanded="isOpen" data-test="left-out" @click="isOpen = !isOpen">
      {{ words.length === 1 ? 'One label has' : `${numberWords(words.length)} labels have` }} no room and
      {{ words.length === 1 ? 'is' : 'are' }} left out.
      <UIcon :name="isOpen ? 'i-lucide-chevron-up' : 'i-lucide-chevron-down'" />
    </UButton>
    <template v-if="isOpen">
      <ul>
        <li v-for="(one, at) in shown" :key="at">{{ one }}</li>
      </ul>
      <UButton v-if="words.length > few" variant="bare" class="link" @click="all = !all">
        {{ all ? 'Fewer' : `${numberWords(words.length - few)} more` }}
      </UButton>
    </template>
  </div>
</template>

<style scoped>
.left-out {
  margin: 0 0 8px;
  font-size: 13px;
  color: var(--second);
}
.link {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  text-align: left;
  color: inherit;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  max-height: 180px;
  margin: 6px 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
li {
  padding: 1px 8px;
  border: 1px solid var(--line);
  border-radius: 999px;
  color: var(--ink);
}
</style>
