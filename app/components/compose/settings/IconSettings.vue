<script setup lang="ts">
import type { IconElement, Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'

/** An icon: swapped with its colour, size and motion kept. */
const props = defineProps<{ element: IconElement & ShownElement; theme: Theme }>()
const arranging = useArranging()
const set = (label: string, fields: Partial<IconElement>) => arranging.set(label, fields)
const drawn = computed(() => props.element.icon.paths.some(path => path.width))
</script>

<template>
  <section>
    <div class="row">
      <span class="label">Icon</span>
      <IconFinder label="Another icon" words="Swap it" @choose="icon => set('swap', { icon })" />
    </div>
    <p class="quiet small">{{ element.icon.name }}. Colour, size, place and motion stay when it is swapped.</p>
    <div class="row">
      <span class="label">Colour</span>
      <ColorField
        :model-value="element.color ?? { role: 'ink' }"
        :theme="theme"
        label="Colour of the icon"
        @update:model-value="color => set('colour', { color: color ?? undefined })"
      />
    </div>
    <div v-if="drawn" class="row">
      <span class="label">Weight of its lines</span>
      <NumberField
        :model-value="(element.weight ?? 1) * 100"
        label="Weight of its lines"
        unit="%"
        :min="10"
        :max="600"
        :step="10"
        @update:model-value="weight => set('set the weight of', { weight: weight / 100 })"
      />
    </div>
    <ShadowField :model-value="element.shadow" :theme="theme" @update:model-value="shadow => set('set the shadow of', { shadow })" />
  </section>
</template>

<style scoped>
.small {
  font-size: 13px;
  margin: 2px 0;
}
</style>
