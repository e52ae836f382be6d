<script setup lang="ts">
import type { AlikeBy } from '#core/timing'
import type { MotionOnto } from '~/stores/motions'

/** Asks what the motion of an element, or motion of the team, is put on; the score and the stage show it as it would be. */
const motions = useMotions()
const name = ref('')
const root = useTemplateRef('root')
// What is tried out is nowhere any more when this is left in another way.
onBeforeUnmount(() => motions.stop())
onMounted(() => root.value!.querySelector('button')?.focus())
const ontoWords: Readonly<Record<MotionOnto, string>> = {
  it: 'this element',
  selected: 'the selected elements',
  slide: 'others on this slide',
  chapter: 'others in this chapter',
  deck: 'others in the deck',
}
const isText = computed(() => motions.element?.kind === 'text')
const isTitle = computed(() => isText.value && motions.element?.placeholder === 'title')
const alike = computed((): { value: AlikeBy; label: string }[] => [
  { value: 'style', label: isTitle.value ? 'titles' : isText.value ? 'texts of its style' : 'elements of its kind' },
  ...(isText.value ? [{ value: 'kind' as const, label: 'all texts' }] : []),
  { value: 'any', label: 'elements of all kinds' },
])
const ranges = computed(() => ['slide', 'chapter', 'deck'].includes(motions.onto))
const told = computed(() => {
  const { elements, onSlides, losing, changes } = motions
  if (!motions.own && !motions.named.length) return 'It has no motion, and the team keeps none yet.'
  if (!elements.length || !changes.length) return 'There is no other element of its kind.'
  const count = elements.length === 1 ? 'One element moves so' : `${elements.length} elements move so`
  const slides = onSlides > 1 ? ` on ${onSlides} slides` : ''
  return `${count}${slides}.${losing ? ` ${losing === 1 ? 'One loses' : `${losing} lose`} the motion of the same use that it has.` : ''}`
})
async function keep() {
  const words = name.value.trim()
  if (!words) return
  await motions.keep(words)
  name.value = ''
}
</script>

<template>
  <div ref="root" class="apply" role="group" aria-label="Apply motion" @keydown.esc.stop="motions.stop()">
    <p class="head">
      <b>Apply motion</b>
      <span class="quiet">from {{ motions.element?.name }}</span>
    </p>
    <div class="fields">
      <label>
        <span class="label">Motion</span>
        <span class="with">
          <ChoiceField
            v-model="motions.chosen"
            :items="[
              ...(motions.own
                ? [{ value: null, label: motions.own.cues.length === 1 ? 'its own' : `its own, ${motions.own.cues.length} cues` }]
                : []),
              ...motions.named.map(one => ({ value: one.id, label: one.name })),
            ]"
            label="Motion"
            placeholder="none"
          />
          <UButton
            v-if="motions.chosen"
            variant="ghost"
            icon="i-lucide-trash-2"
            aria-label="Remove this motion of the team"
            title="Remove this motion of the team"
            @click="motions.drop(motions.chosen)"
          />
        </span>
      </label>
      <label>
        <span class="label">Onto</span>
        <ChoiceField v-model="motions.onto" :items="motions.places.map(value => ({ value, label: ontoWords[value] }))" label="Onto" />
      </label>
      <label v-if="ranges">
        <span class="label">Which</span>
        <ChoiceField v-model="motions.by" :items="alike" label="Which" />
      </label>
      <label class="yes">
        <UCheckbox v-model="motions.isReversed" />
        reversed: goes as it came, last first
      </label>
      <label class="yes">
        <UCheckbox v-model="motions.replaces" />
        in place of motion of the same use
      </label>
    </div>
    <p role="status">{{ told }}</p>
    <div class="presses">
      <UButton color="primary" variant="solid" :disabled="!motions.changes.length" @click="motions.apply()">Apply</UButton>
      <UButton variant="ghost" @click="motions.stop()">Cancel</UButton>
      <form v-if="motions.own && !motions.chosen" class="keep" @submit.prevent="keep">
        <UInput v-model="name" placeholder="Name for the team" aria-label="Name for the team" maxlength="120" />
        <UButton type="submit" :disabled="!name.trim()">Save motion</UButton>
      </form>
    </div>
  </div>
</template>

<style scoped>
.apply {
  width: min(560px, 80vw);
}
p {
  margin: 0 0 10px;
}
.head {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 16px;
  margin-bottom: 10px;
}
.fields label {
  display: flex;
  align-items: center;
  gap: 8px;
  min-width: 0;
}
.label {
  flex: none;
  width: 52px;
  color: var(--second);
}
.with {
  display: flex;
  min-width: 0;
}
.presses,
.keep {
  display: flex;
  gap: 8px;
}
.keep {
  margin-left: auto;
}
</style>
