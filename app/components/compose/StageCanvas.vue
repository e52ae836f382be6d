<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { hasRows } from '#core/charts'
import { wordsInShape } from '#core/edits'
import type { ShownElement } from '#core/resolved'
import type { Id } from '#core/values'
import { SlideView, stageHostKey } from '#stage'
import type StageGuides from './StageGuides.vue'
import type StageHits from './StageHits.vue'

/** The slide at work: looked at nearer or from afar, its parts selected, moved, sized, turned and written in. */
const emit = defineEmits<{ files: [files: File[], at: { x: number; y: number }, element: string | null]; ground: [file: File] }>()
const store = useDeck()
const where = useWhere()
const selected = useSelected()
const stage = useStage()
const host = useStageHost()
provide(stageHostKey, () => host.host)

const area = ref<HTMLElement>()
const board = ref<HTMLElement>()
const hits = ref<InstanceType<typeof StageHits>>()
const guides = ref<InstanceType<typeof StageGuides>>()
const { width, height } = useElementSize(area)
watch(
  [width, height],
  () => {
    stage.area = { width: width.value, height: height.value }
  },
  { immediate: true },
)
watch(board, () => {
  stage.board = board.value ?? null
})
const place = computed(() => {
  const [wide, high] = [stage.size.width * stage.scale, stage.size.height * stage.scale]
  return {
    width: `${wide}px`,
    height: `${high}px`,
    left: `${(width.value - wide) / 2 + stage.pan.x}px`,
    top: `${(height.value - high) / 2 + stage.pan.y}px`,
  }
})

const edited = computed(() => {
  const element = stage.editing ? stage.byId.get(stage.editing) : undefined
  return element?.kind === 'text' ? element : null
})
const tabled = computed(() => {
  const element = stage.editing ? stage.byId.get(stage.editing) : undefined
  return element?.kind === 'table' ? element : null
})
const charted = computed(() => {
  const element = stage.editing ? stage.byId.get(stage.editing) : undefined
  return element?.kind === 'chart' && hasRows(element) && store.canEdit ? element : null
})
// One is inside a chart as long as that is in hand.
watch(
  () => charted.value && !selected.elements.includes(charted.value.id),
  isLeft => isLeft && (stage.editing = null),
)
const framed = computed(() => {
  const element = stage.framing ? stage.byId.get(stage.framing) : undefined
  return element?.kind === 'picture' ? element : null
})

/** Goes into a part: a group is opened, a text written in, a picture placed in its frame, a chart worked inside. */
function open(element: ShownElement, top: Id = element.id, at: { x: number; y: number } | null = null) {
  if (top !== element.id) {
    stage.opened = top
    return selected.select(nextIn(element, top))
  }
  if (element.kind === 'group') {
    const [first] = stage.leaves([element.id])
    if (!first) return
    stage.opened = element.id
    return selected.select(nextIn(first, element.id))
  }
  if (element.pinned || element.locked || (where.isForm && !element.placeholder) || !store.canEdit) return
  selected.select(element.id)
  stage.pressedAt = at
  if (element.kind === 'shape') {
    const changes = wordsInShape(store.current, { shape: element.id })
    if (!changes.length) return
    store.edit(`write in ${element.name}`, changes)
    selected.select(element.id)
    stage.editing = element.id
  } else if (element.kind === 'text' && !element.field) stage.editing = element.id
  else if (element.kind === 'table' && !element.table) stage.editing = element.id
  else if (element.kind === 'chart' && hasRows(element)) stage.editing = element.id
  else if (element.kind === 'picture' && element.media && !element.logo) stage.framing = element.id
}
/** The part of a group that something in it belongs to. */
function nextIn(element: ShownElement, group: Id): Id {
  let id = element.id
  while (store.current.elements[id]?.parent && store.current.elements[id]!.parent !== group) id = store.current.elements[id]!.parent!
  return id
}
function startEditing(id: string | undefined) {
  const element = id ? stage.byId.get(id) : undefined
  if (element) open(element)
}
useStageKeys(element => open(element))

function wheel(event: WheelEvent) {
  event.preventDefault()
  if (event.ctrlKey || event.metaKey) return stage.zoomTo(stage.zoom * Math.exp(-event.deltaY * 0.002), event)
  stage.pan = { x: stage.pan.x - (event.shiftKey ? event.deltaY : event.deltaX), y: stage.pan.y - (event.shiftKey ? 0 : event.deltaY) }
}
/** The middle button moves the slide about. */
function drag(event: PointerEvent) {
  if (event.button !== 1) return
  event.preventDefault()
  const [from, start] = [{ x: event.clientX, y: event.clientY }, stage.pan]
  followPointer(event, move => {
    stage.pan = { x: start.x + move.clientX - from.x, y: start.y + move.clientY - from.y }
  })
}

const { menuOf } = useElementMenu()
/** What is done with the selected element, or with what lies under the pointer, whose menu is asked for. */
function menuById(id: Id) {
  const element = stage.byId.get(id)
  if (!element || stage.editing) return []
  const inside =
    element.kind === 'text' || element.kind === 'shape' || (element.kind === 'table' && !element.table)
      ? 'Write in it'
      : element.kind === 'picture' && element.media
        ? 'Place it in its frame'
        : element.kind === 'group'
          ? 'Go into the group'
          : element.kind === 'chart' && hasRows(element)
            ? 'Work inside it'
            : null
  return menuOf(
    element,
    inside ? [{ label: inside, icon: 'i-lucide-square-pen', kbds: ['Enter'], onSelect: () => afterMenu(() => open(element)) }] : [],
  )
}
/** What is selected or in front at a place; by the key for it, what has the focus. */
function underMenu(event: MouseEvent) {
  const under = hits.value?.stackAt(stage.point(event)).map(entry => entry.top) ?? []
  return under.find(one => selected.elements.includes(one)) ?? under[0]
}

const dropAt = ref<string | null>(null)
const isOver = ref(false)
const overGround = ref(false)
const elementAt = (event: DragEvent) =>
  hits.value
    ?.stackAt(stage.point(event))
    .map(entry => entry.leaf)
    .find(element => element.kind === 'chart' || element.kind === 'picture')
function dragOver(event: DragEvent) {
  if (!event.dataTransfer?.types.includes('Files')) return
  event.preventDefault()
  isOver.value = true
  overGround.value = !!(event.target as HTMLElement).closest?.('.ground-drop')
  dropAt.value = overGround.value ? null : (elementAt(event)?.id ?? null)
}
function dragLeave(event: DragEvent) {
  if (area.value?.contains(event.relatedTarget as Node | null)) return
  isOver.value = overGround.value = false
  dropAt.value = null
}
function drop(event: DragEvent) {
  const files = [...(event.dataTransfer?.files ?? [])]
  const asGround = overGround.value
  isOver.value = overGround.value = false
  dropAt.value = null
  if (!files.length) return
  event.preventDefault()
  if (asGround) emit('ground', files[0]!)
  else emit('files', files, stage.point(event), elementAt(event)?.id ?? null)
}
defineExpose({ startEditing })
</script>

<template>
  <div
    ref="area"
    class="area"
    @wheel="wheel"
    @pointerdown.capture="drag"
    @pointerdown.self="hits?.pressGround($event)"
    @dragover="dragOver"
    @dragleave="dragLeave"
    @drop="drop"
  >
    <template v-if="where.stageId && stage.deck">
      <RightMenu :menu-of="menuById" :under="underMenu" @ask="id => selected.elements.includes(id) || selected.select(id)">
        <div ref="board" class="board" :class="{ over: isOver }" :style="place" data-test="stage">
          <div
            class="scaled"
            :style="{ width: `${stage.size.width}px`, height: `${stage.size.height}px`, transform: `scale(${stage.scale})` }"
          >
            <SlideView
              :deck="stage.shownDeck!"
              :slide="where.stageId"
              :frame="stage.passing"
              :editing="tabled || charted ? null : stage.editing"
              :scale="stage.scale"
              :tries="stage.tries"
              prompts
              whole
            />
            <StageHits ref="hits" :drop-at="dropAt" @open="open" />
            <BoardViews />
            <StageGuides ref="guides" />
            <StageChosen />
            <FrameEditing v-if="framed" :key="framed.id" :element="framed" />
            <TextEditing
              v-if="edited"
              :key="edited.id"
              :deck="stage.deck"
              :element="edited"
              :scale="stage.scale"
              @done="stage.editing = null"
            />
            <TableEditing v-if="tabled" :key="tabled.id" :element="tabled" @done="stage.editing = null" />
            <LazyChartEditing v-if="charted" :key="charted.id" :element="charted" @done="stage.editing = null" />
            <DrawTool v-if="stage.tool && store.canEdit" :key="stage.tool" />
          </div>
          <ProposedPictures v-if="store.canEdit && !stage.editing && !stage.framing" />
        </div>
      </RightMenu>
      <StageRulers @guide="(event, axis) => guides?.press(event, axis)" />
      <div v-if="isOver && store.canEdit && !where.isForm" class="ground-drop" :class="{ on: overGround }" data-test="ground-drop">
        Let go here: the picture becomes the background of the slide
      </div>
    </template>
    <p v-else class="quiet none">No slide yet. The outline makes the first one.</p>
  </div>
</template>

<style scoped>
.area {
  position: absolute;
  inset: 0;
  overflow: hidden;
  touch-action: none;
}
.board {
  position: absolute;
  box-shadow: var(--shadow);
  border-radius: 3px;
}
.board.over {
  outline: 3px solid var(--act);
  outline-offset: 4px;
}
.scaled {
  position: absolute;
  left: 0;
  top: 0;
  transform-origin: 0 0;
}
.none {
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
}
.ground-drop {
  position: absolute;
  left: 50%;
  bottom: 8px;
  transform: translateX(-50%);
  background: var(--panel);
  border: 2px dashed var(--act);
  border-radius: 10px;
  padding: 10px 22px;
  box-shadow: var(--shadow);
  font-weight: 500;
  z-index: 6;
}
.ground-drop.on {
  background: var(--act);
  color: var(--on-act);
}
</style>
