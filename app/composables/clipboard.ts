import { DOMParser as RichParser } from 'prosemirror-model'
import { clippingSchema, clip, pastedTops, pasteClipping, type Clipping } from '#core/edits'
import { mostPastedLines, readPasted, readPastedRange, readPastedText, withLevels, type Pasted } from '#core/formats/pasted'
import { plainText, writtenIn, type TextDoc } from '#core/model'
import { parseJson, type Id } from '#core/values'
import { newChart } from '#core/charts'
import { textSchema } from '#core/text'

const mime = 'application/x-hailbank-clipping+json'
/** What was pasted could become one thing or another: the person is asked once. */
export interface PasteQuestion {
  words: string
  answers: readonly { label: string; says: string; take: () => void | Promise<void> }[]
}

/** Copies and pastes parts of a slide, between slides and decks, and takes in what comes from outside. */
export function useStageClipboard(takeFiles: (files: File[]) => void) {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const stage = useStage()
  const arranging = useArranging()
  const { boxAt, put } = usePutting()
  const question = shallowRef<PasteQuestion | null>(null)
  /** Where the last paste of the same clipping went, so that the next stands beside it. */
  let last: { key: string; owner: Id; times: number } | null = null

  const applies = (event: ClipboardEvent) =>
    !isTyping(event.target) && !hasOwnKeys(event.target) && !(document.getSelection()?.toString() && event.type !== 'paste')

  function copy(event: ClipboardEvent) {
    if (!applies(event) || !store.deck) return
    const ids = stage.chosen.filter(element => !element.pinned).map(element => element.id)
    const clipping = ids.length ? clip(store.deck, ids) : null
    if (!clipping || !event.clipboardData) return
    event.preventDefault()
    event.clipboardData.setData(mime, JSON.stringify(clipping))
    event.clipboardData.setData(
      'text/plain',
      clipping.elements
        .flatMap(element => writtenIn(element) ?? [])
        .map(plainText)
        .join('\n'),
    )
    if (event.type === 'cut') arranging.remove()
  }

  function pasteParts(clipping: Clipping, key: string) {
    if (!where.stageId) return
    const here = where.stageId
    const times =
      last?.key === key && last.owner === here
        ? last.times + 1
        : clipping.elements.some(element => store.current.elements[element.id]?.owner === here)
          ? 1
          : 0
    last = { key, owner: here, times }
    const changes = pasteClipping(
      store.current,
      { clipping, owner: here, offset: { x: 40 * times, y: 40 * times }, ...(stage.opened ? { parent: stage.opened } : {}) },
      store.context,
    )
    store.edit(`paste ${clipping.elements.length === 1 ? clipping.elements[0]!.name : `${clipping.elements.length} elements`}`, changes)
    selected.select(...pastedTops(store.current, changes))
  }

  const putText = (text: TextDoc, name = 'Text') =>
    put('paste text', { kind: 'text', name, style: 'body', text, box: boxAt(900, Math.min(700, 60 + text.content.length * 52)) })
  const putDiagram = (text: TextDoc) =>
    put('paste a diagram', {
      kind: 'diagram',
      name: 'Diagram',
      family: 'steps',
      text: withLevels(text),
      box: boxAt(1200, 640),
    })
  /** A range becomes a table of the team, where it can be seen how it was read. */
  const keepTable = async (rows: string) =>
    (await sendTable<{ id: string }>(new File([rows], 'Pasted.tsv', { type: 'text/tab-separated-values' }), '/api/data'))?.id

  /** A range of a spreadsheet, as text parted by tabs. */
  function askRange(rows: string) {
    const { cells, columns, canBeWritten: written, data: read } = readPastedRange(rows)
    const size = `${numberWords(cells.length)} rows of ${columns}`
    if (!written && !read.ok) return void notifyProblem(read.message)
    question.value = {
      words: `What was pasted is a range of cells, ${size}.`,
      answers: [
        {
          label: 'A table',
          says: written ? 'its cells can be written in' : 'kept as data: it is more than a table to write in may hold',
          take: async () => {
            const table = written ? null : await keepTable(rows)
            if (table !== undefined)
              put('paste a table', {
                kind: 'table',
                name: 'Table',
                table,
                ...(written ? { cells } : {}),
                columns: [],
                box: boxAt(1200, Math.min(760, cells.length * 64)),
              })
          },
        },
        ...(read.ok && read.value.table.columns.some(column => column.type === 'number')
          ? [
              {
                label: 'A chart',
                says: 'drawn from its numbers',
                take: async () => {
                  const id = await keepTable(rows)
                  if (id)
                    put('paste a chart', { kind: 'chart', name: 'Chart', chart: { ...newChart(id), rule: 'most' }, box: boxAt(1200, 640) })
                },
              },
            ]
          : []),
      ],
    }
  }

  function askList(text: TextDoc) {
    question.value = {
      words: `What was pasted is a list of ${text.content.length} lines.`,
      answers: [
        {
          label: 'A list',
          says: 'words with bullets',
          take: () => {
            putText(text, 'List')
          },
        },
        {
          label: 'A diagram',
          says: 'steps, a ring, a tree: it can be changed after',
          take: () => {
            putDiagram(text)
          },
        },
      ],
    }
  }

  function pasteHtml(html: string, plain: string): boolean {
    const page = readPage(html)
    if (html.length > mostHtml) {
      tooMuchHtml(html)
      takePasted(readPasted(plain || page.body.textContent || ''))
      return true
    }
    const cells = cellsIn(page)
    if (cells) {
      // What stands around the table is put as words: nothing is lost.
      page.querySelector('table')!.remove()
      const around = readPastedText(textIn(page))
      if ('text' in around) putText(around.text)
      else takePasted(around)
      askRange(cells)
      return true
    }
    return takePasted(readPastedText(textIn(page)))
  }
  const textIn = (page: Document) => RichParser.fromSchema(textSchema).parse(rowsAsLines(page).body).toJSON() as TextDoc

  /** Puts what was pasted on the slide, or asks what it shall be; false where there is nothing in it. Nothing is cut off in silence. */
  function takePasted(pasted: Pasted): boolean {
    if (pasted.is === 'nothing') return false
    if (pasted.is === 'drawing') takeFiles([new File([pasted.source], 'drawing.svg', { type: 'image/svg+xml' })])
    else if (pasted.is === 'range') askRange(pasted.rows)
    else if (pasted.is === 'list') askList(pasted.text)
    else if (pasted.is === 'words') putText(pasted.text)
    else
      notifyProblem(
        `What was pasted has ${numberWords(pasted.lines)} lines; a text on a slide may have ` +
          `${numberWords(mostPastedLines)}. Paste it in the outline, where lines become slides, or in parts.`,
      )
    return true
  }

  function paste(event: ClipboardEvent) {
    if (!applies(event) || !store.deck || !where.stageId || !event.clipboardData) return
    event.preventDefault()
    if (!store.canEdit || where.isForm) {
      notifyProblem(where.isForm ? 'This deck is a form: fill its places.' : 'Your role is viewer: you can look, but not change.')
      return
    }
    const own = event.clipboardData.getData(mime)
    const [plain, html] = [event.clipboardData.getData('text/plain'), event.clipboardData.getData('text/html')]
    const files = [...event.clipboardData.files]
    if (own) {
      const read = clippingSchema.safeParse(parseJson(own))
      if (read.success) return pasteParts(read.data, own)
    }
    if (files.length) return takeFiles(files)
    const pasted = readPasted(plain)
    if (pasted.is === 'drawing') return void takePasted(pasted)
    if (html && pasteHtml(html, plain)) return
    takePasted(pasted)
  }
  onMounted(() => {
    document.addEventListener('copy', copy)
    document.addEventListener('cut', copy)
    document.addEventListener('paste', paste)
  })
  onBeforeUnmount(() => {
    document.removeEventListener('copy', copy)
    document.removeEventListener('cut', copy)
    document.removeEventListener('paste', paste)
  })
  return { question }
}
