<script setup lang="ts">
import { deckTheme } from '#core/model'
import {
  carryingText,
  colorsOfPixels,
  harmonies,
  paletteFrom,
  paletteFromColors,
  schemes,
  type HarmonyName,
  type Palette,
} from '#core/color'
import { setFields } from '#core/edits'
import { roleNames, type Role } from '#core/values'

/** The roles of the palette: entered exactly, made from a brand colour, a logo or picture, by harmony, or taken from what ships. */
const store = useDeck()
const theme = computed(() => deckTheme(store.current))
const palette = computed(() => theme.value.palette)
const role = ref<Role>('accent1')
const put = (label: string, next: Palette) =>
  store.edit(label, setFields(store.current, { table: 'theme', id: 'theme', fields: { palette: next } }))
const names: Readonly<Record<Role, string>> = {
  ground: 'Background',
  ink: 'Ink',
  accent1: 'Accent 1',
  accent2: 'Accent 2',
  accent3: 'Accent 3',
  accent4: 'Accent 4',
  accent5: 'Accent 5',
  accent6: 'Accent 6',
  link: 'Link',
}
const carrying = computed(() => carryingText(palette.value[role.value], palette.value.ground))
const saying = computed(() => {
  const { carries, ratio } = carrying.value
  if (role.value === 'ground') return ''
  const words = `${numberWords(ratio, 1)} to 1 on the background`
  return carries ? `Carries text: ${words}.` : `Too faint for text: ${words}, and 4.5 are needed. As a fill it stays as it is.`
})

const brand = ref(palette.value.accent1)
const harmony = ref<HarmonyName>('complement')
const ground = ref<'light' | 'dark'>('light')
const made = computed(() => paletteFrom(brand.value, harmony.value, ground.value))
const wanted = ref<'all' | 'light' | 'dark'>('all')
const shown = computed(() => schemes.filter(scheme => wanted.value === 'all' || scheme.ground === wanted.value))

const picker = useTemplateRef('picker')
const pictured = ref<string[]>([])
const busy = ref('')
async function read(file: File) {
  busy.value = `Looking at ${file.name}`
  try {
    const picture = await createImageBitmap(file)
    const scale = Math.min(1, 220 / Math.max(picture.width, picture.height))
    const canvas = new OffscreenCanvas(Math.max(1, Math.round(picture.width * scale)), Math.max(1, Math.round(picture.height * scale)))
    const context = canvas.getContext('2d')!
    context.drawImage(picture, 0, 0, canvas.width, canvas.height)
    pictured.value = colorsOfPixels(context.getImageData(0, 0, canvas.width, canvas.height).data)
    if (!pictured.value.length)
      useToast().add({ title: `“${file.name}” shows no colour to go by. Take another picture.`, color: 'warning' })
  } catch (error) {
    // What a browser cannot decode.
    if (!(error instanceof DOMException)) throw error
    useToast().add({ title: `“${file.name}” is no picture that can be read here. JPEG, PNG, WebP and SVG can.`, color: 'error' })
  }
  busy.value = ''
}
const same = (a: Palette, b: Palette) => roleNames.every(name => a[name] === b[name])
</script>

<template>
  <div class="desk">
    <section>
      <h3>Roles</h3>
      <div class="roles" role="radiogroup" aria-label="Role">
        <UButton
          v-for="name in roleNames"
          :key="name"
          variant="bare"
          class="role"
          role="radio"
          :aria-checked="role === name"
          :class="{ on: role === name }"
          @click="role = name"
        >
          <i :style="{ background: palette[name] }" />
          <span>{{ names[name] }}</span>
        </UButton>
      </div>
      <ColorEntry
        :model-value="palette[role]"
        :label="names[role]"
        :disabled="!store.canEdit"
        @update:model-value="(hex: string) => put(`change ${names[role].toLowerCase()}`, { ...palette, [role]: hex })"
      />
      <p v-if="saying" class="saying" :class="{ wrong: !carrying.carries }">{{ saying }}</p>
      <UButton
        v-if="role !== 'ground' && !carrying.carries && store.canEdit"
        size="sm"
        class="nearest"
        @click="put(`change ${names[role].toLowerCase()}`, { ...palette, [role]: carrying.nearest })"
      >
        <i :style="{ background: carrying.nearest }" />
        Take the nearest that can, {{ carrying.nearest }}
      </UButton>
    </section>
    <section>
      <h3>From a brand colour</h3>
      <ColorEntry v-model="brand" compact label="Brand colour" />
      <div class="row">
        <span class="label">Goes with</span>
        <ChoiceField v-model="harmony" :items="harmonies.map(one => ({ value: one.name, label: one.label }))" label="Harmony" />
      </div>
      <div class="row">
        <span class="label">On a background that is</span>
        <ChoiceField
          v-model="ground"
          :items="[
            { value: 'light', label: 'light' },
            { value: 'dark', label: 'dark' },
          ]"
          label="Background of the palette"
        />
      </div>
      <UButton variant="bare" class="scheme wide" :disabled="!store.canEdit" @click="put('take a palette from a brand colour', made)">
        <PaletteStrip :palette="made" />
        <span>Use this palette</span>
      </UButton>
    </section>
    <section>
      <h3>From a logo or picture</h3>
      <FilePicker ref="picker" accept="image/*" data-test="palette-picture" @file="read" />
      <UButton size="sm" @click="picker?.open()">Choose a picture</UButton>
      <span class="quiet" role="status">{{ busy }}</span>
      <template v-if="pictured.length">
        <UButton
          v-for="tone in ['light', 'dark'] as const"
          :key="tone"
          variant="bare"
          class="scheme wide"
          :disabled="!store.canEdit"
          @click="put('take a palette from a picture', paletteFromColors(pictured, tone))"
        >
          <PaletteStrip :palette="paletteFromColors(pictured, tone)" />
          <span>On a {{ tone }} background</span>
        </UButton>
      </template>
    </section>
    <section>
      <div class="row">
        <h3>Schemes</h3>
        <ChoiceField
          v-model="wanted"
          :items="[
            { value: 'all', label: `all ${schemes.length}` },
            { value: 'light', label: 'light backgrounds' },
            { value: 'dark', label: 'dark backgrounds' },
          ]"
          label="Which schemes"
        />
      </div>
      <div class="schemes">
        <UButton
          v-for="scheme in shown"
          :key="scheme.name"
          variant="bare"
          class="scheme"
          :class="{ on: same(scheme.palette, palette) }"
          :aria-pressed="same(scheme.palette, palette)"
          :disabled="!store.canEdit"
          @click="put(`take the scheme ${scheme.label}`, scheme.palette)"
        >
          <PaletteStrip :palette="scheme.palette" />
          <span>{{ scheme.label }}</span>
        </UButton>
      </div>
    </section>
  </div>
</template>

<style scoped>
.roles {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(94px, 1fr));
  gap: 4px;
}
.role {
  display: flex;
  align-items: center;
  gap: 6px;
  border: 1px solid transparent;
  background: none;
  color: var(--ink);
  border-radius: 8px;
  padding: 5px 6px;
  font: inherit;
  font-size: 13px;
  cursor: pointer;
  white-space: nowrap;
}
.role:hover {
  background: var(--act-wash);
}
.role.on {
  border-color: var(--act);
}
.role i,
.nearest i {
  width: 18px;
  height: 18px;
  border-radius: 50%;
  border: 1px solid var(--line);
  flex: none;
}
.saying {
  margin: 0;
  font-size: 13px;
  color: var(--second);
}
.wrong {
  color: var(--wrong);
}
.nearest {
  align-self: flex-start;
}
.schemes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(108px, 1fr));
  gap: 8px;
}
.scheme {
  border: 1px solid var(--line);
  background: none;
  color: var(--ink);
  border-radius: 8px;
  padding: 0;
  overflow: hidden;
  font: inherit;
  font-size: 12.5px;
  cursor: pointer;
  text-align: left;
}
.scheme > span:last-child {
  display: block;
  padding: 3px 7px 4px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.scheme:hover:not(:disabled) {
  border-color: var(--act);
}
.scheme.on {
  outline: 2px solid var(--act);
}
.wide {
  width: 100%;
}
</style>
