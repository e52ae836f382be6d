<script setup lang="ts">
import { deckTheme, type Backdrop, type GroundFill } from '#core/model'
import { setFields } from '#core/edits'
import { backdropOf, themeUnder } from '#core/resolved'
import type { Color } from '#core/values'

/** What lies beneath everything: for the whole theme, a master, a layout or one slide. */
const store = useDeck()
const where = useWhere()
type Level = 'theme' | 'master' | 'layout' | 'slide'
const level = ref<Level>('theme')
const slide = computed(() => (where.slideId ? store.current.slides[where.slideId] : undefined))
const layout = computed(() => store.current.layouts[slide.value?.layout ?? ''])
const master = computed(() => store.current.masters[layout.value?.master ?? ''])
const levels = computed(() => [
  { value: 'theme' as const, label: 'Every slide' },
  { value: 'master' as const, label: `Master ${master.value?.name ?? ''}` },
  { value: 'layout' as const, label: `Layout ${layout.value?.name ?? ''}` },
  { value: 'slide' as const, label: 'This slide only' },
])
const owner = computed(
  () => ({ theme: deckTheme(store.current), master: master.value, layout: layout.value, slide: slide.value })[level.value],
)
const table = computed(() => (({ theme: 'theme', master: 'masters', layout: 'layouts', slide: 'slides' }) as const)[level.value])
const theme = computed(() => (slide.value ? themeUnder(store.current, slide.value.id) : deckTheme(store.current)))
const own = computed<Backdrop>(() => owner.value?.backdrop ?? {})
const shown = computed<Backdrop>(() => (slide.value ? { ...backdropOf(store.current, slide.value), ...own.value } : own.value))
const set = (label: string, fields: { ground?: Color; backdrop?: Backdrop }) =>
  owner.value && store.edit(label, setFields(store.current, { table: table.value, id: owner.value.id, fields }))
const put = (part: Partial<Backdrop>) => set('change the background', { backdrop: { ...own.value, ...part } })
const fills = [
  { kind: 'plain', label: 'Plain' },
  { kind: 'linear', label: 'Gradient' },
  { kind: 'radial', label: 'Gradient from a point' },
  { kind: 'corners', label: 'Four corners' },
  { kind: 'picture', label: 'Picture' },
] as const
const fill = computed(() => own.value.fill ?? null)
const picker = useTemplateRef('picker')
function choose(kind: (typeof fills)[number]['kind']) {
  if (kind === 'picture') return picker.value?.open()
  const base: Color = { role: 'ground' }
  const made: Readonly<Record<'linear' | 'radial' | 'corners', GroundFill>> = {
    linear: {
      kind: 'linear',
      angle: 160,
      stops: [
        { color: base, at: 0 },
        { color: { role: 'accent1', tint: 0.75 }, at: 1 },
      ],
    },
    radial: {
      kind: 'radial',
      x: 0.3,
      y: 0.2,
      stops: [
        { color: base, at: 0 },
        { color: { role: 'accent2', tint: 0.7 }, at: 1 },
      ],
    },
    corners: {
      kind: 'corners',
      colors: [base, { role: 'accent1', tint: 0.8 }, { role: 'accent2', tint: 0.7 }, { role: 'accent3', tint: 0.8 }],
    },
  }
  put({ fill: kind === 'plain' ? null : made[kind] })
}
async function takePicture(file: File) {
  const media = await uploadPicture(file)
  if (media)
    put({
      fill: {
        kind: 'picture',
        media: media.hash,
        natural: { width: media.width ?? 1600, height: media.height ?? 900 },
        veil: { role: 'ground', alpha: 0.55 },
      },
    })
}
const textures = [
  ['none', 'None'],
  ['paper', 'Paper'],
  ['linen', 'Linen'],
  ['chalkboard', 'Chalkboard'],
  ['grain', 'Grain'],
] as const
const setTexture = (kind: string) =>
  put({ texture: kind === 'none' ? null : { kind: kind as 'paper', strength: shown.value.texture?.strength ?? 0.5 } })
const setStop = (index: number, color: Color | null) => {
  const current = fill.value
  if (!color || (current?.kind !== 'linear' && current?.kind !== 'radial')) return
  put({ fill: { ...current, stops: current.stops.map((stop, at) => (at === index ? { ...stop, color } : stop)) } })
}
const setCorner = (index: number, color: Color | null) => {
  const current = fill.value
  if (color && current?.kind === 'corners')
    put({ fill: { ...current, colors: current.colors.map((known, at) => (at === index ? color : known)) } })
}
const corners = ['Top left', 'Top right', 'Bottom right', 'Bottom left']
const says = computed(() => owner.value?.ground !== undefined || owner.value?.backdrop !== undefined)
</script>

<template>
  <div class="desk own">
    <label class="level">
      For
      <ChoiceField v-model="level" :items="levels.map(one => ({ value: one.value, label: one.label }))" label="Background of" />
    </label>
    <template v-if="owner">
      <div class="row">
        <span class="label">Colour</span>
        <ColorField
          :model-value="owner.ground ?? theme.ground"
          :theme="theme"
          label="Colour of the background"
          @update:model-value="color => color && set('change the background', { ground: color })"
        />
      </div>
      <div class="kinds" role="radiogroup" aria-label="Fill of the background">
        <UButton
          v-for="one in fills"
          :key="one.kind"
          size="sm"
          :active="(fill?.kind ?? 'plain') === one.kind"
          role="radio"
          :aria-checked="(fill?.kind ?? 'plain') === one.kind"
          :disabled="!store.canEdit"
          @click="choose(one.kind)"
        >
          {{ one.label }}
        </UButton>
      </div>
      <FilePicker ref="picker" accept="image/*" @file="takePicture" />
      <template v-if="fill?.kind === 'linear' || fill?.kind === 'radial'">
        <div v-for="(stop, index) in fill.stops" :key="index" class="row">
          <span class="label">{{ index === 0 ? 'From' : index === fill.stops.length - 1 ? 'To' : 'Over' }}</span>
          <ColorField
            :model-value="stop.color"
            :theme="theme"
            :label="`Colour ${index + 1}`"
            @update:model-value="color => setStop(index, color)"
          />
        </div>
        <div class="row">
          <UButton
            size="sm"
            @click="
              put({
                fill: {
                  ...fill!,
                  stops: [...fill!.stops.slice(0, -1), { color: { role: 'accent2' }, at: 0.5 }, fill!.stops.at(-1)!],
                } as GroundFill,
              })
            "
          >
            One more colour
          </UButton>
        </div>
      </template>
      <div v-if="fill?.kind === 'linear'" class="row">
        <span class="label">Direction</span>
        <NumberField
          :model-value="fill.angle"
          label="Direction"
          unit="°"
          :min="0"
          :max="360"
          :step="5"
          @update:model-value="angle => put({ fill: { ...fill!, angle } as GroundFill })"
        />
      </div>
      <div v-if="fill?.kind === 'radial'" class="row">
        <span class="label">From the point</span>
        <span class="pair">
          <NumberField
            :model-value="fill.x * 100"
            label="Across"
            unit="%"
            :min="0"
            :max="100"
            :step="5"
            @update:model-value="x => put({ fill: { ...fill!, x: x / 100 } as GroundFill })"
          />
          <NumberField
            :model-value="fill.y * 100"
            label="Down"
            unit="%"
            :min="0"
            :max="100"
            :step="5"
            @update:model-value="y => put({ fill: { ...fill!, y: y / 100 } as GroundFill })"
          />
        </span>
      </div>
      <template v-if="fill?.kind === 'corners'">
        <div v-for="(color, index) in fill.colors" :key="index" class="row">
          <span class="label">{{ corners[index] }}</span>
          <ColorField :model-value="color" :theme="theme" :label="corners[index]!" @update:model-value="next => setCorner(index, next)" />
        </div>
      </template>
      <template v-if="fill?.kind === 'picture'">
        <div class="row">
          <span class="label">Overlay</span>
          <span class="pair">
            <ColorField
              none
              :model-value="fill.veil ?? null"
              :theme="theme"
              label="Overlay"
              @update:model-value="veil => put({ fill: { ...fill!, veil: veil ? { ...veil, alpha: 0.55 } : undefined } as GroundFill })"
            />
            <NumberField
              v-if="fill.veil"
              :model-value="(fill.veil.alpha ?? 1) * 100"
              label="Opacity of the overlay"
              unit="%"
              :min="0"
              :max="100"
              :step="5"
              @update:model-value="
                alpha => put({ fill: { ...fill!, veil: { ...(fill as { veil: Color }).veil, alpha: alpha / 100 } } as GroundFill })
              "
            />
          </span>
        </div>
        <div class="row">
          <span class="label">Blur</span>
          <NumberField
            :model-value="fill.blur ?? 0"
            label="Blur"
            unit="px"
            :min="0"
            :max="200"
            :step="4"
            @update:model-value="blur => put({ fill: { ...fill!, blur } as GroundFill })"
          />
        </div>
        <div class="row">
          <span class="label">Colour</span>
          <NumberField
            :model-value="(fill.colour ?? 1) * 100"
            label="Colour of the picture"
            unit="%"
            :min="0"
            :max="200"
            :step="10"
            @update:model-value="colour => put({ fill: { ...fill!, colour: colour / 100 } as GroundFill })"
          />
        </div>
      </template>
      <div class="row">
        <span class="label">Texture</span>
        <span class="pair">
          <ChoiceField
            :model-value="shown.texture?.kind ?? 'none'"
            :items="textures.map(([kind, label]) => ({ value: kind, label: label }))"
            label="Texture"
            :disabled="!store.canEdit"
            @update:model-value="setTexture"
          />
          <NumberField
            v-if="shown.texture"
            :model-value="shown.texture.strength * 100"
            label="Strength of the texture"
            unit="%"
            :min="0"
            :max="100"
            :step="5"
            @update:model-value="strength => put({ texture: { ...shown.texture!, strength: strength / 100 } })"
          />
        </span>
      </div>
      <div class="row">
        <span class="label">Vignette</span>
        <NumberField
          :model-value="(shown.vignette ?? 0) * 100"
          label="Vignette"
          unit="%"
          :min="0"
          :max="100"
          :step="5"
          @update:model-value="strength => put({ vignette: strength ? strength / 100 : null })"
        />
      </div>
      <div class="row">
        <span class="label">Border</span>
        <span class="pair">
          <ColorField
            none
            :model-value="shown.border?.color ?? null"
            :theme="theme"
            label="Border"
            @update:model-value="
              color =>
                put({
                  border: color
                    ? { color, width: shown.border?.width ?? 6, inset: shown.border?.inset ?? 36, radius: shown.border?.radius ?? 0 }
                    : null,
                })
            "
          />
          <NumberField
            v-if="shown.border"
            :model-value="shown.border.width"
            label="Weight of the border"
            unit="px"
            :min="1"
            :max="200"
            @update:model-value="width => put({ border: { ...shown.border!, width } })"
          />
        </span>
      </div>
      <div v-if="shown.border" class="row">
        <span class="label">From the edge, corners</span>
        <span class="pair">
          <NumberField
            :model-value="shown.border.inset"
            label="Border from the edge"
            unit="px"
            :min="0"
            :max="400"
            :step="4"
            @update:model-value="inset => put({ border: { ...shown.border!, inset } })"
          />
          <NumberField
            :model-value="shown.border.radius"
            label="Corners of the border"
            unit="px"
            :min="0"
            :max="400"
            :step="4"
            @update:model-value="radius => put({ border: { ...shown.border!, radius } })"
          />
        </span>
      </div>
      <UButton
        v-if="level !== 'theme' && says && store.canEdit"
        size="sm"
        class="back"
        @click="set('inherit the background', { ground: undefined, backdrop: undefined })"
      >
        Inherit it from {{ level === 'slide' ? 'the layout' : level === 'layout' ? 'the master' : 'the theme' }}
      </UButton>
    </template>
    <p v-else class="quiet">There is no slide yet whose {{ level }} this could be.</p>
  </div>
</template>

<style scoped>
div.desk.own {
  gap: 6px;
}
.level {
  display: flex;
  flex-direction: column;
  gap: 4px;
  color: var(--second);
  margin-bottom: 6px;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  margin: 4px 0;
}
.pair {
  display: flex;
  gap: 5px;
  align-items: center;
}
.back {
  align-self: flex-start;
  margin-top: 8px;
}
</style>
