<script setup lang="ts">
import { baseKeymap, toggleMark } from 'prosemirror-commands'
import { keymap } from 'prosemirror-keymap'
import { EditorState, type Command } from 'prosemirror-state'
import { EditorView } from 'prosemirror-view'
import { initProseMirrorDoc, ySyncPlugin } from 'y-prosemirror'
import { cssColor } from '#core/color'
import { roleNames, slideOrStandIn, styleOf, themeOf, type Deck, type Role, type ShownElement, type TextElement } from '#core/deck'
import { indentOf, layoutOfElement, textSchema } from '#core/text'
import { fontStack } from '#stage'

/** A text edited in place, on the shared text itself, with the look that it plays with. */
const props = defineProps<{ deck: Deck, element: TextElement & ShownElement, scale: number }>()
const emit = defineEmits<{ done: [] }>()
const store = useDeck()
const stage = useStageHost()
const place = ref<HTMLElement>()
let view: EditorView | undefined
const active = ref<Record<string, boolean>>({})
const choosing = ref(false)

const style = computed(() => styleOf(props.deck, props.element))
const layout = computed(() => layoutOfElement(props.deck, props.element, stage.host.measurer))
const theme = computed(() => { const slide = slideOrStandIn(props.deck, props.element.owner); return slide ? themeOf(props.deck, slide) : props.deck.theme.theme! })
const palette = computed(() => theme.value.palette)
const look = computed(() => {
  const size = style.value.size * layout.value.scale
  return {
    'fontFamily': fontStack(style.value.family ?? theme.value.fonts[style.value.font]), 'fontSize': `${size}px`, 'fontWeight': String(style.value.weight), 'lineHeight': String(style.value.lineHeight),
    'letterSpacing': `${style.value.letterSpacing}em`, 'textAlign': props.element.align ?? style.value.align, 'color': cssColor(style.value.color, palette.value), 'caretColor': cssColor(style.value.color, palette.value),
    'fontStyle': style.value.italic ? 'italic' : 'normal', 'textTransform': style.value.case === 'upper' ? 'uppercase' : style.value.case === 'lower' ? 'lowercase' : 'none',
    '--gap': `${style.value.paragraphSpacing}em`, '--bullet': JSON.stringify(style.value.bullet.symbol), '--bullet-color': cssColor(style.value.bullet.color, palette.value), '--indent': `${indentOf(style.value, 1)}em`,
    'padding': `${props.element.panel?.padding ?? 0}px`, 'justifyContent': props.element.vertical === 'middle' ? 'center' : props.element.vertical === 'bottom' ? 'flex-end' : 'flex-start',
  }
})

const marks = textSchema.marks
/** Makes the paragraphs of the selection a list, or plain again; or one level deeper or higher. */
const setLevel = (change: (level: number) => number): Command => (state, dispatch) => {
  const transaction = state.tr
  state.doc.nodesBetween(state.selection.from, state.selection.to, (node, at) => {
    if (node.type.name === 'paragraph') transaction.setNodeMarkup(at, undefined, { ...node.attrs, level: Math.min(9, Math.max(0, change(node.attrs.level))) })
  })
  dispatch?.(transaction)
  return true
}
const isList = () => view?.state.selection.$from.parent.attrs.level > 0
const run = (command: Command) => {
  if (view) command(view.state, view.dispatch, view)
  view?.focus()
}
const toggleList = () => run(setLevel(isList() ? () => 0 : level => level || 1))
function setColor(role: Role | null) {
  choosing.value = false
  run((state, dispatch) => {
    const { from, to, empty } = state.selection
    const transaction = state.tr
    const mark = role && marks.color!.create({ color: { role } })
    if (empty) dispatch?.(mark ? transaction.addStoredMark(mark) : transaction.removeStoredMark(marks.color!))
    else dispatch?.(mark ? transaction.addMark(from, to, mark) : transaction.removeMark(from, to, marks.color!))
    return true
  })
}

function refresh(state: EditorState) {
  const { from, to, empty, $from } = state.selection
  const has = (name: string) => (empty ? !!marks[name]!.isInSet(state.storedMarks ?? $from.marks()) : state.doc.rangeHasMark(from, to, marks[name]!))
  active.value = { bold: has('bold'), italic: has('italic'), underline: has('underline'), list: $from.parent.attrs.level > 0 }
}
const insertBreak: Command = (state, dispatch) => {
  dispatch?.(state.tr.replaceSelectionWith(textSchema.nodes.break!.create()).scrollIntoView())
  return true
}

onMounted(() => {
  const shared = store.sharedText(props.element.id)
  if (!shared || !place.value) return emit('done')
  store.undoManager()?.stopCapturing()
  const { doc, mapping } = initProseMirrorDoc(shared, textSchema)
  view = new EditorView(place.value, {
    state: EditorState.create({
      doc,
      plugins: [
        ySyncPlugin(shared, { mapping }),
        keymap({
          'Mod-b': toggleMark(marks.bold!), 'Mod-i': toggleMark(marks.italic!), 'Mod-u': toggleMark(marks.underline!), 'Shift-Enter': insertBreak,
          'Tab': setLevel(level => level + 1), 'Shift-Tab': setLevel(level => level - 1),
          'Mod-z': () => { store.undo(); return true }, 'Mod-y': () => { store.redo(); return true }, 'Shift-Mod-z': () => { store.redo(); return true },
          'Escape': () => { emit('done'); return true },
        }),
        keymap(baseKeymap),
      ],
    }),
    attributes: { 'aria-label': props.element.name, 'role': 'textbox', 'aria-multiline': 'true', 'spellcheck': 'true', 'lang': props.deck.info.info!.language },
    dispatchTransaction(this: EditorView, transaction) {
      const next = this.state.apply(transaction)
      this.updateState(next)
      refresh(next)
    },
  })
  view.focus()
  // All is selected at first: typing replaces, a press places the caret.
  void nextTick(() => document.getSelection()?.selectAllChildren(view!.dom))
})
onBeforeUnmount(() => {
  view?.destroy()
  store.undoManager()?.stopCapturing()
})
const tools = [
  { name: 'bold', label: 'Bold', icon: 'i-lucide-bold', run: () => run(toggleMark(marks.bold!)) },
  { name: 'italic', label: 'Italic', icon: 'i-lucide-italic', run: () => run(toggleMark(marks.italic!)) },
  { name: 'underline', label: 'Underline', icon: 'i-lucide-underline', run: () => run(toggleMark(marks.underline!)) },
  { name: 'list', label: 'List', icon: 'i-lucide-list', run: toggleList },
]
</script>

<template>
  <div class="editing" :style="{ left: `${element.box.x}px`, top: `${element.box.y}px`, width: `${element.box.width}px`, height: `${element.box.height}px`, transform: element.box.angle ? `rotate(${element.box.angle}deg)` : undefined }" @pointerdown.stop>
    <div class="tools" :style="{ transform: `scale(${1 / scale})` }" role="toolbar" aria-label="Text" @mousedown.prevent>
      <button v-for="tool in tools" :key="tool.name" class="tool" :class="{ on: active[tool.name] }" :aria-label="tool.label" :aria-pressed="!!active[tool.name]" :title="tool.label" @click="tool.run"><UIcon :name="tool.icon" /></button>
      <button class="tool" aria-label="Colour" title="Colour" :aria-expanded="choosing" @click="choosing = !choosing"><UIcon name="i-lucide-palette" /></button>
      <div v-if="choosing" class="colors">
        <button v-for="role in roleNames" :key="role" class="swatch" :style="{ background: palette[role] }" :aria-label="`Colour as ${role}`" :title="role" @click="setColor(role)" />
        <button class="tool" title="The colour of its style" aria-label="The colour of its style" @click="setColor(null)"><UIcon name="i-lucide-rotate-ccw" /></button>
      </div>
      <button class="tool done" @click="emit('done')">Done</button>
    </div>
    <div ref="place" class="text" :style="look" />
  </div>
</template>

<style scoped>
.editing { position: absolute; z-index: 5; outline: 3px solid var(--act); }
.text { position: absolute; inset: 0; display: flex; flex-direction: column; box-sizing: border-box; }
.text :deep(.ProseMirror) { outline: none; white-space: pre-wrap; overflow-wrap: anywhere; font-kerning: normal; }
.text :deep(p) { margin: 0; position: relative; min-height: 1.2em; }
.text :deep(p + p) { margin-top: var(--gap); }
.text :deep(p[data-level]:not([data-level="0"])) { padding-left: var(--indent); }
.text :deep(p[data-level="2"]) { padding-left: calc(2 * var(--indent)); }
.text :deep(p[data-level="3"]) { padding-left: calc(3 * var(--indent)); }
.text :deep(p[data-level]:not([data-level="0"]))::before { content: var(--bullet); color: var(--bullet-color); position: absolute; margin-left: calc(-1 * var(--indent)); }
.tools { position: absolute; z-index: 3; bottom: calc(100% + 10px); left: 0; transform-origin: 0 100%; display: flex; gap: 2px; background: var(--panel); border: 1px solid var(--line); border-radius: 8px; padding: 3px; box-shadow: var(--shadow); color: var(--ink); }
.tool { min-width: 30px; height: 30px; border: 0; background: none; border-radius: 6px; color: inherit; font: 500 13px "Hanken Grotesk"; cursor: pointer; display: grid; place-items: center; }
.tool:hover, .tool.on { background: var(--act-wash); color: var(--act); }
.done { padding: 0 10px; }
.colors { position: absolute; left: 120px; top: calc(100% + 4px); display: flex; gap: 4px; background: var(--panel); border: 1px solid var(--line); border-radius: 8px; padding: 5px; box-shadow: var(--shadow); z-index: 2; }
.swatch { width: 24px; height: 24px; border-radius: 50%; border: 1px solid var(--line); cursor: pointer; }
</style>
