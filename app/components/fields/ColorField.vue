<script setup lang="ts">
import { cssColor, readColor } from '#core/color'
import type { Theme } from '#core/model'
import { roleNames, type Color, type Role } from '#core/values'

/** Chooses a palette role with its tint and transparency, or a value entered exactly. Null stands for none, where that is offered. */
const props = defineProps<{
  modelValue: Color | null | undefined
  theme: Theme
  label: string
  none?: boolean
  /** A button with this icon in place of the colour’s name. */ icon?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [color: Color | null] }>()
const text = ref('')
const wrong = ref('')
const css = computed(() => (props.modelValue ? cssColor(props.modelValue, props.theme.palette) : 'transparent'))
const names: Readonly<Record<Role, string>> = {
  ground: 'background',
  ink: 'ink',
  accent1: 'accent 1',
  accent2: 'accent 2',
  accent3: 'accent 3',
  accent4: 'accent 4',
  accent5: 'accent 5',
  accent6: 'accent 6',
  link: 'link',
}
const words = computed(() => (!props.modelValue ? 'none' : 'hex' in props.modelValue ? props.modelValue.hex : names[props.modelValue.role]))
const role = computed(() => (props.modelValue && 'role' in props.modelValue ? props.modelValue : null))
const take = (close: () => void) => {
  const read = readColor(text.value)
  wrong.value = read.ok ? '' : read.message
  if (!read.ok) return
  emit('update:modelValue', { hex: read.value, ...(props.modelValue?.alpha === undefined ? {} : { alpha: props.modelValue.alpha }) })
  text.value = ''
  close()
}
/** Steps of a role towards black and white, bound to it. */
const tints = [-0.6, -0.3, 0, 0.3, 0.6, 0.8]
const tinted = (tint: number): Color => ({
  role: role.value!.role,
  ...(tint ? { tint } : {}),
  ...(role.value!.alpha === undefined ? {} : { alpha: role.value!.alpha }),
})
const setAlpha = (percent: number) => {
  if (!props.modelValue) return
  const { alpha: _, ...rest } = props.modelValue
  emit('update:modelValue', percent >= 100 ? rest : { ...rest, alpha: Math.round(percent) / 100 })
}
</script>

<template>
  <UPopover>
    <UButton v-if="icon" variant="bare" class="mark" :aria-label="label" :title="label">
      <UIcon :name="icon" />
      <i :style="{ background: modelValue ? css : 'var(--line)' }" />
    </UButton>
    <UButton v-else class="choice" :aria-label="`${label}: ${words}`">
      <i :style="{ background: css }" />
      {{ words }}
    </UButton>
    <template #content="{ close }">
      <div class="colors">
        <div class="swatches">
          <UButton
            v-for="name in roleNames"
            :key="name"
            variant="bare"
            :class="{ on: role?.role === name }"
            :style="{ background: theme.palette[name] }"
            :title="names[name]"
            :aria-label="names[name]"
            @click="
              () => {
                emit('update:modelValue', { role: name })
                close()
              }
            "
          />
        </div>
        <div v-if="role" class="swatches tints" role="group" aria-label="Tint of the role">
          <UButton
            v-for="tint in tints"
            :key="tint"
            variant="bare"
            :class="{ on: (role.tint ?? 0) === tint }"
            :style="{ background: cssColor({ role: role.role, tint }, theme.palette) }"
            :aria-label="tint ? `${Math.abs(tint) * 100} % ${tint < 0 ? 'darker' : 'lighter'}` : 'as it is'"
            @click="emit('update:modelValue', tinted(tint))"
          />
        </div>
        <div v-if="modelValue" class="alpha">
          Solid
          <SliderField
            :model-value="Math.round((modelValue.alpha ?? 1) * 100)"
            :label="`How solid ${label.toLowerCase()} is`"
            :max="100"
            :step="5"
            unit="%"
            @update:model-value="setAlpha"
          />
        </div>
        <form class="exact" @submit.prevent="take(close)">
          <UInput v-model="text" class="amount" placeholder="#12615c" aria-label="Value as hex" title="Hex, rgb(), hsl() or oklch()" />
          <UButton type="submit" size="sm">Use it</UButton>
        </form>
        <p v-if="wrong" class="wrong">{{ wrong }}</p>
        <UButton
          v-if="none"
          size="sm"
          @click="
            () => {
              emit('update:modelValue', null)
              close()
            }
          "
        >
          None
        </UButton>
      </div>
    </template>
  </UPopover>
</template>

<style scoped>
.choice {
  display: inline-flex;
  gap: 7px;
  align-items: center;
  cursor: pointer;
}
.choice i {
  flex: none;
  width: 14px;
  height: 14px;
  border-radius: 50%;
  border: 1px solid var(--line);
}
.mark {
  min-width: 28px;
  height: 28px;
  border: 0;
  background: none;
  border-radius: 6px;
  color: inherit;
  cursor: pointer;
  display: grid;
  place-items: center;
  position: relative;
}
.mark:hover {
  background: var(--act-wash);
  color: var(--act);
}
.mark i {
  position: absolute;
  left: 6px;
  right: 6px;
  bottom: 3px;
  height: 3px;
  border-radius: 2px;
}
.colors {
  padding: 10px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  width: 206px;
}
.swatches {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.swatches button {
  width: 26px;
  height: 26px;
  border-radius: 50%;
  border: 1px solid var(--line);
  cursor: pointer;
}
.swatches button.on {
  outline: 2px solid var(--act);
  outline-offset: 1px;
}
.tints button {
  width: 22px;
  height: 16px;
  border-radius: 4px;
}
.alpha {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 13px;
  color: var(--second);
}
.alpha .slider {
  flex: 1;
}
.exact {
  display: flex;
  gap: 6px;
}
.exact [data-slot='root'] {
  width: 118px;
}
.wrong {
  color: var(--wrong);
  font-size: 12.5px;
  margin: 0;
}
</style>
