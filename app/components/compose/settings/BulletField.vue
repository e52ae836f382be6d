<script setup lang="ts">
import type { Bullet, DrawnIcon, Theme } from '#core/model'
import { usualDistance } from '#core/text'

/** A bullet as a thing of its own: a symbol, number, icon or picture, with colour, size and distance. `own` is what differs here. */
const props = defineProps<{ bullet: Bullet; own: Partial<Bullet> | undefined; theme: Theme; label: string }>()
const emit = defineEmits<{ change: [own: Partial<Bullet> | undefined] }>()
const picker = useTemplateRef('picker')
const kind = computed(() => (props.bullet.number ? 'number' : props.bullet.icon ? 'icon' : props.bullet.picture ? 'picture' : 'symbol'))
const set = (fields: Partial<Bullet>) => emit('change', { ...props.own, ...fields })
const setSymbol = (symbol: string) => set({ symbol: [...symbol].slice(0, 3).join('').slice(0, 8), number: null, icon: null, picture: null })
const setIcon = (icon: DrawnIcon) => set({ icon, number: null, picture: null })
const systems = {
  decimal: '1 2 3',
  padded: '01 02 03',
  'lower-letter': 'a b c',
  'upper-letter': 'A B C',
  'lower-roman': 'i ii iii',
  'upper-roman': 'I II III',
  circled: '① ② ③',
  greek: 'α β γ',
}
async function takePicture(file: File) {
  const media = await uploadPicture(file)
  if (media) set({ picture: media.hash, number: null, icon: null })
}
</script>

<template>
  <div class="bullet">
    <div class="row">
      <span class="label">{{ label }}</span>
      <span class="pair">
        <span class="shown" aria-hidden="true">
          <IconDrawing v-if="bullet.icon" :icon="bullet.icon" />
          <img v-else-if="bullet.picture" :src="`/api/media/${bullet.picture}`" alt="" />
          <template v-else>{{ bullet.number ? systems[bullet.number.system].split(' ')[0] : bullet.symbol }}</template>
        </span>
        <SignFinder :label="`${label}: symbol`" @choose="setSymbol" />
        <IconFinder :label="`${label}: icon`" @choose="setIcon" />
        <UButton size="sm" icon="i-lucide-image" :aria-label="`${label}: picture`" title="A picture" @click="picker?.open()" />
      </span>
    </div>
    <div class="row">
      <span class="label sub">Numbered</span>
      <span class="pair">
        <ChoiceField
          :model-value="kind === 'number' ? bullet.number!.system : ''"
          :items="[{ value: '', label: 'no' }, ...choicesOf(systems)]"
          :label="`${label}: numbered`"
          @update:model-value="
            next => set({ number: next ? { system: next, after: bullet.number?.after ?? '.' } : null, icon: null, picture: null })
          "
        />
        <ChoiceField
          v-if="bullet.number"
          :model-value="bullet.number.after ?? '.'"
          :items="[
            { value: '.', label: '.' },
            { value: ')', label: ')' },
            { value: ':', label: ':' },
            { value: '', label: 'none' },
          ]"
          :label="`${label}: after the number`"
          @update:model-value="next => set({ number: { ...bullet.number!, after: next } })"
        />
      </span>
    </div>
    <div class="row">
      <span class="label sub">Colour</span>
      <ColorField
        :model-value="bullet.color"
        :theme="theme"
        :label="`${label}: colour`"
        @update:model-value="color => color && set({ color })"
      />
    </div>
    <div class="row">
      <span class="label sub">Size, distance</span>
      <span class="pair">
        <NumberField
          :model-value="(bullet.size ?? 1) * 100"
          :label="`${label}: size`"
          :min="20"
          :max="400"
          :step="10"
          @update:model-value="size => set({ size: size / 100 })"
        />
        <NumberField
          :model-value="bullet.distance ?? usualDistance"
          :label="`${label}: distance`"
          unit="em"
          :min="0.2"
          :max="8"
          :step="0.1"
          :decimals="1"
          @update:model-value="distance => set({ distance })"
        />
      </span>
    </div>
    <UButton v-if="own && Object.keys(own).length" variant="ghost" size="sm" class="start" @click="emit('change', undefined)">
      As in the style
    </UButton>
    <FilePicker ref="picker" accept="image/*" @file="takePicture" />
  </div>
</template>

<style scoped>
.bullet {
  display: flex;
  flex-direction: column;
  border-left: 2px solid var(--line);
  padding-left: 8px;
  margin: 4px 0;
}
.pair {
  display: inline-flex;
  gap: 4px;
  align-items: center;
}
.shown {
  width: 24px;
  height: 24px;
  display: grid;
  place-items: center;
  font-size: 16px;
}
.shown img,
.shown :deep(svg) {
  width: 20px;
  height: 20px;
  object-fit: contain;
}
.sub {
  font-size: 13px;
}
.bullet {
  --number-width: 62px;
}
.start {
  align-self: flex-start;
}
</style>
