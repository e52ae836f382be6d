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

/** The cells of the first table of a page, parted by tabs; null where it has none of two rows. */
export function cellsIn(page: Document): string | null {
  const table = page.querySelector('table')
  return table && table.rows.length > 1 ? Array.from(table.rows, row => cellsOf(row).join('\t')).join('\n') : null
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
