import { DOMParser as RichParser } from 'prosemirror-model'
import { clippingSchema, clip, pastedTops, pasteClipping, type Clipping } from '#core/edits'
import { plainText, textOf, type TextDoc } from '#core/model'
import { parseJson, type Id } from '#core/values'
import { newChart } from '#core/charts'
import { readCsv, type DataTable } from '#core/data'
import { textSchema } from '#core/text'
import { mostHtml, tooMuchHtml } from './text-editor'

const mime = 'application/x-hailbank-clipping+json'
/** A text on a slide may have so many lines, and a table that is written in so many rows and columns; data may have more. */
const mostLines = 2000
const mostCells = { rows: 500, columns: 60 }

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
  const tables = useTables()
  const arranging = useArranging()
  const { boxAt, put } = usePutting()
  const question = shallowRef<PasteQuestion | null>(null)
  /** Where the last paste of the same clipping went, so that the next stands beside it. */
  let last: { key: string; owner: Id; times: number } | null = null

  const applies = (event: ClipboardEvent) =>
    !isTyping(event.target) && !document.querySelector('[role=dialog]') && !(document.getSelection()?.toString() && event.type !== 'paste')

  function copy(event: ClipboardEvent) {
    if (!applies(event) || !store.deck) return
    const ids = stage.chosen.filter(element => !element.pinned).map(element => element.id)
    const clipping = ids.length ? clip(store.deck, ids) : null
    if (!clipping || !event.clipboardData) return
    event.preventDefault()
    event.clipboardData.setData(mime, JSON.stringify(clipping))
    event.clipboardData.setData(
      'text/plain',
      clipping.elements.flatMap(element => ('text' in element ? [plainText(element.text)] : [])).join('\n'),
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
    store.edit(`paste ${clipping.elements.length === 1 ? clipping.elements[0]!.name : `${clipping.elements.length} parts`}`, changes)
    selected.select(...pastedTops(store.current, changes))
  }

  /** Says so where there are more lines than one text takes; nothing is cut off in silence. */
  function tooLong(lines: number): boolean {
    if (lines > mostLines)
      warn(
        `What was pasted has ${lines.toLocaleString('en')} lines; a text on a slide may have ` +
          `${mostLines.toLocaleString('en')}. Paste it in the outline, where lines become slides, or in parts.`,
      )
    return lines > mostLines
  }
  const putText = (text: TextDoc, name = 'Text') =>
    put('paste text', { kind: 'text', name, style: 'body', text, box: boxAt(900, Math.min(700, 60 + text.content.length * 52)) })
  const putDiagram = (text: TextDoc) =>
    put('paste a diagram', {
      kind: 'diagram',
      name: 'Diagram',
      family: 'steps',
      text: {
        ...text,
        content: text.content.map(paragraph => ({
          ...paragraph,
          attrs: { ...paragraph.attrs, level: Math.max(1, paragraph.attrs?.level ?? 1) },
        })),
      },
      box: boxAt(1200, 640),
    })
  async function keepTable(read: DataTable): Promise<string | undefined> {
    const kept = await asking(() => $fetch('/api/tables', { method: 'POST', body: read }))
    if (kept) tables.keep({ ...read, id: kept.id })
    return kept?.id
  }

  /** A range of a spreadsheet, as text parted by tabs. */
  function askRange(rows: string) {
    const read = readCsv(new TextEncoder().encode(rows), 'Pasted', 'pasted')
    const cells = rows
      .split(/\r?\n/)
      .filter(line => line.trim())
      .map(line => line.split('\t'))
    const columns = Math.max(...cells.map(row => row.length))
    const size = `${cells.length.toLocaleString('en')} rows of ${columns}`
    const written = cells.length <= mostCells.rows && columns <= mostCells.columns
    if (!written && !read.ok) return void warn(read.message)
    question.value = {
      words: `What was pasted is a range of cells, ${size}.`,
      answers: [
        {
          label: 'A table',
          says: written ? 'its cells can be written in' : 'kept as data: it is more than a table to write in may hold',
          take: async () => {
            const table = written ? null : read.ok ? await keepTable(read.value) : undefined
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
        ...(read.ok && read.value.columns.some(column => column.type === 'number')
          ? [
              {
                label: 'A chart',
                says: 'drawn from its numbers',
                take: async () => {
                  const id = await keepTable(read.value)
                  if (id) put('paste a chart', { kind: 'chart', name: 'Chart', chart: newChart(id), box: boxAt(1200, 640) })
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

  /** The cells of the first table of a page, parted by tabs. */
  function cellsIn(page: Document): string | null {
    const table = page.querySelector('table')
    if (!table || table.rows.length < 2) return null
    return Array.from(table.rows, row =>
      Array.from(row.cells, cell => (cell.textContent ?? '').replace(/\s+/g, ' ').trim()).join('\t'),
    ).join('\n')
  }

  function pasteHtml(html: string, plain: string): boolean {
    if (html.length > mostHtml) {
      tooMuchHtml(html)
      pastePlain(plain || new DOMParser().parseFromString(html, 'text/html').body.textContent || '')
      return true
    }
    // A document of its own: nothing in it runs, and nothing it names is fetched.
    const page = new DOMParser().parseFromString(html, 'text/html')
    const cells = cellsIn(page)
    if (cells) {
      askRange(cells)
      return true
    }
    const text = RichParser.fromSchema(textSchema).parse(page.body).toJSON() as TextDoc
    const written = text.content.filter(paragraph => paragraph.content?.length)
    if (!written.length) return false
    if (tooLong(written.length)) return true
    const doc: TextDoc = { type: 'doc', content: written }
    if (written.length > 1 && written.every(paragraph => (paragraph.attrs?.level ?? 0) > 0)) askList(doc)
    else putText(doc)
    return true
  }

  const listed = /^\s*(?:[-*+•‣–▪◦]|\d{1,3}[.)])\s+/
  function pastePlain(plain: string) {
    const lines = plain
      .replace(/\r\n?/g, '\n')
      .split('\n')
      .filter(line => line.trim())
    if (!lines.length) return
    const parted = lines.map(line => line.split('\t').length)
    if (lines.length > 1 && parted[0]! > 1 && parted.every(count => count === parted[0]) && !/^[\t ]/.test(lines[0]!))
      return askRange(lines.join('\n'))
    if (tooLong(lines.length)) return
    if (lines.length > 1 && lines.every(line => listed.test(line) || /^[\t ]+/.test(line)) && listed.test(lines[0]!)) {
      const depth = (line: string) => /^[ \t]*/.exec(line)![0].replaceAll('\t', '    ').length
      return askList(
        textOf(
          lines.map(line => ({ text: line.replace(/^\s+/, '').replace(listed, ''), level: Math.min(9, 1 + Math.round(depth(line) / 2)) })),
        ),
      )
    }
    putText(textOf(lines))
  }

  function paste(event: ClipboardEvent) {
    if (!applies(event) || !store.deck || !where.stageId || !event.clipboardData) return
    event.preventDefault()
    if (!store.canEdit || where.isForm) {
      useToast().add({
        title: where.isForm ? 'This deck is a form: fill its places.' : 'Your role is viewer: you can look, but not change.',
        color: 'warning',
      })
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
    if (/^\s*(?:<\?xml[^>]*>\s*)?(?:<!--[\s\S]*?-->\s*)*<svg[\s>]/i.test(plain))
      return takeFiles([new File([plain], 'drawing.svg', { type: 'image/svg+xml' })])
    if (html && pasteHtml(html, plain)) return
    pastePlain(plain)
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
