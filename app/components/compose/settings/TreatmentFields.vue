<script setup lang="ts">
import type { Theme, Treatment } from '#core/model'

/** How pictures are shown otherwise than they are: of one, or of all pictures of a deck. */
const props = defineProps<{ modelValue: Treatment | undefined; theme: Theme }>()
const emit = defineEmits<{ 'update:modelValue': [treatment: Treatment | undefined] }>()
const now = computed(() => props.modelValue ?? {})
function set(fields: Treatment) {
  const made = Object.fromEntries(Object.entries({ ...now.value, ...fields }).filter(([, value]) => value !== undefined)) as Treatment
  emit('update:modelValue', Object.keys(made).length ? made : undefined)
}
const multiples = [
  ['light', 'Light'],
  ['contrast', 'Contrast'],
  ['colour', 'Colour'],
] as const
const sides = ['left', 'right', 'top', 'bottom'] as const
/** In the middle it leaves the picture as it is, and says nothing of it. */
const multiple = (percent: number) => (percent === 100 ? undefined : percent / 100)
</script>

<template>
  <div class="treatment">
    <div v-for="[field, label] in multiples" :key="field" class="row">
      <span class="label">{{ label }}</span>
      <SliderField
        :model-value="Math.round((now[field] ?? 1) * 100)"
        :label="label"
        :max="200"
        :step="5"
        unit="%"
        @update:model-value="percent => set({ [field]: multiple(percent) })"
      />
    </div>
    <div class="row">
      <span class="label">Warmth</span>
      <SliderField
        :model-value="Math.round((now.warmth ?? 0) * 100)"
        label="Warmth"
        :min="-100"
        :max="100"
        :step="10"
        @update:model-value="warmth => set({ warmth: warmth / 100 || undefined })"
      />
    </div>
    <div class="row">
      <span class="label">Blur</span>
      <SliderField
        :model-value="now.blur ?? 0"
        label="Blur"
        :max="60"
        unit="px"
        @update:model-value="blur => set({ blur: blur || undefined })"
      />
    </div>
    <div class="row">
      <span class="label">Tint</span>
      <ColorField
        none
        :model-value="now.tint?.color ?? null"
        :theme="theme"
        label="Tint"
        @update:model-value="color => set({ tint: color ? { color, strength: now.tint?.strength ?? 0.5 } : undefined })"
      />
    </div>
    <div v-if="now.tint" class="row">
      <span class="label sub">Strength</span>
      <SliderField
        :model-value="Math.round(now.tint.strength * 100)"
        label="Strength of the tint"
        :max="100"
        :step="5"
        unit="%"
        @update:model-value="strength => set({ tint: { color: now.tint!.color, strength: strength / 100 } })"
      />
    </div>
    <div class="row">
      <span class="label">Two tones</span>
      <span class="pair">
        <template v-if="now.twoTone">
          <ColorField
            :model-value="now.twoTone.dark"
            :theme="theme"
            label="Dark tone"
            @update:model-value="dark => dark && set({ twoTone: { dark, light: now.twoTone!.light } })"
          />
          <ColorField
            :model-value="now.twoTone.light"
            :theme="theme"
            label="Light tone"
            @update:model-value="light => light && set({ twoTone: { dark: now.twoTone!.dark, light } })"
          />
          <UButton variant="ghost" size="sm" icon="i-lucide-x" aria-label="No two tones" @click="set({ twoTone: undefined })" />
        </template>
        <UButton v-else size="sm" @click="set({ twoTone: { dark: { role: 'ink' }, light: { role: 'ground' } } })">
          Ink to background
        </UButton>
      </span>
    </div>
    <div class="row">
      <span class="label">Overlay from</span>
      <span class="pair">
        <ChoiceField
          :model-value="now.shade?.side ?? ''"
          :items="[{ value: '', label: 'none' }, ...asTheyAre(sides)]"
          label="Overlay from"
          @update:model-value="
            next =>
              set({
                shade: next
                  ? { side: next, share: now.shade?.share ?? 0.6, color: now.shade?.color ?? { role: 'ink', alpha: 0.75 } }
                  : undefined,
              })
          "
        />
        <NumberField
          v-if="now.shade"
          :model-value="now.shade.share * 100"
          label="Reach of the overlay"
          unit="%"
          :min="5"
          :max="100"
          :step="5"
          @update:model-value="share => set({ shade: { ...now.shade!, share: share / 100 } })"
        />
      </span>
    </div>
    <div v-if="now.shade" class="row">
      <span class="label sub">In</span>
      <ColorField
        :model-value="now.shade.color"
        :theme="theme"
        label="Colour of the overlay"
        @update:model-value="color => color && set({ shade: { ...now.shade!, color } })"
      />
    </div>
    <div class="row">
      <span class="label">Fade at</span>
      <span class="pair">
        <ChoiceField
          :model-value="now.fade?.side ?? ''"
          :items="[{ value: '', label: 'none' }, ...asTheyAre(sides)]"
          label="Fade at"
          @update:model-value="next => set({ fade: next ? { side: next, share: now.fade?.share ?? 0.4 } : undefined })"
        />
        <NumberField
          v-if="now.fade"
          :model-value="now.fade.share * 100"
          label="Reach of the fade"
          unit="%"
          :min="5"
          :max="100"
          :step="5"
          @update:model-value="share => set({ fade: { ...now.fade!, share: share / 100 } })"
        />
      </span>
    </div>
  </div>
</template>

<style scoped>
.pair {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-width: 0;
}
.sub {
  padding-left: 10px;
  font-size: 13px;
}
.pair :deep(.choice-field) {
  max-width: 76px;
  overflow: hidden;
  white-space: nowrap;
}
</style>
