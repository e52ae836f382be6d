<script setup lang="ts">
import { dropRecord, type PictureElement, type Theme } from '#core/model'
import { setFields } from '#core/edits'
import type { ShownElement } from '#core/resolved'
import { viewOf } from '#core/place'
import { outlineOf, shapeNamed } from '#core/shapes'

/** A picture's frame and its place in it. Swapping the picture keeps all of this. */
const props = defineProps<{ element: PictureElement & ShownElement; theme: Theme }>()
const emit = defineEmits<{ picture: [] }>()
const store = useDeck()
const where = useWhere()
const stage = useStage()
const arranging = useArranging()
const set = (label: string, fields: Partial<PictureElement>) => arranging.set(label, fields)
const usual = ['rectangle', 'rounded', 'circle', 'arch', 'hexagon', 'blob', 'torn'] as const
const shape = computed(() => (props.element.frame?.words ? 'words' : (props.element.frame?.shape ?? 'rectangle')))
const view = computed(() => viewOf(props.element))
/** A round frame is round: the box becomes as high as it is wide about its own middle. */
function frame(name: string) {
  const { box } = props.element
  const round = (name === 'circle' || name === 'hexagon') && Math.abs(box.width - box.height) > 1 && !where.isForm
  const side = Math.min(box.width, box.height)
  set('frame', {
    frame: name === 'rectangle' ? undefined : { shape: name, ...(name === 'rounded' ? { radius: props.element.frame?.radius ?? 32 } : {}) },
    ...(round ? { box: { ...box, x: box.x + (box.width - side) / 2, y: box.y + (box.height - side) / 2, width: side, height: side } } : {}),
  })
}
const amounts = computed(() =>
  props.element.frame && !props.element.frame.words ? (shapeNamed(props.element.frame.shape).amounts ?? []) : [],
)
const label = (name: string) => (name === 'circle' ? 'Circle' : shapeNamed(name).label)
function asGround() {
  const slide = store.current.slides[props.element.owner]
  if (!slide || !props.element.media || !props.element.natural) return
  store.edit(`make ${props.element.name} the background`, [
    ...setFields(store.current, {
      table: 'slides',
      id: slide.id,
      fields: {
        backdrop: {
          ...slide.backdrop,
          fill: {
            kind: 'picture',
            media: props.element.media,
            natural: props.element.natural,
            ...(props.element.view ? { view: props.element.view } : {}),
          },
        },
      },
    }),
    ...(props.element.placeholder
      ? setFields(store.current, { table: 'elements', id: props.element.id, fields: { media: undefined, natural: undefined } })
      : [dropRecord('elements', props.element.id)]),
  ])
}
</script>

<template>
  <section>
    <PictureRows v-if="store.current.slides[element.owner]?.rows && !element.logo" :element="element" />
    <div class="row">
      <span class="label">Picture</span>
      <span class="pair">
        <UButton size="sm" @click="emit('picture')">{{ element.media ? 'Swap it' : 'Choose one' }}</UButton>
      </span>
    </div>
    <b class="sub">Frame</b>
    <div class="frames">
      <UButton
        v-for="name in usual"
        :key="name"
        variant="bare"
        class="frame"
        :class="{ on: shape === name }"
        :aria-label="label(name)"
        :title="label(name)"
        :data-frame="name"
        @click="frame(name)"
      >
        <svg viewBox="-1 -1 34 26">
          <path
            :d="
              outlineOf(
                { shape: name, radius: 6 },
                name === 'circle' || name === 'hexagon' ? { width: 24, height: 24 } : { width: 32, height: 24 },
              )
            "
            :transform="name === 'circle' || name === 'hexagon' ? 'translate(4 0)' : undefined"
          />
        </svg>
      </UButton>
      <ShapeFinder label="Any shape as the frame" words="Any" @choose="frame" />
    </div>
    <div v-if="element.frame?.shape === 'rounded' && !element.frame.words" class="row">
      <span class="label">Corners</span>
      <NumberField
        :model-value="element.frame.radius ?? 32"
        label="Corners"
        unit="px"
        :min="0"
        :max="1000"
        :step="4"
        @update:model-value="radius => set('frame', { frame: { ...element.frame!, radius, amounts: undefined } })"
      />
    </div>
    <template v-for="amount in amounts" :key="amount.name">
      <div v-if="element.frame?.shape !== 'rounded'" class="row">
        <span class="label">{{ amount.label }}</span>
        <NumberField
          :model-value="element.frame?.amounts?.[amount.name] ?? amount.initial"
          :label="amount.label"
          :min="amount.min"
          :max="amount.max"
          :step="amount.whole ? 1 : 0.05"
          :decimals="amount.whole ? 0 : 2"
          @update:model-value="
            value => set('frame', { frame: { ...element.frame!, amounts: { ...element.frame!.amounts, [amount.name]: value } } })
          "
        />
      </div>
    </template>
    <div class="row">
      <span class="label">Seen through words</span>
      <WordsField
        :model-value="element.frame?.words ?? ''"
        class="words"
        maxlength="60"
        placeholder="none"
        aria-label="Seen through words"
        @update:model-value="
          words =>
            set('frame', {
              frame: words.trim() ? { shape: element.frame?.shape ?? 'rectangle', words: words.trim() } : undefined,
            })
        "
      />
    </div>
    <template v-if="element.media">
      <UButton v-if="store.canEdit && !element.logo && stage.chosen.length === 1" class="start" @click="stage.framing = element.id">
        Place it in its frame
      </UButton>
      <div class="row">
        <span class="label">Enlarged</span>
        <NumberField
          :model-value="view.zoom * 100"
          label="Enlarged"
          unit="%"
          :min="100"
          :max="2000"
          :step="5"
          @update:model-value="zoom => set('enlarge', { view: { ...view, zoom: zoom / 100 } })"
        />
      </div>
      <div class="row">
        <span class="label">Shown part</span>
        <span class="pair">
          <NumberField
            :model-value="view.x * 100"
            label="Across"
            unit="%"
            :min="0"
            :max="100"
            :step="5"
            @update:model-value="x => set('shift', { view: { ...view, x: x / 100 } })"
          />
          <NumberField
            :model-value="view.y * 100"
            label="Down"
            unit="%"
            :min="0"
            :max="100"
            :step="5"
            @update:model-value="y => set('shift', { view: { ...view, y: y / 100 } })"
          />
        </span>
      </div>
      <div v-if="element.view" class="row">
        <UButton size="sm" @click="set('place', { view: undefined })">
          {{ element.focus ? 'Back to what matters in it' : 'Back to its middle' }}
        </UButton>
      </div>
      <UButton
        v-if="store.current.slides[element.owner] && stage.chosen.length === 1 && !where.isForm"
        size="sm"
        class="start"
        @click="asGround"
      >
        Make it the slide’s background
      </UButton>
    </template>
  </section>
</template>

<style scoped>
.pair {
  display: inline-flex;
  gap: 5px;
}
.pair {
  --number-width: 64px;
}
.sub {
  font-size: 13px;
  color: var(--second);
}
.frames {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 4px;
  padding: 4px 0;
}
.frame {
  border: 1px solid var(--line);
  background: none;
  border-radius: 7px;
  padding: 5px;
  cursor: pointer;
  color: var(--second);
}
.frame.on {
  border-color: var(--act);
  background: var(--act-wash);
  color: var(--act);
}
.frame svg {
  width: 100%;
  height: 24px;
  fill: currentColor;
}
.words {
  width: 120px;
}
.start {
  align-self: flex-start;
  margin: 4px 0;
}
</style>
