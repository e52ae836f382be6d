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

const blocks = 'h1,h2,h3,h4,h5,h6,li,p,tr,blockquote,pre,dt,dd'

/** What stands in an item of a list or a cell before further blocks begin in it. */
function ownWords(node: Element): string {
  const copy = node.cloneNode(true) as Element
  for (const inner of copy.querySelectorAll('ul,ol,table')) inner.remove()
  return wordsIn(copy)
}

/**
 * The words of a page as an outline is written: headings with `#`, items of lists with their indents, rows of a table as lines parted by
 * tabs where there is nothing else, else as items. Null where it has none of these: plain text says as much.
 */
export function outlineOfPage(page: Document): string | null {
  const found = [...page.body.querySelectorAll(blocks)]
  if (!found.some(node => /^(?:H\d|LI|TR)$/.test(node.tagName))) return null
  const onlyTable = found.every(node => node.tagName === 'TR' || node.closest('tr'))
  if (onlyTable) return cellsIn(page) ?? null
  const lines = found.flatMap(node => {
    const outer = node.parentElement?.closest('li,tr')
    // A paragraph within an item or a cell is said with it.
    if (outer && node.tagName !== 'LI' && node.tagName !== 'TR') return []
    const words =
      node.tagName === 'TR'
        ? cellsOf(node as HTMLTableRowElement)
            .filter(Boolean)
            .join(' · ')
        : ownWords(node)
    if (!words) return []
    if (/^H\d$/.test(node.tagName)) return [`${'#'.repeat(Number(node.tagName[1]))} ${words}`]
    if (node.tagName === 'TR') return [`- ${words}`]
    if (node.tagName !== 'LI') return [words]
    let depth = -1
    for (let at: Element | null = node; at; at = at.parentElement) if (/^(?:UL|OL)$/.test(at.tagName)) depth++
    return [`${'  '.repeat(Math.max(0, depth))}- ${words}`]
  })
  return lines.join('\n')
}

/** What an outline takes of the clipboard: the levels of a page where it has some, else its plain text. */
export function outlineIn(data: DataTransfer | null): string {
  const [html, plain] = [data?.getData('text/html') ?? '', data?.getData('text/plain') ?? '']
  if (!html || html.length > mostHtml) return plain
  return outlineOfPage(readPage(html)) ?? plain
}
