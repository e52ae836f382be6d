<script setup lang="ts">
import { groundOf, setFields, textOf, type Slide } from '#core/deck'
import { namedEasings, transitionNamed, transitions } from '#core/timing'

const store = useDeck()
const slide = computed(() => store.deck!.slides[store.slideId!])
const set = (label: string, fields: Partial<Slide>) => slide.value && store.edit(label, setFields(store.deck!, { table: 'slides', id: slide.value.id, fields }))
const kind = computed(() => transitionNamed(slide.value?.transition?.effect ?? 'cut'))
const { boxAt, put } = usePutting()
/** The credit lines of everything the deck shows, as a text on this slide. */
async function putCredits() {
  const lines = await asking(() => $fetch<string[]>(`/api/decks/${store.id}/credits`))
  if (!lines) return
  if (!lines.length) return tell('Nothing in this deck has a credit line. They are written in Media.')
  put('list the credits', { kind: 'text', name: 'Credits', style: 'small', text: textOf(lines), fit: 'shrink', box: boxAt(1200, Math.min(800, 60 + lines.length * 44)) })
}
const value = (event: Event) => (event.target as HTMLInputElement).value
const choose = (effect: string) => set('change the transition', { transition: effect === 'cut' ? undefined : { effect, duration: transitionNamed(effect).duration, easing: namedEasings['ease both ways'] } })
const notes = (event: Event) => store.editText('write notes', setFields(store.deck!, { table: 'slides', id: store.slideId!, fields: { notes: value(event) } }))
</script>

<template>
  <div v-if="slide" class="settings">
    <div class="row"><span class="label">Comes by</span><select class="field" aria-label="Transition" :value="kind.name" @change="choose(value($event))"><option v-for="item in transitions" :key="item.name" :value="item.name">{{ item.label }}</option></select></div>
    <template v-if="slide.transition">
      <div class="row"><span class="label">Takes</span><NumberField :model-value="slide.transition.duration" label="Length of the transition" unit="s" :decimals="1" :step="0.1" :least="0" :most="20" @update:model-value="duration => set('change the transition', { transition: { ...slide!.transition!, duration } })" /></div>
      <div v-for="option in kind.options" :key="option.name" class="row"><span class="label">{{ option.label }}</span><select v-if="option.kind === 'choice'" class="field" :aria-label="option.label" :value="slide.transition.options?.[option.name] ?? option.initial" @change="set('change the transition', { transition: { ...slide!.transition!, options: { ...slide!.transition!.options, [option.name]: value($event) } } })"><option v-for="item in option.values" :key="item.value" :value="item.value">{{ item.label }}</option></select></div>
    </template>
    <div class="row"><span class="label">Ground</span><ColorField :model-value="groundOf(store.deck!, slide)" :theme="store.deck!.theme.theme!" label="Ground" @update:model-value="ground => set('change the ground', { ground: ground ?? undefined })" /></div>
    <button v-if="slide.ground" class="press small back" @click="set('change the ground', { ground: undefined })">Back to the layout’s ground</button>
    <button v-if="store.canEdit && !store.isForm" class="press small back" @click="putCredits">Put the credit lines here</button>
    <label class="notes">Notes for the speaker<textarea class="field" rows="5" :value="slide.notes" :readonly="!store.canEdit" @input="notes" /></label>
  </div>
</template>

<style scoped>
.settings { display: flex; flex-direction: column; gap: 2px; }
.notes { display: flex; flex-direction: column; gap: 4px; color: var(--second); margin-top: 8px; }
.back { align-self: flex-start; }
</style>
