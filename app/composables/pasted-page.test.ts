import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DOMParser as RichParser } from 'prosemirror-model'
import { readOutline } from '#core/formats/outline'
import { textSchema } from '#core/text'
import { cellsIn, tablesPasted, outlineOfPage, readPage, rowsAsLines } from './pasted-page'

const outline = (html: string) => outlineOfPage(readPage(html))

describe('a page that is pasted', () => {
  it('is an outline by its headings, lists and tables', () => {
    expect(outline('<h1>Ferries</h1><p>All year</p><ul><li>Astrel<ol><li>every <b>hour</b></li></ol></li><li><p>Quill</p></li></ul>')).toBe(
      '# Ferries\nAll year\n- Astrel\n  - every hour\n- Quill',
    )
    expect(outline('<p>Fares</p><table><tr><th>Route</th><th>Fare</th></tr><tr><td>Astrel</td><td>12</td></tr></table>')).toBe(
      'Fares\n- Route · Fare\n- Astrel · 12',
    )
    expect(outline('<table><tr><td>Route</td><td>Fare</td></tr><tr><td>Astrel</td><td>12</td></tr></table>')).toBe(
      'Route\tFare\nAstrel\t12',
    )
    expect(outline('<p>One</p><p>Two</p>')).toBeNull()
  })

  it('loses no word: those between blocks, in divisions, after a list, in a second table', () => {
    expect(outline('Before<div>In a <b>division</b></div><ul><li>Astrel</li></ul>and after<br>the break')).toBe(
      'Before\nIn a division\n- Astrel\nand after\nthe break',
    )
    const table = (word: string) => `<table><tr><td>${word}</td><td>1</td></tr><tr><td>b</td><td>2</td></tr></table>`
    expect(outline(table('a') + table('c'))).toBe('- a · 1\n- b · 2\n- c · 1\n- b · 2')
    expect(outline(`<ul><li><div>Quill</div><div>twice</div>${table('x')}</li></ul>`)).toBe('- Quill twice\n  - x · 1\n  - b · 2')
    const words = fc.stringMatching(/^[a-z]{1,6}$/)
    const tree: fc.Arbitrary<string> = fc.letrec<{ node: string }>(tie => ({
      node: fc.oneof(
        { depthSize: 'small', withCrossShrink: true },
        words,
        fc
          .tuple(fc.constantFrom('div', 'p', 'h2', 'b', 'section', 'blockquote'), fc.array(tie('node'), { minLength: 1, maxLength: 3 }))
          .map(([tag, inner]) =>
            tag === 'p' || tag === 'h2'
              ? `<${tag}>${inner.join(' ').replace(/<[^>]*>/g, ' ')}</${tag}>`
              : `<${tag}>${inner.join(' ')}</${tag}>`,
          ),
        fc.array(tie('node'), { minLength: 1, maxLength: 3 }).map(items => `<ul>${items.map(one => `<li>${one}</li>`).join('')}</ul>`),
      ),
    })).node
    fc.assert(
      fc.property(tree, html => {
        const page = `<ul><li>first</li></ul> ${html}`
        const letters = (text: string) =>
          text
            .replace(/[^a-z]/g, '')
            .split('')
            .sort()
            .join('')
        expect(letters(outline(page)!)).toBe(letters(readPage(page).body.textContent!))
      }),
    )
  })

  it('becomes slides with their lines, whose levels are those of the page', () => {
    const read = readOutline(outline('<ul><li>Ferries<ul><li>Astrel<ul><li>every hour</li></ul></li></ul></li><li>Fares</li></ul>')!)
    expect(read.ok && read.value.slides.map(({ title, lines }) => [title, lines.map(line => [line.level, line.text])])).toEqual([
      [
        'Ferries',
        [
          [1, 'Astrel'],
          [2, 'every hour'],
        ],
      ],
      ['Fares', []],
    ])
  })

  it('runs nothing, and is a table only where it has two rows', () => {
    expect(cellsIn(readPage('<table><tr><td>one row</td></tr></table>'))).toBeNull()
    expect(outline('<ul><li>a<script>document.title = "run"</script></li></ul>')).not.toBeNull()
    expect(document.title).not.toBe('run')
  })

  it('fills what its cells span, so that columns stay columns', () => {
    const table =
      '<table><tr><th rowspan="2">item</th><th colspan="2">2031</th></tr><tr><th>planned</th><th>spent</th></tr>' +
      '<tr><td>Crew</td><td>10</td><td>8</td></tr></table>'
    expect(cellsIn(readPage(table))).toBe('item\t2031\t\nitem\tplanned\tspent\nCrew\t10\t8')
  })

  it('lets no cell run into the next where a table can only be words', () => {
    const page = rowsAsLines(readPage('<p>Fares</p><table><tr><td>Astrel</td><td>12</td></tr><tr><td>Quill</td><td></td></tr></table>'))
    expect([...page.body.querySelectorAll('p')].map(line => line.textContent)).toEqual(['Fares', 'Astrel · 12', 'Quill'])
  })

  it('keeps where its links lead, but for places within the page and what would run', () => {
    const links = (html: string) =>
      JSON.stringify(RichParser.fromSchema(textSchema).parse(readPage(html).body).toJSON()).match(/"href":"[^"]*"/g) ?? []
    expect(
      links('<p>See <a href="https://velmoor.example/ferry">the ferry</a> or <a href="mailto:quay@velmoor.example">write</a></p>'),
    ).toEqual(['"href":"https://velmoor.example/ferry"', '"href":"mailto:quay@velmoor.example"'])
    expect(links('<p><a href="#top">up</a> <a href="javascript:alert(1)">x</a> <a href="file:///etc">y</a></p>')).toEqual([])
    // Links of a text of a deck lead where they led, also to slides.
    expect(links('<p><u class="link" data-href="#s2">slide</u></p>')).toEqual(['"href":"#s2"'])
  })
})

describe('tables that are pasted into Data', () => {
  const pasted = (given: Record<string, string>) =>
    tablesPasted({ files: [], getData: (type: string) => given[type] ?? '' } as unknown as DataTransfer)
  const told = async (given: Record<string, string>) => await Promise.all(pasted(given).map(async file => [file.name, await file.text()]))

  it('are every table of a page, by its caption; one that lays out others is none', async () => {
    const inner = '<table><caption>Fares: 2031/32</caption><tr><td>a "day"</td><td>1</td></tr><tr><td>b</td><td>2</td></tr></table>'
    const html = `<table><tr><td>${inner}</td></tr><tr><td><table><tr><td>c</td></tr><tr><td>d</td></tr></table></td></tr></table>`
    expect(await told({ 'text/html': html, 'text/plain': 'a day 1' })).toEqual([
      ['Fares  2031 32.tsv', '"a ""day"""\t1\nb\t2'],
      ['Pasted table.tsv', 'c\nd'],
    ])
  })

  it('are rows of text that are parted, and JSON; words are none', async () => {
    expect(await told({ 'text/plain': 'stop;riders\nQuill;12' })).toEqual([['Pasted table.csv', 'stop;riders\nQuill;12']])
    expect(await told({ 'text/plain': ' [{"stop":"Quill"}]' })).toEqual([['Pasted table.json', ' [{"stop":"Quill"}]']])
    expect(pasted({ 'text/plain': 'A line of words.\nAnother one, with a comma.\nAnd a third' })).toEqual([])
    expect(pasted({ 'text/html': '<p>no table</p>', 'text/plain': 'no table' })).toEqual([])
  })
})
