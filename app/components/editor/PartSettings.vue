<script setup lang="ts">
import { plainColor } from '#core/color'
import { placeElements, setFields, shownElement, styleNamed, styleOf, themeUnder, type Box, type Element } from '#core/deck'
import { layoutOfElement } from '#core/text'
import { departureOf, returnToStyle, takeIntoStyle } from '#core/themes'

const emit = defineEmits<{ table: [], picture: [], edit: [id: string] }>()
const store = useDeck()
const stage = useStageHost()
const element = computed(() => (store.deck && store.selection.length === 1 ? shownElement(store.deck, store.selection[0]!) : undefined))
const theme = computed(() => (store.stageId ? themeUnder(store.deck!, store.stageId) : store.deck!.theme.theme!))
const set = (label: string, fields: Partial<Element>) => element.value && store.edit(`${label} ${element.value.name}`, setFields(store.deck!, { table: 'elements', id: element.value.id, fields }))
const place = (fields: Partial<Box>) => element.value && store.edit(`place ${element.value.name}`, placeElements(store.deck!, { boxes: { [element.value.id]: { ...element.value.box, ...fields } } }))
const text = computed(() => (element.value?.kind === 'text' ? element.value : null))
const style = computed(() => (text.value ? styleOf(store.deck!, text.value) : null))
const fitted = computed(() => (text.value ? layoutOfElement(store.deck!, text.value, stage.host.measurer) : null))
const departure = computed(() => (element.value ? departureOf(store.deck!, element.value.id) : null))
const departing = computed(() => (departure.value ? styleNamed(theme.value, departure.value.style).name : ''))
const fieldWords: Readonly<Record<string, string>> = { size: 'size', color: 'colour', align: 'alignment', weight: 'weight', family: 'font', lineHeight: 'line height', letterSpacing: 'spacing', case: 'case' }
const differs = computed(() => Object.keys(departure.value?.fields ?? {}).map(field => fieldWords[field] ?? field).join(', '))
const onLook = computed(() => !!element.value && !store.deck!.slides[element.value.owner])
const own = computed(() => element.value && store.deck!.elements[element.value.id])
const inherits = computed(() => !!element.value?.placeholder && !own.value?.box)
const value = (event: Event) => (event.target as HTMLInputElement).value
const aligns = [['left', 'Set left', 'i-lucide-align-left'], ['center', 'Set centred', 'i-lucide-align-center'], ['right', 'Set right', 'i-lucide-align-right']] as const
const verticals = { top: 'at the top', middle: 'in the middle', bottom: 'at the bottom' }
const shapes = { rectangle: 'Rectangle', rounded: 'Rounded', ellipse: 'Ellipse', triangle: 'Triangle', line: 'Line' }
const frames = { rectangle: 'Straight', rounded: 'Rounded', circle: 'Circle' }
</script>

<template>
  <div v-if="element" class="settings">
    <h3>{{ element.name }}</h3>
    <section v-if="element.kind === 'chart'"><ChartSettings :element="element" @choose="emit('table')" /></section>
    <section v-if="text && style">
      <div class="row"><span class="label">Style</span><select class="field" aria-label="Text style" :value="text.style ?? 'body'" :disabled="store.isForm" @change="set('restyle', { style: value($event) } as never)"><option v-for="(item, name) in theme.textStyles" :key="name" :value="name">{{ item.name }}</option></select></div>
      <div class="row"><span class="label">Size</span><span><NumberField :model-value="style.size" label="Size" unit="px" :least="8" :most="600" @update:model-value="size => set('resize the text of', { size } as never)" /></span></div>
      <div v-if="departure" class="departs">Differs from {{ departing }} in {{ differs }}.<span class="pair"><button class="press small" @click="store.edit(`take ${element.name} into ${departing}`, takeIntoStyle(store.deck!, { element: element.id }))">Take this into the style</button><button class="press small" @click="store.edit(`let ${element.name} follow its style`, returnToStyle(store.deck!, { elements: [element.id] }))">Return to the style</button></span></div>
      <p v-if="fitted && fitted.scale < 1" class="quiet small">Set at {{ Math.round(style.size * fitted.scale) }} px, so that it fits its box.</p>
      <p v-if="fitted && !fitted.fits" class="wrong small">More than fits, even at {{ Math.round(style.size * fitted.scale) }} px.</p>
      <div class="row"><span class="label">Colour</span><ColorField :model-value="style.color" :theme="theme" label="Colour of the text" @update:model-value="color => set('colour', { color: color ?? undefined } as never)" /></div>
      <div class="row"><span class="label">Aligned</span><span class="pair"><button v-for="[name, words, icon] in aligns" :key="name" class="press small" :class="{ on: (text.align ?? style.align) === name }" :aria-label="words" :title="words" @click="set('align', { align: name } as never)"><UIcon :name="icon" /></button></span></div>
      <div class="row"><span class="label">Stands</span><select class="field" aria-label="Stands" :value="text.vertical ?? 'top'" @change="set('align', { vertical: value($event) } as never)"><option v-for="(words, name) in verticals" :key="name" :value="name">{{ words }}</option></select></div>
      <div class="row"><span class="label">Panel behind</span><ColorField none :model-value="text.panel?.fill ? plainColor(text.panel.fill, theme.palette) : null" :theme="theme" label="Panel behind" @update:model-value="fill => set('put a panel behind', { panel: fill ? { fill, padding: text!.panel?.padding ?? 24, radius: text!.panel?.radius ?? 12 } : undefined } as never)" /></div>
      <button v-if="store.canEdit" class="press" @click="emit('edit', element.id)">Edit the words</button>
    </section>
    <section v-if="element.kind === 'picture'">
      <div class="row"><span class="label">Picture</span><button class="press small" @click="emit('picture')">{{ element.media ? 'Swap it' : 'Choose one' }}</button></div>
      <div class="row"><span class="label">Frame</span><select class="field" aria-label="Frame" :value="element.frame?.shape ?? 'rectangle'" @change="set('frame', { frame: { shape: value($event), radius: 32 } } as never)"><option v-for="(words, name) in frames" :key="name" :value="name">{{ words }}</option></select></div>
      <div class="row"><span class="label">Enlarged</span><NumberField :model-value="(element.view?.zoom ?? 1) * 100" label="Enlarged" unit="%" :least="100" :most="1000" :step="5" @update:model-value="zoom => element?.kind === 'picture' && set('enlarge', { view: { x: element.view?.x ?? 0.5, y: element.view?.y ?? 0.5, zoom: zoom / 100 } } as never)" /></div>
      <div class="row"><span class="label">Shown part</span><span class="pair"><NumberField :model-value="(element.view?.x ?? 0.5) * 100" label="Across" unit="%" :least="0" :most="100" :step="5" @update:model-value="x => element?.kind === 'picture' && set('shift', { view: { zoom: element.view?.zoom ?? 1, y: element.view?.y ?? 0.5, x: x / 100 } } as never)" /><NumberField :model-value="(element.view?.y ?? 0.5) * 100" label="Down" unit="%" :least="0" :most="100" :step="5" @update:model-value="y => element?.kind === 'picture' && set('shift', { view: { zoom: element.view?.zoom ?? 1, x: element.view?.x ?? 0.5, y: y / 100 } } as never)" /></span></div>
    </section>
    <section v-if="element.kind === 'shape'">
      <div class="row"><span class="label">Shape</span><select class="field" aria-label="Shape" :value="element.shape" @change="set('reshape', { shape: value($event) } as never)"><option v-for="(words, name) in shapes" :key="name" :value="name">{{ words }}</option></select></div>
      <div class="row"><span class="label">Fill</span><ColorField none :model-value="element.fill ? plainColor(element.fill, theme.palette) : null" :theme="theme" label="Fill" @update:model-value="fill => set('fill', { fill } as never)" /></div>
      <div class="row"><span class="label">Outline</span><span class="pair"><ColorField none :model-value="element.stroke?.color ?? null" :theme="theme" label="Outline" @update:model-value="color => element?.kind === 'shape' && set('outline', { stroke: color ? { color, width: element.stroke?.width ?? 6 } : null } as never)" /><NumberField v-if="element.stroke" :model-value="element.stroke.width" label="Weight of the outline" :least="1" :most="200" @update:model-value="width => element?.kind === 'shape' && element.stroke && set('outline', { stroke: { ...element.stroke, width } } as never)" /></span></div>
    </section>
    <section v-if="onLook && 'prompt' in element || (onLook && element.placeholder)">
      <div v-if="element.placeholder" class="row"><span class="label">Fills the place</span><input class="field" :value="element.placeholder" aria-label="Name of the place" maxlength="60" @change="/^[a-z][a-z0-9-]*$/.test(value($event)) && set('name the place of', { placeholder: value($event) } as never)"></div>
      <label class="prompt">What it asks for while it is empty<input class="field" :value="'prompt' in element ? element.prompt ?? '' : ''" maxlength="200" @change="set('change the prompt of', { prompt: value($event) || undefined } as never)"></label>
    </section>
    <section>
      <b class="sub">Place</b>
      <div class="grid">
        <label>Left<NumberField :model-value="element.box.x" label="Left" @update:model-value="x => place({ x })" /></label><label>Top<NumberField :model-value="element.box.y" label="Top" @update:model-value="y => place({ y })" /></label>
        <label>Width<NumberField :model-value="element.box.width" label="Width" :least="1" @update:model-value="width => place({ width })" /></label><label>Height<NumberField :model-value="element.box.height" label="Height" :least="1" @update:model-value="height => place({ height })" /></label>
        <label>Angle<NumberField :model-value="element.box.angle" label="Angle" :step="15" @update:model-value="angle => place({ angle })" /></label><label>Opacity<NumberField :model-value="(element.opacity ?? 1) * 100" label="Opacity" :least="0" :most="100" @update:model-value="opacity => set('fade', { opacity: opacity / 100 })" /></label>
      </div>
      <p v-if="inherits" class="quiet small">Its place comes from the layout.</p>
      <button v-else-if="element.placeholder && store.deck!.slides[element.owner]" class="press small" @click="set('put back', { box: undefined })">Back to its place in the layout</button>
      <div class="row"><span class="label">In words, for those who do not see it</span></div>
      <textarea class="field alt" rows="2" :value="element.alt ?? ''" aria-label="In words" :placeholder="element.kind === 'text' ? 'Its own words are read' : 'What can be seen'" @change="set('describe', { alt: value($event) || undefined })" />
    </section>
  </div>
  <div v-else-if="store.selection.length > 1" class="settings"><h3>{{ store.selection.length }} parts</h3><p class="quiet">Move them together, nudge with the arrows, duplicate with Ctrl D.</p></div>
  <div v-else-if="store.lookOwner" class="settings"><h3>{{ store.deck!.layouts[store.lookOwner]?.name ?? store.deck!.masters[store.lookOwner]?.name }}</h3><p class="quiet">Press a part to place it exactly, change its style or what it asks for.</p></div>
  <div v-else class="settings"><h3>This slide</h3><SlideSettings /></div>
</template>

<style scoped>
.departs { font-size: 13px; color: var(--second); display: flex; flex-direction: column; gap: 5px; padding: 4px 0; }
.departs .pair { flex-wrap: wrap; }
.prompt { display: flex; flex-direction: column; gap: 4px; color: var(--second); font-size: 13px; }
.settings { display: flex; flex-direction: column; gap: 10px; }
h3 { font-size: 17px; overflow-wrap: anywhere; }
section { border-top: 1px solid var(--line); padding-top: 8px; display: flex; flex-direction: column; gap: 2px; }
.pair { display: flex; gap: 5px; }
.sub { font-size: 13px; color: var(--second); }
.grid { display: grid; grid-template-columns: 1fr 1fr; gap: 6px 12px; }
.grid label { display: flex; align-items: center; justify-content: space-between; color: var(--second); font-size: 13px; }
.small { font-size: 13px; margin: 2px 0; }
.wrong { color: var(--wrong); }
.alt { width: 100%; resize: vertical; }
section > .press { align-self: flex-start; margin-top: 4px; }
</style>
