<script setup lang="ts">
import type { TextElement, Theme } from '#core/model'
import { styleNamed, styleOf, type ShownElement } from '#core/resolved'
import { layoutOfElement } from '#core/text'
import { departureOf, returnToStyle, takeIntoStyle } from '#core/themes'

/** How words are set: style, size, spacing, columns, direction, and how their box follows them. */
const props = defineProps<{ element: TextElement & ShownElement; theme: Theme }>()
const emit = defineEmits<{ edit: [] }>()
const store = useDeck()
const where = useWhere()
const host = useStageHost()
const stage = useStage()
const arranging = useArranging()
const style = computed(() => styleOf(store.current, props.element))
const fitted = computed(() => layoutOfElement(store.current, props.element, host.host.measurer))
/** Where its lines stand: what its style calls the left is the right for words that run to the left. */
const align = computed(() => props.element.align ?? fitted.value.lines[0]?.align ?? style.value.align)
const departure = computed(() => departureOf(store.current, props.element.id))
const departing = computed(() => (departure.value ? styleNamed(props.theme, departure.value.style).name : ''))
const fieldWords: Readonly<Record<string, string>> = {
  size: 'size',
  color: 'colour',
  align: 'alignment',
  weight: 'weight',
  family: 'font',
  lineHeight: 'line height',
  letterSpacing: 'spacing',
  case: 'case',
}
const differs = computed(() =>
  Object.keys(departure.value?.fields ?? {})
    .map(field => fieldWords[field] ?? field)
    .join(', '),
)
const set = (label: string, fields: Partial<TextElement>) => arranging.set(label, fields)
const aligns = [
  ['left', 'Set left', 'i-lucide-align-left'],
  ['center', 'Set centred', 'i-lucide-align-center'],
  ['right', 'Set right', 'i-lucide-align-right'],
] as const
const verticals = { top: 'at the top', middle: 'in the middle', bottom: 'at the bottom' }
const fits = { shrink: 'words shrink to fit', grow: 'box grows with words', fixed: 'both stay' }
const weights = [300, 400, 500, 600, 700, 800, 900]
const columns = computed(() => props.element.columns?.count ?? 1)
</script>

<template>
  <section>
    <ReadableOn v-if="stage.chosen.length === 1" :element="element" />
    <div class="row">
      <span class="label">Style</span>
      <ChoiceField
        :model-value="element.style ?? 'body'"
        :items="Object.entries(theme.textStyles).map(([name, item]) => ({ value: name, label: item.name }))"
        label="Text style"
        :disabled="where.isForm"
        @update:model-value="next => set('restyle', { style: next })"
      />
    </div>
    <div class="row">
      <span class="label">Size</span>
      <NumberField
        :model-value="style.size"
        label="Size"
        unit="px"
        :min="8"
        :max="600"
        @update:model-value="size => set('resize the text of', { size })"
      />
    </div>
    <div v-if="departure" class="departs">
      Differs from {{ departing }} in {{ differs }}.
      <span class="pair">
        <UButton
          size="sm"
          @click="store.edit(`take ${element.name} into ${departing}`, takeIntoStyle(store.current, { element: element.id }))"
        >
          Take this into the style
        </UButton>
        <UButton
          size="sm"
          @click="
            store.edit(
              `let ${element.name} follow its style`,
              returnToStyle(store.current, { elements: stage.chosen.map(chosen => chosen.id) }),
            )
          "
        >
          Return to the style
        </UButton>
      </span>
    </div>
    <p v-if="fitted.scale < 1" class="quiet small">Set at {{ Math.round(style.size * fitted.scale) }} px, so that it fits its box.</p>
    <p v-if="!fitted.fits" class="wrong small">More than fits, even at {{ Math.round(style.size * fitted.scale) }} px.</p>
    <div class="row">
      <span class="label">Colour</span>
      <ColorField
        :model-value="style.color"
        :theme="theme"
        label="Colour of the text"
        @update:model-value="color => set('colour', { color: color ?? undefined })"
      />
    </div>
    <div class="row">
      <span class="label">Weight</span>
      <ChoiceField
        :model-value="style.weight"
        :items="asTheyAre(weights)"
        label="Weight"
        @update:model-value="next => set('set the weight of', { weight: Number(next) })"
      />
    </div>
    <div class="row">
      <span class="label">Alignment</span>
      <span class="pair">
        <UButton
          v-for="[name, words, icon] in aligns"
          :key="name"
          size="sm"
          :active="align === name"
          :icon="icon"
          :aria-label="words"
          :title="words"
          @click="set('align', { align: name })"
        />
      </span>
    </div>
    <div class="row">
      <span class="label">Vertical</span>
      <ChoiceField
        :model-value="element.vertical ?? 'top'"
        :items="choicesOf(verticals)"
        label="Vertical alignment"
        @update:model-value="next => set('align', { vertical: next })"
      />
    </div>
    <div class="row">
      <span class="label">Fit</span>
      <ChoiceField
        :model-value="element.fit ?? 'shrink'"
        :items="choicesOf(fits)"
        label="Fit"
        @update:model-value="next => set('fit', { fit: next })"
      />
    </div>
    <div class="row">
      <span class="label">Line spacing</span>
      <NumberField
        :model-value="style.lineHeight"
        label="Line spacing"
        :min="0.5"
        :max="4"
        :step="0.05"
        :decimals="2"
        @update:model-value="lineHeight => set('space the lines of', { lineHeight })"
      />
    </div>
    <div class="row">
      <span class="label">Letter spacing</span>
      <NumberField
        :model-value="style.letterSpacing"
        label="Letter spacing"
        unit="em"
        :min="-0.5"
        :max="2"
        :step="0.01"
        :decimals="2"
        @update:model-value="letterSpacing => set('space the letters of', { letterSpacing })"
      />
    </div>
    <div class="row">
      <span class="label">Columns</span>
      <span class="pair">
        <NumberField
          :model-value="columns"
          label="Columns"
          :min="1"
          :max="12"
          @update:model-value="
            count =>
              set('set the columns of', { columns: count > 1 ? { count: Math.round(count), gap: element.columns?.gap ?? 48 } : null })
          "
        />
        <NumberField
          v-if="element.columns && columns > 1"
          :model-value="element.columns.gap"
          label="Gap between columns"
          :min="0"
          :max="1000"
          @update:model-value="gap => set('set the columns of', { columns: { count: columns, gap } })"
        />
      </span>
    </div>
    <div class="row">
      <span class="label">Capitals</span>
      <ChoiceField
        :model-value="style.case ?? 'none'"
        :items="letterCases"
        label="Capitals"
        @update:model-value="next => set('set the letters of', { case: next })"
      />
    </div>
    <div class="row">
      <span class="label">Direction</span>
      <ChoiceField
        :model-value="element.direction ?? 'auto'"
        :items="[
          { value: 'auto', label: 'as its letters do' },
          { value: 'ltr', label: 'left to right' },
          { value: 'rtl', label: 'right to left' },
        ]"
        label="Direction"
        @update:model-value="next => set('set the direction of', { direction: next === 'auto' ? undefined : next })"
      />
    </div>
    <UButton v-if="store.canEdit && !element.field" class="start" @click="emit('edit')">Edit the words</UButton>
  </section>
</template>

<style scoped>
.departs {
  font-size: 13px;
  color: var(--second);
  display: flex;
  flex-direction: column;
  gap: 5px;
  padding: 4px 0;
}
.departs .pair {
  flex-wrap: wrap;
}
.pair {
  display: flex;
  gap: 5px;
}
.small {
  font-size: 13px;
  margin: 2px 0;
}
.wrong {
  color: var(--wrong);
}
.start {
  align-self: flex-start;
  margin-top: 6px;
}
</style>
