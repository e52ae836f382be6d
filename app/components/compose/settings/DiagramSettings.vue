<script setup lang="ts">
import type { DiagramElement, Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { diagramFamily, diagramToText, drawDiagram } from '#core/diagrams'

/** A diagram's family and look. */
const props = defineProps<{ element: DiagramElement & ShownElement; theme: Theme }>()
const store = useDeck()
const where = useWhere()
const host = useStageHost()
const arranging = useArranging()
const family = computed(() => diagramFamily(props.element.family))
const drawing = computed(() => drawDiagram(store.current, props.element, host.host.measurer))
const setOption = (name: string, value: string | number | boolean) =>
  arranging.set('change', { options: { ...props.element.options, [name]: value } })
/** One colour for all of it, in place of one for each item. */
function setRole(role: string) {
  const { each: _, ...options } = props.element.options ?? {}
  arranging.set('colour', { options: { ...options, role } })
}
const roles = ['accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6'] as const
const role = computed(() => props.element.options?.role ?? 'accent1')
</script>

<template>
  <section>
    <div class="row">
      <span class="label">Family</span>
      <FamilyFinder
        :text="element.text"
        :words="family.label"
        @choose="(name: string) => arranging.set(`turn into ${name}:`, { family: name })"
      />
    </div>
    <p class="quiet small">{{ family.description }}. Words stay, whatever the family.</p>
    <div v-for="item in family.options ?? []" :key="item.name" class="row">
      <span class="label">{{ item.label }}</span>
      <ChoiceField
        :model-value="element.options?.[item.name] ?? item.values[0]!.value"
        :items="item.values.map(one => ({ value: one.value, label: one.label }))"
        :label="item.label"
        @update:model-value="next => setOption(item.name, next)"
      />
    </div>
    <div class="row">
      <span class="label">Colour</span>
      <span class="roles" role="radiogroup" aria-label="Colour">
        <UButton
          v-for="one in roles"
          :key="one"
          variant="bare"
          class="swatch"
          role="radio"
          :class="{ on: !element.options?.each && role === one }"
          :aria-checked="!element.options?.each && role === one"
          :aria-label="one.replace('accent', 'accent ')"
          :style="{ background: theme.palette[one] }"
          @click="setRole(one)"
        />
      </span>
    </div>
    <div class="row">
      <span class="label">Each its own colour</span>
      <UCheckbox
        :model-value="!!element.options?.each"
        aria-label="Each its own colour"
        @update:model-value="on => setOption('each', on === true)"
      />
    </div>
    <div class="row">
      <span class="label">Words at most</span>
      <NumberField
        :model-value="typeof element.options?.size === 'number' ? element.options.size : (theme.textStyles.body?.size ?? 32)"
        label="Words at most"
        unit="px"
        :min="10"
        :max="200"
        @update:model-value="size => setOption('size', size)"
      />
    </div>
    <p v-if="!drawing.fits" class="wrong small">More words than there is room for. Make it larger, or the words fewer.</p>
    <ShadowField
      :model-value="element.shadow"
      :theme="theme"
      @update:model-value="shadow => arranging.set('set the shadow of', { shadow })"
    />
    <UButton
      v-if="store.canEdit && !where.isForm"
      size="sm"
      class="start"
      @click="store.edit(`turn ${element.name} into a list`, diagramToText(store.current, { element: element.id }))"
    >
      Turn it into a list
    </UButton>
  </section>
</template>

<style scoped>
.roles {
  display: inline-flex;
  gap: 5px;
}
.swatch {
  width: 22px;
  height: 22px;
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
  margin: 2px 0 6px;
}
.wrong {
  color: var(--wrong);
}
.start {
  align-self: flex-start;
  margin-top: 6px;
}
</style>
