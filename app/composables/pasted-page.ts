/** More formatting than this is not read, letters: only the words of it are taken. */
export const mostHtml = 2_000_000
export const tooMuchHtml = (html: string) =>
  notifyProblem(
    `What was pasted has ${numberWords(html.length / 1_000_000, 1)} MB of formatting, more than is read here: only its words were taken.`,
  )

/** A page as a document of its own: nothing in it runs, and nothing it names is fetched. */
export function readPage(html: string): Document {
  const page = new DOMParser().parseFromString(html, 'text/html')
  for (const unseen of page.querySelectorAll('script,style,template,noscript')) unseen.remove()
  return page
}

const wordsIn = (node: Node) => (node.textContent ?? '').replace(/\s+/g, ' ').trim()
const cellsOf = (row: HTMLTableRowElement) => Array.from(row.cells, wordsIn)
/** The most columns and rows that one cell is taken to span, and the most cells that spans fill. */
const mostSpan = 200
const mostSpanned = 200_000

/**
 * The rows of a table, as many cells as there are columns: one that spans rows stands in all of them, one that spans columns in the first.
 */
function gridOf(table: HTMLTableElement): string[][] {
  const grid: string[][] = Array.from(table.rows, () => [])
  let spanned = 0
  const spanOf = (span: number) => (spanned > mostSpanned ? 1 : Math.min(span || 1, mostSpan))
  Array.from(table.rows).forEach((row, at) => {
    let column = 0
    for (const cell of row.cells) {
      while (grid[at]![column] !== undefined) column++
      const [rows, columns, words] = [spanOf(cell.rowSpan), spanOf(cell.colSpan), wordsIn(cell)]
      spanned += rows * columns - 1
      for (let down = 0; down < rows && grid[at + down]; down++)
        for (let along = 0; along < columns; along++) grid[at + down]![column + along] = along ? '' : words
      column += columns
    }
  })
  const columns = grid.reduce((most, row) => Math.max(most, row.length), 0)
  return grid.map(row => Array.from({ length: columns }, (_, column) => row[column] ?? ''))
}

/** The cells of the first table of a page, parted by tabs; null where it has none of two rows. */
export function cellsIn(page: Document): string | null {
  const table = page.querySelector('table')
  return table && table.rows.length > 1
    ? gridOf(table)
        .map(row => row.join('\t'))
        .join('\n')
    : null
}

/** Names of files have no such letters, and are not endless. */
const fileName = (words: string) =>
  words
    .replace(/[\\/:*?"<>|]+/g, ' ')
    .trim()
    .slice(0, 80) || 'Pasted table'
/**
 * Tables of data that are pasted, as the files that they would be: files themselves, every table of a page by its caption, rows of text
 * that are parted, JSON. None where nothing of it is a table.
 */
export function tablesPasted(data: DataTransfer): File[] {
  if (data.files.length) return [...data.files]
  const html = data.getData('text/html')
  const tables = html && html.length <= mostHtml ? [...readPage(html).querySelectorAll('table')] : []
  // A table that lays out others is none itself.
  const own = tables.filter(table => table.rows.length > 1 && !table.querySelector('table'))
  if (own.length)
    return own.map(table => {
      const rows = gridOf(table).map(row => row.map(cell => (cell.includes('"') ? `"${cell.replaceAll('"', '""')}"` : cell)).join('\t'))
      return new File([rows.join('\n')], `${fileName(table.caption ? wordsIn(table.caption) : '')}.tsv`, {
        type: 'text/tab-separated-values',
      })
    })
  const text = data.getData('text/plain')
  if (/^\s*[[{]/.test(text)) return [new File([text], 'Pasted table.json', { type: 'application/json' })]
  const lines = text.split(/\r\n?|\n/).filter(line => line.trim())
  return lines.length > 1 && lines.filter(line => /[\t;,|]/.test(line)).length > lines.length / 2
    ? [new File([text], 'Pasted table.csv', { type: 'text/csv' })]
    : []
}

/** Lets the rows of tables be lines of words, for where nothing but words can be: no cell runs into the next. */
export function rowsAsLines(page: Document): Document {
  for (const table of page.querySelectorAll('table')) {
    const lines = Array.from(table.rows, row => {
      const line = page.createElement('p')
      line.textContent = cellsOf(row).filter(Boolean).join(' · ')
      return line
    })
    table.replaceWith(...lines)
  }
  return page
}

/** What begins a line of its own; whatever else holds words stands in a line with what is around it. */
const blocks =
  'h1,h2,h3,h4,h5,h6,p,div,ul,ol,li,table,tr,blockquote,pre,dl,dt,dd,hr,br,section,article,header,footer,main,aside,nav,figure,figcaption'
/** What is told apart from its item of a list and stands beneath it. */
const within = 'ul,ol,table'

/** How many lists a node stands in. */
function depthIn(node: Element): number {
  let depth = 0
  for (let at: Element | null = node; at; at = at.parentElement) if (/^[UO]L$/.test(at.tagName)) depth++
  return depth
}
const item = (words: string, depth: number) => `${'  '.repeat(Math.max(0, depth - 1))}- ${words}`

/** The lines of what stands in a node, in order; no word of it is left out. */
function linesIn(node: Element): string[] {
  const lines: string[] = []
  let run = ''
  const flush = () => {
    const words = run.replace(/\s+/g, ' ').trim()
    if (words) lines.push(words)
    run = ''
  }
  for (const child of node.childNodes) {
    const element = child.nodeType === Node.ELEMENT_NODE ? (child as Element) : null
    if (element && (element.matches(blocks) || element.querySelector(blocks))) {
      flush()
      lines.push(...linesOf(element))
    } else run += child.textContent ?? ''
  }
  flush()
  return lines
}

/** The lines that an element makes: a heading one with `#`, an item of a list one with its indent, and what is listed in it beneath. */
function linesOf(element: Element): string[] {
  if (/^H[1-6]$/.test(element.tagName)) {
    const words = wordsIn(element)
    return words ? [`${'#'.repeat(Number(element.tagName[1]))} ${words}`] : []
  }
  if (element.tagName === 'LI') {
    const own = element.cloneNode(true) as Element
    for (const inner of own.querySelectorAll(within)) inner.remove()
    const words = linesIn(own).join(' ')
    const inner = [...element.querySelectorAll(within)].filter(node => node.parentElement?.closest(`li, ${within}`) === element)
    return [...(words ? [item(words, depthIn(element))] : []), ...inner.flatMap(linesOf)]
  }
  if (element instanceof HTMLTableElement)
    return Array.from(element.rows, row => cellsOf(row).filter(Boolean).join(' · ')).flatMap(words =>
      words ? [item(words, depthIn(element) + 1)] : [],
    )
  return linesIn(element)
}

/**
 * The words of a page as an outline is written: headings with `#`, items of lists with their indents, rows of a table as lines parted by
 * tabs where there is nothing else, else as items. Null where it has none of these: plain text says as much.
 */
export function outlineOfPage(page: Document): string | null {
  const { body } = page
  if (!body.querySelector('h1,h2,h3,h4,h5,h6,li,tr')) return null
  const tables = body.querySelectorAll('table')
  const [table] = tables
  if (table && tables.length === 1 && wordsIn(body) === wordsIn(table)) return cellsIn(page)
  return linesIn(body).join('\n')
}

/** What an outline takes of the clipboard: the levels of a page where it has some, else its plain text. */
export function outlineIn(data: DataTransfer | null): string {
  const [html, plain] = [data?.getData('text/html') ?? '', data?.getData('text/plain') ?? '']
  if (!html || html.length > mostHtml) return plain
  return outlineOfPage(readPage(html)) ?? plain
}
