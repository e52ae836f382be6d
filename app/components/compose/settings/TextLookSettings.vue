<script setup lang="ts">
import { canHoldWords } from '#core/edits'
import type { TextElement, Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { shapes } from '#core/shapes'

/** What stands behind words, what fills their letters, and the line that they run along. */
const props = defineProps<{ element: TextElement & ShownElement; theme: Theme }>()
const arranging = useArranging()
const set = (label: string, fields: Partial<TextElement>) => arranging.set(label, fields)
/** Shapes that words can stand in. */
const holding = shapes.filter(({ name }) => canHoldWords({ shape: name }))
type Panel = NonNullable<TextElement['panel']>
const panel = (fields: Partial<Panel>) => {
  const next: Panel = { fill: null, padding: 24, radius: 12, ...props.element.panel, ...fields }
  set('put a panel behind', { panel: next.fill || next.border ? next : null })
}
const ways = { none: 'straight lines', arc: 'an arc', circle: 'a circle', wave: 'a wave' }
const along = (path: string) =>
  set('bend', { along: path === 'none' ? null : { path: path as 'arc', bend: props.element.along?.bend ?? 0.5 } })
</script>

<template>
  <section>
    <PaintField
      none
      :model-value="element.panel?.fill ?? null"
      :theme="theme"
      label="Panel behind"
      @update:model-value="fill => panel({ fill })"
    />
    <StrokeField
      :model-value="element.panel?.border ?? null"
      :theme="theme"
      label="Border"
      :initial="4"
      @update:model-value="border => panel({ border })"
    />
    <template v-if="element.panel">
      <div class="row">
        <span class="label">Shape</span>
        <ChoiceField
          :model-value="element.panel.shape ?? null"
          :items="[{ value: null, label: 'plain' }, ...holding.map(({ name, label }) => ({ value: name, label }))]"
          label="Shape of the panel"
          @update:model-value="shape => panel({ shape: shape ?? undefined, amounts: undefined })"
        />
      </div>
      <div class="row">
        <span class="label">Padding</span>
        <NumberField
          :model-value="element.panel.padding"
          label="Padding"
          unit="px"
          :min="0"
          :max="400"
          :step="4"
          @update:model-value="padding => panel({ padding })"
        />
      </div>
      <div class="row">
        <span class="label">Corners</span>
        <NumberField
          :model-value="element.panel.radius"
          label="Corners"
          unit="px"
          :min="0"
          :max="400"
          :step="4"
          @update:model-value="radius => panel({ radius })"
        />
      </div>
    </template>
    <ShadowField
      :model-value="element.shadow"
      :theme="theme"
      @update:model-value="shadow => arranging.set('set the shadow of', { shadow })"
    />
    <hr />
    <PaintField
      none
      :model-value="element.paint ?? null"
      :theme="theme"
      label="Letters filled"
      @update:model-value="paint => set('fill the letters of', { paint })"
    />
    <StrokeField
      plain
      :model-value="element.outline ?? null"
      :theme="theme"
      label="Letters outlined"
      :initial="3"
      @update:model-value="outline => set('outline the letters of', { outline: outline && { color: outline.color, width: outline.width } })"
    />
    <div class="row">
      <span class="label">Along a path</span>
      <ChoiceField :model-value="element.along?.path ?? 'none'" :items="choicesOf(ways)" label="Along a path" @update:model-value="along" />
    </div>
    <div v-if="element.along && element.along.path !== 'circle'" class="row">
      <span class="label">Bent by</span>
      <NumberField
        :model-value="element.along.bend * 100"
        label="Bent by"
        unit="%"
        :min="-100"
        :max="100"
        :step="10"
        @update:model-value="bend => set('bend', { along: { ...element.along!, bend: bend / 100 } })"
      />
    </div>
  </section>
</template>

<style scoped>
hr {
  border: 0;
  border-top: 1px solid var(--line);
  margin: 6px 0;
  width: 100%;
}
</style>
