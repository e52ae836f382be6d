<script setup lang="ts">
import type { LineEnd, ShapeElement, Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { amountsIn, shapeNamed } from '#core/shapes'

/** A shape or line: what it is, what varies in it, its fill, outline and ends. */
const props = defineProps<{ element: ShapeElement & ShownElement; theme: Theme }>()
const store = useDeck()
const stage = useStage()
const arranging = useArranging()
const set = (label: string, fields: Partial<ShapeElement>) => arranging.set(label, fields)
const isLine = computed(() => props.element.shape === 'line')
const shape = computed(() => shapeNamed(props.element.shape))
const amounts = computed(() => amountsIn(props.element, props.element.box))
const ways = { straight: 'straight', curve: 'as a curve', elbow: 'with corners', freehand: 'as drawn' }
const ends: Readonly<Record<LineEnd, string>> = {
  none: 'plain',
  arrow: 'open head',
  solid: 'solid head',
  dot: 'dot',
  ring: 'ring',
  bar: 'bar',
  diamond: 'diamond',
}
const setEnd = (end: 'start' | 'end', kind: string) =>
  set('change the ends of', { ends: { start: 'none', end: 'none', ...props.element.ends, [end]: kind } })
const setWay = (way: string) =>
  set('bend', {
    line: {
      way: way as 'curve',
      points: props.element.line?.points ?? [
        [0, 0.5],
        [1, 0.5],
      ],
    },
  })
const holds = [
  ['from', 'Begins at'],
  ['to', 'Ends at'],
] as const
const nameOf = (id: string) => store.current.elements[id]?.name ?? 'an element'
const setSide = (end: 'from' | 'to', side: string) => set('reattach', { [end]: { element: props.element[end]!.element, side } })
</script>

<template>
  <section>
    <template v-if="isLine">
      <div class="row">
        <span class="label">Path</span>
        <ChoiceField :model-value="element.line?.way ?? 'straight'" :items="choicesOf(ways)" label="Path" @update:model-value="setWay" />
      </div>
      <StrokeField :model-value="element.stroke" :theme="theme" label="Line" @update:model-value="stroke => set('draw', { stroke })" />
      <div class="row">
        <span class="label">Its start</span>
        <ChoiceField
          :model-value="element.ends?.start ?? 'none'"
          :items="choicesOf(ends)"
          label="Start of the line"
          @update:model-value="next => setEnd('start', next)"
        />
      </div>
      <div class="row">
        <span class="label">Its end</span>
        <ChoiceField
          :model-value="element.ends?.end ?? 'none'"
          :items="choicesOf(ends)"
          label="End of the line"
          @update:model-value="next => setEnd('end', next)"
        />
      </div>
      <template v-for="[end, label] in holds" :key="end">
        <div v-if="element[end] && stage.chosen.length === 1" class="row">
          <span class="label">{{ label }}</span>
          <span class="pair">
            <span class="held">{{ nameOf(element[end]!.element) }}</span>
            <ChoiceField
              :model-value="element[end]!.side"
              :items="[
                { value: 'auto', label: 'best side' },
                { value: 'left', label: 'left' },
                { value: 'right', label: 'right' },
                { value: 'top', label: 'top' },
                { value: 'bottom', label: 'bottom' },
              ]"
              :label="`${label} the side`"
              @update:model-value="next => setSide(end, next)"
            />
            <UButton
              variant="ghost"
              size="sm"
              icon="i-lucide-unlink"
              title="Detach"
              :aria-label="`Detach from ${nameOf(element[end]!.element)}`"
              @click="set('let go of', { [end]: null })"
            />
          </span>
        </div>
      </template>
    </template>
    <template v-else>
      <div class="row">
        <span class="label">Shape</span>
        <ShapeFinder
          label="Another shape"
          :words="shape.label"
          @choose="name => set('reshape', { shape: name, amounts: undefined, sector: undefined })"
        />
      </div>
      <div v-if="element.shape === 'rounded'" class="row">
        <span class="label">Corner</span>
        <NumberField
          :model-value="Math.round((amounts.corner ?? 0) * Math.min(element.box.width, element.box.height))"
          label="Corner"
          unit="px"
          :min="0"
          :max="1000"
          :step="4"
          @update:model-value="radius => set('shape', { radius, amounts: undefined })"
        />
      </div>
      <template v-for="amount in shape.amounts" :key="amount.name">
        <div v-if="element.shape !== 'rounded'" class="row">
          <span class="label">{{ amount.label }}</span>
          <NumberField
            :model-value="amounts[amount.name] ?? amount.initial"
            :label="amount.label"
            :min="amount.min"
            :max="amount.max"
            :step="amount.whole ? 1 : 0.05"
            :decimals="amount.whole ? 0 : 2"
            @update:model-value="next => set('shape', { amounts: { ...element.amounts, [amount.name]: next } })"
          />
        </div>
      </template>
      <PaintField
        none
        :model-value="element.fill ?? null"
        :theme="theme"
        label="Fill"
        @update:model-value="fill => set('fill', { fill })"
      />
      <StrokeField
        :model-value="element.stroke"
        :theme="theme"
        label="Outline"
        @update:model-value="stroke => set('outline', { stroke })"
      />
    </template>
    <div v-if="element.stroke || isLine" class="row">
      <span class="label">Without a ruler</span>
      <NumberField
        :model-value="Math.round((element.rough ?? 0) * 100)"
        label="Without a ruler"
        unit="%"
        :min="0"
        :max="100"
        :step="10"
        @update:model-value="percent => set('roughen', { rough: percent / 100 || undefined })"
      />
    </div>
    <ShadowField :model-value="element.shadow" :theme="theme" @update:model-value="shadow => set('set the shadow of', { shadow })" />
  </section>
</template>

<style scoped>
.pair {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  min-width: 0;
}
.held {
  max-width: 70px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
