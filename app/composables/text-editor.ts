import { readPasted, withLevels } from '#core/formats/pasted'
import { amountIn, shownRow } from '#core/amounts'
import { infoOf, cleanText, textOf, type Amount, type Bullet, type Paragraph } from '#core/model'
import { baseKeymap, splitBlockAs, toggleMark } from 'prosemirror-commands'
import { keymap } from 'prosemirror-keymap'
import { Slice, type MarkType, type Node } from 'prosemirror-model'
import { EditorState, Plugin, TextSelection, type Command } from 'prosemirror-state'
import { Decoration, DecorationSet, EditorView } from 'prosemirror-view'
import { initProseMirrorDoc, ySyncPlugin } from 'y-prosemirror'
import type { XmlFragment } from 'yjs'
import { typedMark } from '#core/phrases'
import type { TextSetting } from '#core/resolved'
import { bulletOfParagraph, bulletWords, indentOf, lineCounter, textSchema, usualDistance } from '#core/text'

const marks = textSchema.marks
type ParagraphAttrs = NonNullable<Paragraph['attrs']>
export type MarkName = 'bold' | 'italic' | 'underline' | 'strike' | 'color' | 'highlight' | 'size' | 'font' | 'link' | 'accent' | 'amount'

/** What is true of the words that are selected. */
export interface TextState {
  marks: Readonly<Partial<Record<MarkName, Record<string, unknown> | true>>>
  paragraph: ParagraphAttrs
}

/** Every paragraph of the selection gets attributes that follow from those it has. */
const setParagraphs =
  (change: (attrs: ParagraphAttrs) => ParagraphAttrs): Command =>
  (state, dispatch) => {
    const transaction = state.tr
    state.doc.nodesBetween(state.selection.from, state.selection.to, (node, at) => {
      if (node.type.name === 'paragraph')
        transaction.setNodeMarkup(at, undefined, { ...node.attrs, ...change(node.attrs as ParagraphAttrs) })
    })
    dispatch?.(transaction)
    return true
  }
const setLevel = (change: (level: number) => number) =>
  setParagraphs(({ level = 0 }) => ({ level: Math.min(9, Math.max(0, change(level))) }))
const insertBreak: Command = (state, dispatch) => {
  dispatch?.(state.tr.replaceSelectionWith(textSchema.nodes.break!.create()).scrollIntoView())
  return true
}
/** The next line stands in the list that this one does, with its level and bullet; what was this line's alone stays with it. */
const nextLine = splitBlockAs(node => ({ type: node.type, attrs: { ...node.attrs, highlighted: null, icon: null, start: null } }))
/** Puts a mark with attributes on the selection, in place of one of its kind; null takes it off. */
const setMark =
  (type: MarkType, attrs: Record<string, unknown> | null): Command =>
  (state, dispatch) => {
    const { from, to, empty } = state.selection
    const transaction = state.tr
    if (empty) dispatch?.(attrs ? transaction.addStoredMark(type.create(attrs)) : transaction.removeStoredMark(type))
    else {
      transaction.removeMark(from, to, type)
      dispatch?.(attrs ? transaction.addMark(from, to, type.create(attrs)) : transaction)
    }
    return true
  }

/** What is selected, or where that is nothing, the number of a table that the cursor is in. */
function amountRange({ selection, doc }: EditorState): { from: number; to: number } {
  let { from, to } = selection
  const holds = (node: Node) => node.marks.some(mark => mark.type === marks.amount)
  doc.nodesBetween(from, to, (node, at) => {
    if (!node.isText || !holds(node)) return
    from = Math.min(from, at)
    to = Math.max(to, at + node.nodeSize)
  })
  return { from, to }
}

/** What stands before each line of a list, as the stage would set it, told to the page by custom properties. */
const signs = (setting: () => TextSetting | null, colorOf: (color: Bullet['color']) => string) =>
  new Plugin({
    props: {
      decorations(editor) {
        const style = setting()
        if (!style) return null
        const count = lineCounter()
        const made: Decoration[] = []
        editor.doc.forEach((node, at) => {
          const paragraph = node.toJSON() as Paragraph
          const bullet = bulletOfParagraph(style, paragraph)
          const number = count(paragraph, bullet)
          if (!bullet) return
          const image = bullet.icon
            ? `url("data:image/svg+xml,${encodeURIComponent(iconSvg(bullet.icon, colorOf(bullet.color)))}")`
            : bullet.picture
              ? `url("/api/media/${bullet.picture}")`
              : 'none'
          made.push(
            Decoration.node(at, at + node.nodeSize, {
              class: 'listed',
              style: `--sign:${JSON.stringify(bulletWords(bullet, number))};--sign-color:${colorOf(bullet.color)};--sign-size:${bullet.size ?? 1};--sign-image:${image};--indent:${indentOf(style, paragraph.attrs?.level ?? 1, bullet)}em;--distance:${bullet.distance ?? usualDistance}em`,
            }),
          )
        })
        return DecorationSet.create(editor.doc, made)
      },
    },
  })
const iconSvg = (icon: NonNullable<Bullet['icon']>, color: string) =>
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ' +
  `${icon.view.join(' ')}">${icon.paths.map(path => `<path d="${path.d}" fill="${path.width ? 'none' : color}" stroke="${path.width ? color : 'none'}" stroke-width="${path.width ?? 0}" stroke-linecap="round" stroke-linejoin="round"/>`).join('')}</svg>`

/** What is read of a page that is pasted: rows of tables as lines, or plain words where it is too much to read as rich text. */
const readPaste = (html: string) => {
  const page = readPage(html)
  if (html.length <= mostHtml) return rowsAsLines(page).body.innerHTML
  tooMuchHtml(html)
  return (page.body.textContent ?? '')
    .split(/\n+/)
    .map(line => `<p>${line.replace(/[&<>]/g, letter => `&#${letter.charCodeAt(0)};`)}</p>`)
    .join('')
}
/**
 * Plain text that is pasted, with the levels that its tabs and signs mean; `least` is the level of lines that have none. What is no more
 * than a line goes into the words as it is, blanks at its ends too.
 */
function readPlain(words: string, least: number): Slice {
  const read = /[\r\n]/.test(words) ? readPasted(words) : null
  const lines = read?.is === 'list' || read?.is === 'words' ? read.text : textOf(words.split(/\r\n?|\n/))
  const doc = textSchema.nodeFromJSON(least ? withLevels(lines) : lines)
  return new Slice(doc.content, 1, 1)
}

/**
 * An editor on the shared text of an element: what is written is in the deck at once, with the deck's own undo. `lists`:
 * its lines always have a level, as those of an outline do.
 */
export function useTextEditor(options: {
  element: () => string
  place: Ref<HTMLElement | undefined>
  label: () => string
  lists?: boolean
  onDone?: () => void
  /** Begins to write at once: with all selected, or with the cursor at a place of the window, px. */
  begin?: 'all' | { x: number; y: number }
  setting?: () => TextSetting | null
  colorOf?: (color: Bullet['color']) => string
}) {
  const store = useDeck()
  const stage = useStageHost()
  let view: EditorView | undefined
  const state = shallowRef<TextState>({ marks: {}, paragraph: {} })
  const ready = ref(false)

  function refresh(editor: EditorState) {
    const { from, to, empty, $from } = editor.selection
    const found: Partial<Record<MarkName, Record<string, unknown> | true>> = {}
    const take = (list: readonly { type: MarkType; attrs: Record<string, unknown> }[]) => {
      for (const mark of list) found[mark.type.name as MarkName] = Object.keys(mark.attrs).length ? mark.attrs : true
    }
    if (empty) take(editor.storedMarks ?? $from.marks())
    else
      editor.doc.nodesBetween(from, to, (node: Node) => {
        if (node.isInline) take(node.marks)
      })
    state.value = { marks: found, paragraph: $from.parent.attrs as ParagraphAttrs }
  }
  const run = (command: Command) => {
    if (view) command(view.state, view.dispatch, view)
    view?.focus()
  }
  /** At the start of a line of a list, Backspace steps out before it joins lines. */
  const stepOut: Command = (editor, dispatch) => {
    const { $from, empty } = editor.selection
    if (!empty || $from.parentOffset > 0 || ($from.parent.attrs.level ?? 0) <= (options.lists ? 1 : 0)) return false
    return setLevel(level => level - 1)(editor, dispatch)
  }
  const least = options.lists ? 1 : 0
  /** Enter on an empty line of a list steps out of it; elsewhere it begins the next line. */
  const enter: Command = (editor, dispatch, view) => {
    const { parent } = editor.selection.$from
    if (editor.selection.empty && !parent.content.size && (parent.attrs.level ?? 0) > least)
      return setLevel(level => level - 1)(editor, dispatch)
    return nextLine(editor, dispatch, view)
  }
  // A change of the style or its bullets is seen in what is being written.
  if (options.setting) watch(options.setting, () => view?.dispatch(view.state.tr))

  const done = (act?: () => void) => (): true => {
    act?.()
    return true
  }
  const ownKeys = (): Record<string, Command> => ({
    'Mod-b': toggleMark(marks.bold!),
    'Mod-i': toggleMark(marks.italic!),
    'Mod-u': toggleMark(marks.underline!),
    'Shift-Enter': insertBreak,
    Enter: enter,
    Tab: setLevel(level => level + 1),
    'Shift-Tab': setLevel(level => Math.max(least, level - 1)),
    Backspace: stepOut,
    'Mod-z': done(store.undo),
    'Mod-y': done(store.redo),
    'Shift-Mod-z': done(store.redo),
    Escape: done(options.onDone),
  })
  const stateOf = (shared: XmlFragment) => {
    const { doc, mapping } = initProseMirrorDoc(shared, textSchema)
    const drawn = options.setting && options.colorOf ? [signs(options.setting, options.colorOf)] : []
    return EditorState.create({ doc, plugins: [ySyncPlugin(shared, { mapping }), keymap(ownKeys()), keymap(baseKeymap), ...drawn] })
  }

  /** A straight quotation mark, or an apostrophe, becomes the language's as it is typed. */
  function writeMark(editor: EditorView, from: number, to: number, words: string): boolean {
    if ((words !== '"' && words !== "'") || options.setting?.()?.font === 'mono') return false
    const { parent, parentOffset } = editor.state.doc.resolve(from)
    const next = typedMark(words, parent.textBetween(0, parentOffset, undefined, ' '), infoOf(store.current).language)
    if (next === words) return false
    const { tr } = editor.state
    tr.insertText(next, from, to)
    editor.dispatch(tr.setSelection(TextSelection.create(tr.doc, from + next.length)))
    return true
  }

  /** Writes what the numbers of tables in it are now. */
  function writeAmounts(editor: EditorView) {
    const owner = store.current.elements[options.element()]?.owner ?? ''
    const row = shownRow(store.current, owner, stage.host.table)
    const { language } = infoOf(store.current)
    let { tr } = editor.state
    editor.state.doc.descendants((node, at) => {
      const of = node.marks.find(mark => mark.type === marks.amount)?.attrs.of as Amount | undefined
      const table = of && stage.host.table(of.table)
      const words = table && amountIn(of, table, language, row?.table === of.table ? row.row : null)?.words
      if (!words || words === node.text) return
      tr = tr.replaceWith(tr.mapping.map(at), tr.mapping.map(at + node.nodeSize), textSchema.text(words, node.marks))
    })
    if (tr.docChanged) editor.dispatch(tr)
  }

  onMounted(() => {
    const shared = store.sharedText(options.element())
    if (!shared || !options.place.value) return options.onDone?.()
    store.undoManager()?.stopCapturing()
    view = new EditorView(options.place.value, {
      state: stateOf(shared),
      attributes: {
        'aria-label': options.label(),
        role: 'textbox',
        'aria-multiline': 'true',
        spellcheck: 'true',
        lang: infoOf(store.current).language,
      },
      transformPastedHTML: html => readPaste(cleanText(html)),
      transformPastedText: cleanText,
      clipboardTextParser: words => readPlain(words, least),
      editable: () => store.canEdit,
      handleTextInput: (editor, from, to, words) => writeMark(editor, from, to, words),
      dispatchTransaction(this: EditorView, transaction) {
        const next = this.state.apply(transaction)
        this.updateState(next)
        refresh(next)
      },
    })
    if (store.canEdit) writeAmounts(view)
    ready.value = true
    refresh(view.state)
    const { begin } = options
    if (begin) {
      view.focus()
      void nextTick(() => {
        // The cursor stands where was pressed; asked for in another way, all is selected, so that typing replaces it.
        const at = begin === 'all' ? null : view!.posAtCoords({ left: begin.x, top: begin.y })
        if (!at || !view!.state.doc.textContent) document.getSelection()?.selectAllChildren(view!.dom)
        else view!.dispatch(view!.state.tr.setSelection(TextSelection.near(view!.state.doc.resolve(at.pos))))
      })
    }
  })
  onBeforeUnmount(() => {
    view?.destroy()
    store.undoManager()?.stopCapturing()
    if (store.canEdit) store.settleText(options.element())
  })

  return {
    state,
    ready,
    focus: () => view?.focus(),
    toggle: (mark: 'bold' | 'italic' | 'underline' | 'strike') => run(toggleMark(marks[mark]!)),
    setMark: (mark: MarkName, attrs: Record<string, unknown> | null) => run(setMark(marks[mark]!, attrs)),
    /** Enlarges or lessens the selected words by a factor of what they are. */
    scale: (by: number) => {
      const now = state.value.marks.size
      const factor = Math.min(20, Math.max(0.1, Math.round((typeof now === 'object' ? Number(now.factor) : 1) * by * 100) / 100))
      run(setMark(marks.size!, Math.abs(factor - 1) < 0.02 ? null : { factor }))
    },
    setParagraph: (fields: ParagraphAttrs) => run(setParagraphs(() => fields)),
    toggleList: () => run(setLevel(() => ((state.value.paragraph.level ?? 0) > 0 ? 0 : 1))),
    step: (by: number) => run(setLevel(level => Math.max(least, level + by))),
    /** One line's own bullet, over that of its list; undefined lets it follow again. */
    setBullet: (own: Partial<Bullet> | undefined) =>
      run(setParagraphs(attrs => ({ bullet: own ?? null, level: Math.max(1, attrs.level ?? 0) }))),
    /** Puts a number of a table in the place of what is selected, or of the one that the cursor is in. */
    insertAmount: (words: string, of: Amount) =>
      run((editor, dispatch) => {
        const { from, to } = amountRange(editor)
        const looks = editor.selection.$from.marks().filter(mark => mark.type !== marks.amount)
        const made = textSchema.text(words, [...looks, marks.amount!.create({ of })])
        const transaction = editor.tr.replaceWith(from, to, made)
        dispatch?.(transaction.setSelection(TextSelection.create(transaction.doc, from + made.nodeSize)))
        return true
      }),
    /** Lets the words of the number that the cursor is in be words alone. */
    freeAmount: () =>
      run((editor, dispatch) => {
        const { from, to } = amountRange(editor)
        dispatch?.(editor.tr.removeMark(from, to, marks.amount))
        return true
      }),
    insert: (words: string) =>
      run((editor, dispatch) => {
        dispatch?.(editor.tr.insertText(words))
        return true
      }),
  }
}
export type TextEditor = ReturnType<typeof useTextEditor>
