<script setup lang="ts">
/** A minute through the five phases: each step shows its phase and says what is done there. It can be left at any time. */
const emit = defineEmits<{ go: [phase: string]; done: [] }>()
const steps: readonly { phase: PhaseName; title: string; says: string }[] = [
  {
    phase: 'outline',
    title: 'Write what you will say',
    says: 'A line a slide. Paste a whole page at once: each slide gets a layout that suits its words, and others to choose from.',
  },
  {
    phase: 'compose',
    title: 'Make it look right',
    says: 'Add pictures, charts and shapes, drag them about, press twice to write. Look holds colours, fonts and the logo for all slides.',
  },
  {
    phase: 'time',
    title: 'Let it move at the right moment',
    says: 'Beats stand across, elements down. Give an element a motion, drag its bar, press Space to see it.',
  },
  {
    phase: 'check',
    title: 'See what is not right yet',
    says: 'What is too short to read, too pale or cut off is found here, most of it with a remedy in one press.',
  },
  {
    phase: 'deliver',
    title: 'Show it',
    says: 'The same deck is a talk, a film or a loop on screens. Press / at any time to find whatever you look for.',
  },
]
const at = ref(0)
const step = computed(() => steps[at.value]!)
watch(step, now => emit('go', now.phase), { immediate: true })
const next = () => (at.value + 1 < steps.length ? at.value++ : emit('done'))
const box = useTemplateRef('box')
onMounted(() => box.value?.focus())
onKeys(event => event.key === 'Escape' && emit('done'))
</script>

<template>
  <section ref="box" class="tour" aria-label="The tour" tabindex="-1">
    <p class="amount quiet">{{ at + 1 }} of {{ steps.length }}</p>
    <h2>{{ step.title }}</h2>
    <p>{{ step.says }}</p>
    <div class="acts">
      <UButton color="primary" variant="solid" @click="next">{{ at + 1 < steps.length ? 'Next' : 'Begin' }}</UButton>
      <UButton v-if="at" variant="ghost" @click="at--">Back</UButton>
      <UButton variant="ghost" class="leave" @click="emit('done')">Leave the tour</UButton>
    </div>
  </section>
</template>

<style scoped>
.tour {
  position: fixed;
  right: 24px;
  bottom: 172px;
  z-index: 40;
  width: 340px;
  padding: 16px 18px;
  background: var(--panel);
  border: 1px solid var(--act);
  border-radius: 10px;
  box-shadow: var(--shadow);
}
h2 {
  font-size: 18px;
  margin: 2px 0 6px;
}
p {
  margin: 0;
}
.acts {
  display: flex;
  gap: 6px;
  margin-top: 14px;
}
.leave {
  margin-left: auto;
}
</style>
