<script setup lang="ts">
import { elementsOf, textOf } from '#core/model'
import { families, familyNamed } from '#core/families'
import { arrangeLayout } from '#core/themes'

/** A layout or master on the stage, with what can be put on it: places to be filled, and what stands on every slide. */
const store = useDeck()
const where = useWhere()
const { boxAt: middle, put } = usePutting()
const stage = useStage()
const owner = computed(() => where.lookOwner)
const onLayout = computed(() => !!owner.value && !!store.current.layouts[owner.value])
/** A name for a place that no other place of the layout has. */
function placeName(base: string) {
  const taken = new Set(elementsOf(store.current, owner.value!).map(element => element.placeholder))
  if (!taken.has(base)) return base
  let count = 2
  while (taken.has(`${base}-${count}`)) count++
  return `${base}-${count}`
}
const addPlace = {
  text: () =>
    put('add a place for text', {
      kind: 'text',
      name: 'Text',
      placeholder: placeName('body'),
      style: 'body',
      text: textOf([]),
      prompt: 'What stands here',
      box: middle(900, 400),
    }),
  picture: () =>
    put('add a place for a picture', {
      kind: 'picture',
      name: 'Picture',
      placeholder: placeName('picture'),
      prompt: 'Drop a picture here',
      box: middle(800, 600),
    }),
  chart: () =>
    put('add a place for a chart', {
      kind: 'chart',
      name: 'Chart',
      placeholder: placeName('chart'),
      prompt: 'Drop a CSV file here',
      box: middle(1100, 600),
    }),
  any: () =>
    put('add a place for anything', {
      kind: 'picture',
      name: 'Anything',
      placeholder: placeName('anything'),
      anything: true,
      prompt: 'Drop a picture or a CSV file here',
      box: middle(900, 560),
    }),
}
const fields = [
  ['slide-number', 'Slide number'],
  ['date', 'Date'],
  ['deck-title', 'Deck title'],
  ['chapter-number', 'Number of the chapter'],
  ['chapter', 'Chapter'],
  ['footer', 'Footer'],
] as const
const addField = (field: (typeof fields)[number][0], name: string) =>
  put(`add the ${name.toLowerCase()}`, {
    kind: 'text',
    name,
    field,
    style: 'small',
    text: textOf([]),
    vertical: 'middle',
    box: middle(500, 60),
  })
const addText = () => put('add text', { kind: 'text', name: 'Text', style: 'small', text: textOf(['Text']), box: middle(700, 80) })
const addShape = (shape: 'rectangle' | 'ellipse') =>
  put('add a shape', {
    kind: 'shape',
    name: shape === 'ellipse' ? 'Ellipse' : 'Rectangle',
    shape,
    fill: { role: 'accent2' },
    box: middle(300, shape === 'ellipse' ? 300 : 12),
  })
const picker = useTemplateRef('picker')
async function addPicture(file: File) {
  const media = await uploadPicture(file)
  if (!media) return
  const natural = { width: media.width ?? 800, height: media.height ?? 600 }
  const scale = Math.min(1, 500 / natural.width, 400 / natural.height)
  put(`add ${file.name}`, {
    kind: 'picture',
    name: file.name.replace(/\.\w+$/, ''),
    media: media.hash,
    natural,
    box: middle(Math.round(natural.width * scale), Math.round(natural.height * scale)),
  })
}
/** Lines as a diagram: the families that give each line a part of its own. */
const arranging = computed(() => {
  const family = familyNamed(store.current.layouts[owner.value ?? '']?.family ?? '')
  return family?.arrange ? family : null
})
const diagrams = [
  families
    .filter(family => family.arrange)
    .map(family => ({
      label: family.label,
      onSelect: () =>
        store.edit(
          `arrange as ${family.label.toLowerCase()}`,
          arrangeLayout(store.current, { layout: owner.value!, family }, { id: freshId }),
        ),
    })),
]
const fieldMenu = computed(() => [fields.map(([field, name]) => ({ label: name, onSelect: () => addField(field, name) }))])
</script>

<template>
  <section class="work-place" aria-label="Layout on the stage">
    <div v-if="store.canEdit && owner" class="add" role="toolbar" aria-label="Add">
      <div id="text-tools" />
      <template v-if="onLayout && !stage.editing">
        <span class="quiet">A place for</span>
        <UButton size="sm" @click="addPlace.text">Text</UButton>
        <UButton size="sm" @click="addPlace.picture">Picture</UButton>
        <UButton size="sm" @click="addPlace.chart">Chart</UButton>
        <UButton size="sm" @click="addPlace.any">Anything</UButton>
        <UDropdownMenu :items="diagrams" :ui="{ content: 'max-h-80 overflow-y-auto' }">
          <UButton size="sm">{{ arranging ? `Diagram: ${arranging.label}` : 'Diagram' }}</UButton>
        </UDropdownMenu>
      </template>
      <template v-if="!stage.editing">
        <span class="quiet">On every slide</span>
        <UButton size="sm" @click="addText">Text</UButton>
        <UDropdownMenu :items="fieldMenu"><UButton size="sm">Number, date, names</UButton></UDropdownMenu>
        <UButton size="sm" @click="picker?.open()">Picture</UButton>
        <UButton size="sm" @click="addShape('rectangle')">Rule</UButton>
        <UButton size="sm" @click="addShape('ellipse')">Ellipse</UButton>
      </template>
      <FilePicker ref="picker" accept="image/*" @file="addPicture" />
    </div>
    <div class="canvas"><StageCanvas /></div>
    <div class="parts"><PartsList /></div>
  </section>
</template>

<style scoped>
.work-place {
  display: grid;
  grid-template-rows: auto 1fr minmax(0, 150px);
  min-width: 0;
  min-height: 0;
}
.add {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 8px 14px 4px;
  flex-wrap: wrap;
  font-size: 13px;
}
.canvas {
  position: relative;
  min-height: 0;
}
.parts {
  overflow-y: auto;
  border-top: 1px solid var(--line);
  padding: 8px;
  background: var(--panel);
}
</style>
