<script setup lang="ts">
import { deckTheme, infoOf, applyChanges, type Deck, type Layout } from '#core/model'
import { dressed } from '#core/looks'
import { layOutAs, richLines, roomFor, setLayout } from '#core/layouts'
import type { LayoutFamily } from '#core/families'

/** One layout as it would show a slide's own words, with the room that it has. Reckoned once it comes into sight. */
const props = defineProps<{
  deck: Deck
  /** The deck with nothing but this slide, so that a way is reckoned as fast in a large one. */ bare: Deck
  slide: string
  /** A family of layouts, or a layout of the deck’s own. */
  way: LayoutFamily | Layout
  reason: string
  chosen: boolean
  disabled: boolean
  width: number
}>()
const emit = defineEmits<{ choose: [] }>()
const stage = useStageHost()
const near = ref(false)

const family = computed(() => ('senses' in props.way ? props.way : undefined))
/** As the deck’s look has it, where it composes it in a way of its own. */
const label = computed(() => ('senses' in props.way ? dressed(props.way, deckTheme(props.deck)).label : props.way.name))
const shown = computed(() => {
  if (!near.value || !props.bare.slides[props.slide]) return null
  let counted = 0
  const context = { id: () => `shown-${counted++}` }
  // An agenda names other slides, so it is shown in the whole deck.
  const { way, slide } = props
  if (!family.value) return applyChanges(props.bare, setLayout(props.bare, { slide, layout: (way as Layout).id }, context))
  const base = family.value.senses[0] === 'agenda' && !richLines(props.bare, slide).length ? props.deck : props.bare
  return applyChanges(base, layOutAs(base, { slide, family: family.value }, context))
})
const room = computed(() =>
  near.value && family.value
    ? roomFor(family.value, richLines(props.bare, props.slide), { deck: props.bare, measurer: stage.host.measurer })
    : null,
)
const ratio = computed(() => infoOf(props.deck).size.height / infoOf(props.deck).size.width)
</script>

<template>
  <UButton
    variant="bare"
    class="way"
    :class="{ chosen }"
    :aria-label="label"
    :aria-pressed="chosen"
    :title="reason"
    :disabled="disabled"
    @click="emit('choose')"
  >
    <span class="frame">
      <NearThumb :deck="shown" :slide="slide" :width="width" :ratio="ratio" prompts :label="label" @near="near = true" />
    </span>
    <span class="caption">
      <b>{{ label }}</b>
      <span v-if="room !== null" class="quiet">{{ room ? `room for ${room}` : 'too small for these words' }}</span>
    </span>
  </UButton>
</template>

<style scoped>
.way {
  border: 0;
  background: none;
  padding: 0;
  text-align: left;
  cursor: pointer;
  font: inherit;
  color: inherit;
}
.frame {
  display: block;
  width: fit-content;
  border: 1px solid var(--line);
  border-radius: 8px;
  overflow: hidden;
  padding: 1px;
}
.way:hover:not(:disabled) .frame {
  border-color: var(--act);
}
.way.chosen .frame {
  border: 2px solid var(--act);
  padding: 0;
}
.way:disabled {
  cursor: default;
}
.caption {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  padding: 5px 2px 0;
  font-size: 13.5px;
}
.caption b {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.caption .quiet {
  white-space: nowrap;
  flex: none;
}
</style>
