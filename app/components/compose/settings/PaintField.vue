<script setup lang="ts">
import { colorsOf, isPlain, plainColor } from '#core/color'
import type { Theme } from '#core/model'
import type { Color, Paint } from '#core/values'

/** What fills something: nothing, one colour, a gradient or a picture. */
const props = defineProps<{ modelValue: Paint | null | undefined; theme: Theme; label: string; none?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [paint: Paint | null] }>()
const kinds = { plain: 'one colour', linear: 'gradient across', radial: 'gradient outwards', picture: 'a picture' } as const
const kind = computed<keyof typeof kinds>(() => (!props.modelValue || isPlain(props.modelValue) ? 'plain' : props.modelValue.kind))
const first = computed<Color>(() =>
  props.modelValue ? (plainColor(props.modelValue, props.theme.palette) ?? { role: 'accent1' }) : { role: 'accent1' },
)
const picker = useTemplateRef('picker')

function change(next: string) {
  const colors = props.modelValue ? colorsOf(props.modelValue) : []
  const stops = [
    { color: colors[0] ?? first.value, at: 0 },
    { color: colors[1] ?? ({ role: 'accent2' } as Color), at: 1 },
  ]
  if (next === 'plain') emit('update:modelValue', colors[0] ?? first.value)
  else if (next === 'linear') emit('update:modelValue', { kind: 'linear', angle: 90, stops })
  else if (next === 'radial') emit('update:modelValue', { kind: 'radial', x: 0.5, y: 0.5, stops })
  else picker.value?.open()
}
async function takePicture(file: File) {
  const media = await uploadPicture(file)
  if (media)
    emit('update:modelValue', { kind: 'picture', media: media.hash, natural: { width: media.width ?? 800, height: media.height ?? 600 } })
}
const gradient = computed(() =>
  props.modelValue && !isPlain(props.modelValue) && props.modelValue.kind !== 'picture' ? props.modelValue : null,
)
const setStop = (index: number, fields: Partial<{ color: Color; at: number }>) =>
  gradient.value &&
  emit('update:modelValue', {
    ...gradient.value,
    stops: gradient.value.stops.map((stop, at) => (at === index ? { ...stop, ...fields } : stop)).sort((a, b) => a.at - b.at),
  })
const addStop = () => {
  const stops = gradient.value?.stops
  if (stops && stops.length < 12)
    emit('update:modelValue', {
      ...gradient.value!,
      stops: [...stops, { color: stops.at(-1)!.color, at: (stops.at(-1)!.at + stops.at(-2)!.at) / 2 }].sort((a, b) => a.at - b.at),
    })
}
/** Of one colour: that colour. */
const plain = computed(() => (props.modelValue && isPlain(props.modelValue) ? props.modelValue : null))
const dropStop = (index: number) =>
  gradient.value && emit('update:modelValue', { ...gradient.value, stops: gradient.value.stops.filter((_, at) => at !== index) })
</script>

<template>
  <div class="paint">
    <div class="row">
      <span class="label">{{ label }}</span>
      <span class="pair">
        <ColorField
          v-if="kind === 'plain'"
          :none="none"
          :model-value="plain"
          :theme="theme"
          :label="label"
          @update:model-value="color => emit('update:modelValue', color)"
        />
        <ChoiceField
          v-if="modelValue || kind !== 'plain'"
          class="kind"
          :model-value="kind"
          :items="choicesOf(kinds)"
          :label="`${label}: how`"
          @update:model-value="change"
        />
      </span>
    </div>
    <template v-if="gradient">
      <div v-for="(stop, index) in gradient.stops" :key="index" class="row stop">
        <ColorField
          :model-value="stop.color"
          :theme="theme"
          :label="`${label}, colour ${index + 1}`"
          @update:model-value="color => color && setStop(index, { color })"
        />
        <span class="pair">
          <NumberField
            :model-value="stop.at * 100"
            :label="`${label}, place of colour ${index + 1}`"
            unit="%"
            :min="0"
            :max="100"
            :step="5"
            @update:model-value="at => setStop(index, { at: at / 100 })"
          />
          <UButton
            v-if="gradient.stops.length > 2"
            variant="ghost"
            size="sm"
            icon="i-lucide-x"
            :aria-label="`Remove colour ${index + 1}`"
            @click="dropStop(index)"
          />
        </span>
      </div>
      <div class="row">
        <UButton size="sm" @click="addStop">Another colour</UButton>
        <NumberField
          v-if="gradient.kind === 'linear'"
          :model-value="gradient.angle"
          :label="`${label}, direction`"
          unit="°"
          :min="0"
          :max="360"
          :step="15"
          @update:model-value="angle => gradient?.kind === 'linear' && emit('update:modelValue', { ...gradient, angle })"
        />
      </div>
    </template>
    <div v-if="modelValue && kind === 'picture'" class="row">
      <UButton size="sm" @click="picker?.open()">Another picture</UButton>
      <UButton v-if="none" size="sm" @click="emit('update:modelValue', null)">None</UButton>
    </div>
    <FilePicker ref="picker" accept="image/*" @file="takePicture" />
  </div>
</template>

<style scoped>
.pair {
  display: inline-flex;
  gap: 5px;
  align-items: center;
  min-width: 0;
}
.kind {
  max-width: 112px;
}
.stop {
  padding-left: 10px;
  border-left: 2px solid var(--line);
}
</style>
