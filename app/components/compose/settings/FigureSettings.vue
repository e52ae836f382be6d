<script setup lang="ts">
import { deckTheme, speaks, type FigureElement, type FigureLook, type Theme } from '#core/model'
import { setFields } from '#core/edits'
import type { ShownElement } from '#core/resolved'
import type { Color } from '#core/values'
import { figureLook, poseNamed } from '#core/figures'

/** A drawn person: pose, body, hair, clothes and colours. The one that stands for the speaker is dressed for the whole deck. */
const props = defineProps<{ element: FigureElement & ShownElement; theme: Theme }>()
const store = useDeck()
const arranging = useArranging()
const set = (label: string, fields: Partial<FigureElement>) => arranging.set(label, fields)
const look = computed(() => figureLook(props.element, deckTheme(store.current)))
function dress(fields: Partial<FigureLook>) {
  const next = { ...look.value, ...fields }
  if (props.element.speaker)
    store.edit('dress the speaker', setFields(store.current, { table: 'theme', id: 'theme', fields: { speaker: next } }))
  else set('dress', { look: next })
}
const speakers = computed(
  () => Object.values(store.current.elements).filter(element => element.kind === 'figure' && element.speaker).length,
)
function standFor(speaker: boolean) {
  // The first to stand for the speaker brings its own look along; one that ceases to keeps the look it had.
  const first = speaker && !deckTheme(store.current).speaker
  store.edit(speaker ? `let ${props.element.name} stand for the speaker` : `let ${props.element.name} be somebody else`, [
    ...(first ? setFields(store.current, { table: 'theme', id: 'theme', fields: { speaker: look.value } }) : []),
    ...setFields(store.current, {
      table: 'elements',
      id: props.element.id,
      fields: { speaker: speaker || undefined, look: speaker ? undefined : look.value },
    }),
  ])
}
const bodies = { slim: 'slim', medium: 'medium', broad: 'broad', child: 'a child' }
const hairs = {
  none: 'none',
  short: 'short',
  side: 'parted',
  bob: 'to the chin',
  long: 'long',
  bun: 'in a bun',
  curls: 'curls',
  cap: 'under a cap',
  scarf: 'under a scarf',
}
const tops = { shirt: 'shirt', 'short sleeves': 'short sleeves', jacket: 'jacket', vest: 'waistcoat', coat: 'coat', dress: 'dress' }
const bottoms = { trousers: 'trousers', shorts: 'shorts', skirt: 'skirt' }
const skins = ['#f3d3b8', '#e3b58f', '#d9a47c', '#b97f55', '#8a5a3c', '#5c3a26']
const colored = (color: Color | null, take: (color: Color) => void) => {
  if (color) take(color)
}
</script>

<template>
  <section>
    <div class="row">
      <span class="label">Pose</span>
      <FigureFinder :look="look" :words="poseNamed(element.pose).label" @choose="pose => set('pose', { pose })" />
    </div>
    <div class="row">
      <span class="label">Turned</span>
      <ViewSwitch
        label="Turned"
        :views="[
          { value: 'left', label: 'left' },
          { value: 'right', label: 'right' },
        ]"
        :value="element.facing ?? 'right'"
        @show="facing => set('turn', { facing: facing as 'left' })"
      />
    </div>
    <label class="row">
      <span class="label">Stands for the speaker</span>
      <UCheckbox :model-value="!!element.speaker" @update:model-value="on => standFor(on === true)" />
    </label>
    <label class="row">
      <span class="label">Face moves with the voice</span>
      <UCheckbox :model-value="speaks(element)" @update:model-value="on => set('let the face speak', { speaks: on === true })" />
    </label>
    <p v-if="element.speaker" class="quiet small">
      {{ speakers === 1 ? 'Dressed here for the whole deck.' : `Dressed here for all ${speakers} places where the speaker stands.` }}
    </p>
    <div class="row">
      <span class="label">Body</span>
      <ChoiceField :model-value="look.body" :items="choicesOf(bodies)" label="Body" @update:model-value="next => dress({ body: next })" />
    </div>
    <div class="row">
      <span class="label">Skin</span>
      <span class="pair">
        <UButton
          v-for="skin in skins"
          :key="skin"
          variant="bare"
          class="swatch"
          :class="{ on: 'hex' in look.skin && look.skin.hex === skin }"
          :style="{ background: skin }"
          :aria-label="`Skin ${skin}`"
          @click="dress({ skin: { hex: skin } })"
        />
      </span>
    </div>
    <div class="row">
      <span class="label">Hair</span>
      <span class="pair">
        <ChoiceField
          :model-value="look.hair.style"
          :items="choicesOf(hairs)"
          label="Hair"
          @update:model-value="next => dress({ hair: { ...look.hair, style: next } })"
        />
        <ColorField
          :model-value="look.hair.color"
          :theme="theme"
          label="Colour of the hair"
          @update:model-value="color => colored(color, next => dress({ hair: { ...look.hair, color: next } }))"
        />
      </span>
    </div>
    <div class="row">
      <span class="label">Beard, glasses</span>
      <span class="pair">
        <UCheckbox :model-value="!!look.beard" aria-label="Beard" @update:model-value="on => dress({ beard: on === true || undefined })" />
        <UCheckbox
          :model-value="!!look.glasses"
          aria-label="Glasses"
          @update:model-value="on => dress({ glasses: on === true || undefined })"
        />
      </span>
    </div>
    <div class="row">
      <span class="label">Above</span>
      <span class="pair">
        <ChoiceField
          :model-value="look.top.style"
          :items="choicesOf(tops)"
          label="Worn above"
          @update:model-value="next => dress({ top: { ...look.top, style: next } })"
        />
        <ColorField
          :model-value="look.top.color"
          :theme="theme"
          label="Colour above"
          @update:model-value="color => colored(color, next => dress({ top: { ...look.top, color: next } }))"
        />
      </span>
    </div>
    <div v-if="['jacket', 'coat', 'vest'].includes(look.top.style)" class="row">
      <span class="label">Beneath it</span>
      <ColorField
        :model-value="look.under ?? { role: 'ground' }"
        :theme="theme"
        label="Colour beneath"
        @update:model-value="color => colored(color, under => dress({ under }))"
      />
    </div>
    <div class="row">
      <span class="label">Below</span>
      <span class="pair">
        <ChoiceField
          :model-value="look.bottom.style"
          :items="choicesOf(bottoms)"
          label="Worn below"
          @update:model-value="next => dress({ bottom: { ...look.bottom, style: next } })"
        />
        <ColorField
          :model-value="look.bottom.color"
          :theme="theme"
          label="Colour below"
          @update:model-value="color => colored(color, next => dress({ bottom: { ...look.bottom, color: next } }))"
        />
      </span>
    </div>
    <div class="row">
      <span class="label">Shoes</span>
      <ColorField
        :model-value="look.shoes"
        :theme="theme"
        label="Colour of the shoes"
        @update:model-value="color => colored(color, shoes => dress({ shoes }))"
      />
    </div>
    <ShadowField
      :model-value="element.shadow"
      :theme="theme"
      @update:model-value="shadow => arranging.set('set the shadow of', { shadow })"
    />
  </section>
</template>

<style scoped>
.pair {
  display: inline-flex;
  gap: 5px;
  align-items: center;
  min-width: 0;
}
.pair :deep(.choice-field) {
  max-width: 100px;
  overflow: hidden;
  white-space: nowrap;
}
.swatch {
  width: 20px;
  height: 20px;
  border-radius: 50%;
  border: 1px solid var(--line);
  cursor: pointer;
  padding: 0;
}
.swatch.on {
  outline: 2px solid var(--act);
  outline-offset: 1px;
}
.small {
  font-size: 13px;
  margin: 0 0 4px;
}
</style>
