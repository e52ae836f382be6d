<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { applyChanges, duplicateElements, placeElements, removeElements, shownElements, type Box, type Change, type ShownElement } from '#core/deck'
import { boundsOf, centerOf, handles, overlap, snapMove, snapResize, type Guide, type Handle } from '#core/place'
import { SlideView, stageHostKey } from '#stage'

/** The slide at work: select, move, size, turn, and edit text in place. */
const emit = defineEmits<{ files: [files: File[], at: { x: number, y: number }, element: string | null] }>()
const store = useDeck()
const stage = useStageHost()
provide(stageHostKey, () => stage.host)

const area = ref<HTMLElement>()
const { width: areaWidth, height: areaHeight } = useElementSize(area)
const size = computed(() => store.deck!.info.info!.size)
const scale = computed(() => Math.max(0.05, Math.min((areaWidth.value - 36) / size.value.width, (areaHeight.value - 36) / size.value.height)))
const editing = ref<string | null>(null)
const guides = ref<Guide[]>([])
const marquee = ref<{ left: number, top: number, right: number, bottom: number } | null>(null)
const preview = shallowRef<Record<string, Box>>({})
const dropAt = ref<string | null>(null)
const isOver = ref(false)
const context = { id: freshId }

const shown = computed(() => (Object.keys(preview.value).length ? applyChanges(store.deck!, placeElements(store.deck!, { boxes: preview.value })) : store.deck!))
const elements = computed(() => (store.stageId ? shownElements(shown.value, store.stageId) : []))
const chosen = computed(() => elements.value.filter(element => store.selection.includes(element.id)))
/** On a form nothing moves; words and pictures of its places can be changed. */
const isFixed = (element: ShownElement) => !!element.locked || element.pinned || store.isForm
const single = computed(() => (chosen.value.length === 1 ? chosen.value[0]! : null))
const peersHere = computed(() => store.peers.filter(peer => peer.slide === store.stageId))
const editedElement = computed(() => {
  const element = elements.value.find(candidate => candidate.id === editing.value)
  return element?.kind === 'text' ? element : null
})

const boxStyle = (box: Box) => ({ left: `${box.x}px`, top: `${box.y}px`, width: `${box.width}px`, height: `${box.height}px`, transform: box.angle ? `rotate(${box.angle}deg)` : undefined })
const point = (event: { clientX: number, clientY: number }) => {
  const box = area.value!.querySelector('.board')!.getBoundingClientRect()
  return { x: (event.clientX - box.left) / scale.value, y: (event.clientY - box.top) / scale.value }
}
const roomFor = (moving: readonly string[]) => ({
  others: elements.value.filter(element => !moving.includes(element.id) && !element.pinned).map(element => boundsOf(element.box)),
  size: size.value, margin: store.deck!.theme.theme!.margin, reach: 7 / scale.value,
})

function follow(event: PointerEvent, move: (event: PointerEvent) => void, end: (given: boolean) => void) {
  event.preventDefault()
  followPointer(event, move, given => {
    guides.value = []
    end(given)
  })
}
function commit(label: string, given: boolean) {
  const boxes = preview.value
  preview.value = {}
  if (given && Object.keys(boxes).length) store.edit(label, placeElements(store.deck!, { boxes }))
}
const nameOf = (ids: readonly string[]) => (ids.length === 1 ? store.deck!.elements[ids[0]!]?.name ?? 'a part' : `${ids.length} parts`)

function press(event: PointerEvent, element: ShownElement) {
  if (event.button !== 0) return
  ;(event.currentTarget as HTMLElement).focus()
  if (editing.value && editing.value !== element.id) editing.value = null
  if (event.shiftKey) store.select(...(store.selection.includes(element.id) ? store.selection.filter(id => id !== element.id) : [...store.selection, element.id]))
  else if (!store.selection.includes(element.id)) store.select(element.id)
  if (!store.canEdit) return
  const moving = elements.value.filter(candidate => store.selection.includes(candidate.id) && !isFixed(candidate))
  if (!moving.length) return
  const from = point(event)
  const room = roomFor(moving.map(candidate => candidate.id))
  follow(event, move => {
    const to = point(move)
    let by = { x: to.x - from.x, y: to.y - from.y }
    if (Math.hypot(by.x, by.y) * scale.value < 3 && !Object.keys(preview.value).length) return
    const boxes = moving.map(candidate => ({ ...candidate.box, x: candidate.box.x + by.x, y: candidate.box.y + by.y }))
    const snapped = move.altKey ? { shift: { x: 0, y: 0 }, guides: [] } : snapMove(boxes, room)
    by = { x: by.x + snapped.shift.x, y: by.y + snapped.shift.y }
    guides.value = snapped.guides
    preview.value = Object.fromEntries(moving.map(candidate => [candidate.id, { ...candidate.box, x: candidate.box.x + by.x, y: candidate.box.y + by.y }]))
  }, given => commit(`move ${nameOf(moving.map(candidate => candidate.id))}`, given))
}

/** Tab walks the elements and selects the one that it reaches; a press has selected already. */
function reached(event: FocusEvent, id: string) {
  if ((event.currentTarget as HTMLElement).matches(':focus-visible') && !store.selection.includes(id)) store.select(id)
}

function pressHandle(event: PointerEvent, handle: Handle) {
  const element = single.value
  if (!element || event.button !== 0) return
  const box = element.box
  const from = point(event)
  const room = roomFor([element.id])
  follow(event, move => {
    const to = point(move)
    const snapped = snapResize(box, handle, { x: to.x - from.x, y: to.y - from.y }, move.altKey ? { ...room, reach: 0 } : room, { keepProportion: move.shiftKey || (element.kind === 'picture' && handle.across !== 0 && handle.down !== 0 && !element.placeholder), fromCenter: move.ctrlKey })
    guides.value = snapped.guides
    preview.value = { [element.id]: snapped.box }
  }, given => commit(`resize ${element.name}`, given))
}

function pressTurn(event: PointerEvent) {
  const element = single.value
  if (!element || event.button !== 0) return
  const center = centerOf(element.box)
  follow(event, move => {
    const to = point(move)
    const free = (Math.atan2(to.y - center.y, to.x - center.x) * 180) / Math.PI + 90
    const angle = move.altKey ? Math.round(free) : Math.round(free / 15) * 15
    preview.value = { [element.id]: { ...element.box, angle: ((angle % 360) + 360) % 360 } }
  }, given => commit(`turn ${element.name}`, given))
}

function pressGround(event: PointerEvent) {
  if (event.button !== 0) return
  editing.value = null
  const kept = event.shiftKey ? store.selection : []
  if (!event.shiftKey) store.select()
  const from = point(event)
  follow(event, move => {
    const to = point(move)
    const frame = { left: Math.min(from.x, to.x), right: Math.max(from.x, to.x), top: Math.min(from.y, to.y), bottom: Math.max(from.y, to.y) }
    if ((frame.right - frame.left + frame.bottom - frame.top) * scale.value < 6) return
    marquee.value = frame
    store.select(...new Set([...kept, ...elements.value.filter(element => !element.pinned && !element.locked && overlap(boundsOf(element.box), frame)).map(element => element.id)]))
  }, () => { marquee.value = null })
}

function startEditing(id: string | undefined) {
  const element = elements.value.find(candidate => candidate.id === id)
  if (element?.kind !== 'text' || element.pinned || element.locked || element.field || (store.isForm && !element.placeholder) || !store.canEdit) return
  store.select(element.id)
  editing.value = element.id
}

function onKey(event: KeyboardEvent) {
  if (isTyping(event.target) || document.querySelector('[role=dialog]')) return
  const ids = store.isForm ? [] : chosen.value.filter(element => !element.pinned).map(element => element.id)
  const control = event.ctrlKey || event.metaKey
  const arrows: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }
  const arrow = arrows[event.key]
  if (control && event.key.toLowerCase() === 'a') {
    event.preventDefault()
    store.select(...elements.value.filter(element => !element.pinned && !element.locked).map(element => element.id))
  } else if (control && event.key.toLowerCase() === 'd' && ids.length) {
    event.preventDefault()
    const changes = duplicateElements(store.deck!, { elements: ids, slide: store.stageId!, offset: { x: 40, y: 40 } }, context)
    store.edit(`duplicate ${nameOf(ids)}`, changes)
    store.select(...changes.flatMap((change: Change) => (change.do === 'put' ? [change.record.id] : [])))
  } else if (arrow && ids.length && !control) {
    event.preventDefault()
    const step = event.altKey ? 1 : event.shiftKey ? 40 : 8
    const boxes = Object.fromEntries(chosen.value.filter(element => !element.pinned && !element.locked).map(element => [element.id, { ...element.box, x: element.box.x + arrow[0] * step, y: element.box.y + arrow[1] * step }]))
    store.edit(`nudge ${nameOf(ids)}`, placeElements(store.deck!, { boxes }))
  } else if ((event.key === 'Delete' || event.key === 'Backspace') && ids.length) {
    event.preventDefault()
    store.edit(`take away ${nameOf(ids)}`, removeElements(store.deck!, { elements: ids }))
    store.select()
  } else if (event.key === 'Enter' && single.value) {
    event.preventDefault()
    startEditing(single.value.id)
  } else if (event.key === 'Escape') store.select()
}
onKeys(onKey)
watch(() => store.stageId, () => { editing.value = null })

function elementAt(event: DragEvent): ShownElement | undefined {
  const at = point(event)
  return elements.value.findLast(element => !element.pinned && overlap(boundsOf(element.box), { left: at.x - 1, right: at.x + 1, top: at.y - 1, bottom: at.y + 1 }) && (element.kind === 'chart' || element.kind === 'picture'))
}
function dragOver(event: DragEvent) {
  if (!event.dataTransfer?.types.includes('Files')) return
  event.preventDefault()
  isOver.value = true
  dropAt.value = elementAt(event)?.id ?? null
}
function drop(event: DragEvent) {
  isOver.value = false
  dropAt.value = null
  const files = [...(event.dataTransfer?.files ?? [])]
  if (!files.length) return
  event.preventDefault()
  emit('files', files, point(event), elementAt(event)?.id ?? null)
}
const handleStyle = (handle: Handle) => ({ left: `${((handle.across + 1) / 2) * 100}%`, top: `${((handle.down + 1) / 2) * 100}%`, transform: `translate(-50%,-50%) scale(${1 / scale.value})` })
const cursors = (handle: Handle) => (handle.across === 0 ? 'ns-resize' : handle.down === 0 ? 'ew-resize' : handle.across === handle.down ? 'nwse-resize' : 'nesw-resize')
defineExpose({ startEditing, scale })
</script>

<template>
  <div ref="area" class="area" @pointerdown.self="pressGround" @dragover="dragOver" @dragleave="isOver = false" @drop="drop">
    <div v-if="store.stageId" class="board" :class="{ over: isOver }" :style="{ width: `${size.width * scale}px`, height: `${size.height * scale}px` }" data-test="stage">
      <div class="scaled" :style="{ width: `${size.width}px`, height: `${size.height}px`, transform: `scale(${scale})` }">
        <SlideView :deck="shown" :slide="store.stageId" :frame="null" :editing="editing" :scale="scale" prompts />
        <div class="hits" @pointerdown.self="pressGround">
          <div
            v-for="element in elements.filter(candidate => !candidate.pinned)" :key="element.id" class="hit" :class="{ drop: dropAt === element.id, locked: element.locked }" :style="boxStyle(element.box)" tabindex="0" role="button"
            :aria-label="`${element.name}, ${element.kind}`" :aria-pressed="store.selection.includes(element.id)" :data-hit="element.id" @pointerdown="press($event, element)" @dblclick="startEditing(element.id)" @focus="reached($event, element.id)" />
          <div v-for="peer in peersHere" :key="peer.client">
            <div v-for="id in peer.selection" :key="id" class="theirs" :style="{ ...boxStyle(elements.find(element => element.id === id)?.box ?? { x: -999, y: 0, width: 0, height: 0, angle: 0 }), borderColor: peer.color, borderWidth: `${2 / scale}px` }"><span :style="{ background: peer.color, transform: `scale(${1 / scale})` }">{{ peer.name }}</span></div>
          </div>
          <template v-if="!editing">
            <div v-for="element in chosen" :key="element.id" class="chosen" :style="{ ...boxStyle(element.box), outlineWidth: `${1.5 / scale}px` }">
              <template v-if="single && !isFixed(element) && store.canEdit">
                <span v-for="handle in handles" :key="`${handle.across}${handle.down}`" class="handle" :data-handle="`${handle.across},${handle.down}`" :style="{ ...handleStyle(handle), cursor: cursors(handle) }" @pointerdown.stop="pressHandle($event, handle)" />
                <span class="turn" title="Turn" :style="{ transform: `translate(-50%, -100%) scale(${1 / scale})` }" @pointerdown.stop="pressTurn" />
              </template>
            </div>
          </template>
          <div v-if="marquee" class="marquee" :style="{ left: `${marquee.left}px`, top: `${marquee.top}px`, width: `${marquee.right - marquee.left}px`, height: `${marquee.bottom - marquee.top}px`, borderWidth: `${1 / scale}px` }" />
          <div v-for="(guide, index) in guides" :key="index" class="guide" :style="guide.axis === 'x' ? { left: `${guide.at}px`, top: `${guide.from}px`, height: `${guide.to - guide.from}px`, borderLeftWidth: `${1.5 / scale}px` } : { top: `${guide.at}px`, left: `${guide.from}px`, width: `${guide.to - guide.from}px`, borderTopWidth: `${1.5 / scale}px` }" />
        </div>
        <TextEditing v-if="editedElement" :key="editedElement.id" :deck="shown" :element="editedElement" :scale="scale" @done="editing = null" />
      </div>
    </div>
    <p v-else class="quiet">No slide yet. The outline makes the first one.</p>
  </div>
</template>

<style scoped>
.area { position: absolute; inset: 0; display: grid; place-items: center; overflow: hidden; }
.board { position: relative; box-shadow: var(--shadow); border-radius: 3px; }
.board.over { outline: 3px solid var(--act); outline-offset: 4px; }
.scaled { position: absolute; left: 0; top: 0; transform-origin: 0 0; }
.hits { position: absolute; inset: 0; }
.hit { position: absolute; cursor: move; touch-action: none; outline-offset: 0; }
.hit:hover { box-shadow: 0 0 0 2px color-mix(in srgb, var(--act) 45%, transparent); }
.hit:focus-visible { outline: none; }
.hit.locked { cursor: default; }
.hit.drop { box-shadow: inset 0 0 0 6px var(--act); background: color-mix(in srgb, var(--act) 12%, transparent); }
.chosen { position: absolute; outline: 2px solid #12615c; pointer-events: none; }
.handle { position: absolute; width: 11px; height: 11px; border: 1.5px solid #12615c; background: #fff; border-radius: 50%; pointer-events: auto; touch-action: none; }
.handle::after { content: ""; position: absolute; inset: -6px; }
.turn { position: absolute; left: 50%; top: 0; width: 14px; height: 34px; transform-origin: 50% 100%; pointer-events: auto; cursor: grab; touch-action: none; }
.turn::before { content: ""; position: absolute; left: 0; top: 0; width: 11px; height: 11px; border: 1.5px solid #12615c; border-radius: 50%; background: #fff; }
.turn::after { content: ""; position: absolute; left: 6px; top: 13px; bottom: 6px; border-left: 1.5px solid #12615c; }
.theirs { position: absolute; border-style: solid; pointer-events: none; }
.theirs span { position: absolute; left: 0; bottom: 100%; transform-origin: 0 100%; color: #fff; font: 600 12px "Hanken Grotesk"; padding: 1px 6px; border-radius: 4px 4px 4px 0; white-space: nowrap; }
.marquee { position: absolute; border: 1px dashed #12615c; background: rgb(18 97 92 / 0.1); pointer-events: none; }
.guide { position: absolute; border: 0 dashed #2fa38f; pointer-events: none; }
</style>
