<script setup lang="ts">
import type { Change, ElementKind } from '#core/model'
import {
  cuesApart,
  effectNamed,
  followUsual,
  followUsualTransition,
  setUsual,
  setUsualTransition,
  slidesApart,
  transitionNamed,
  usualMotion,
  usualTransition,
} from '#core/timing'

/** How parts of a kind, or slides, usually come in this deck: made usual from what is shown, followed by it, or by all that differ. */
const props = defineProps<{ what: 'enter' | 'exit' | 'transition'; cue?: string; kind?: ElementKind; slide?: string }>()
const store = useDeck()
const deck = computed(() => store.current)
const usual = computed(() => (props.what === 'transition' ? usualTransition(deck.value) : usualMotion(deck.value, props.what, props.kind!)))
const apart = computed(() =>
  props.what === 'transition' ? slidesApart(deck.value) : cuesApart(deck.value, props.what, props.kind!).map(cue => cue.id),
)
const own = computed(() => props.cue ?? props.slide!)
const differs = computed(() => apart.value.includes(own.value))
const others = computed(() => apart.value.filter(id => id !== own.value))
const kinds: Partial<Record<ElementKind, string>> = {
  text: 'Texts',
  picture: 'Pictures',
  shape: 'Shapes',
  icon: 'Icons',
  chart: 'Charts',
  diagram: 'Diagrams',
  table: 'Tables',
  figure: 'Figures',
  group: 'Groups',
}
const whose = computed(() => (props.what === 'transition' ? 'Slides' : ((props.kind && kinds[props.kind]) ?? 'Such elements')))
const does = computed(() => (props.what === 'enter' ? 'enter by' : props.what === 'exit' ? 'exit by' : 'come by'))
const name = computed(
  () =>
    usual.value &&
    (props.what === 'transition' ? transitionNamed(usual.value.effect) : effectNamed(usual.value.effect, props.what)).label.toLowerCase(),
)

const make = () =>
  store.edit(
    'set what is usual',
    props.what === 'transition' ? setUsualTransition(deck.value, { like: own.value }) : setUsual(deck.value, { like: own.value }),
  )
const follow = (ids: readonly string[]) => {
  const changes: Change[] =
    props.what === 'transition'
      ? followUsualTransition(deck.value, { slides: ids })
      : followUsual(deck.value, { what: props.what, kind: props.kind!, cues: ids })
  store.edit('follow what is usual', changes)
  if (changes.length > 1) notify(`${changes.length} follow what is usual now.`)
}
</script>

<template>
  <div class="usual">
    <p v-if="usual" class="quiet">{{ whose }} of this deck usually {{ does }} {{ name }}{{ differs ? '; here it is otherwise' : '' }}.</p>
    <div v-if="store.canEdit" class="presses">
      <UButton v-if="differs" size="sm" @click="follow([own])">As usual</UButton>
      <UButton v-if="!usual || differs" size="sm" @click="make">Make this usual</UButton>
      <UButton v-if="others.length" size="sm" @click="follow(others)">
        {{ others.length === 1 ? 'Let the other one follow' : `Let ${others.length} others follow` }}
      </UButton>
    </div>
  </div>
</template>

<style scoped>
.usual {
  display: flex;
  flex-direction: column;
  gap: 5px;
  margin: 4px 0 8px;
}
.usual p {
  margin: 0;
}
.presses {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
</style>
