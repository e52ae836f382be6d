import { Schema } from 'prosemirror-model'
import { amountSchema, type Amount } from '../model'
import { parseJson, type Color } from '../values'

const css = (style: string) => ['span', { style }, 0] as const
const colorOf = (color: Color) => ('hex' in color ? color.hex : `var(--role-${color.role})`)

/** An element of a page, of which only attributes are asked. */
interface ElementWithAttributes {
  getAttribute(name: string): string | null
}

/** Where a link of a page leads that a text may keep: to pages, mail, telephones, and slides of a deck; false where elsewhere. */
function linkIn(node: ElementWithAttributes): { href: string } | false {
  const own = node.getAttribute('data-href')
  const href = (own ?? node.getAttribute('href') ?? '').trim()
  // What a page calls a place of its own is no slide.
  const leads = /^(?:https?:\/\/|mailto:|tel:)/i.test(href) || (own !== null && href.startsWith('#'))
  return leads && href.length <= 2000 ? { href } : false
}

/** The number of a table that words of a page stand for; false where they say no such thing. */
function amountIn(node: ElementWithAttributes): { of: Amount } | false {
  const read = amountSchema.safeParse(parseJson(node.getAttribute('data-amount') ?? ''))
  return read.success ? { of: read.data } : false
}

/** The schema of every text in a deck: paragraphs with a list level, bullet and alignment; inline marks. */
export const textSchema = new Schema({
  nodes: {
    doc: { content: 'paragraph+' },
    paragraph: {
      content: 'inline*',
      attrs: {
        level: { default: 0 },
        bullet: { default: null },
        align: { default: null },
        start: { default: null },
        icon: { default: null },
        highlighted: { default: null },
      },
      parseDOM: [
        { tag: 'li', getAttrs: node => ({ level: Math.min(9, depthOf(node as unknown as ListItem)) }) },
        { tag: 'p,h1,h2,h3,h4,h5,h6,div,blockquote,pre' },
      ],
      toDOM: node => [
        'p',
        {
          'data-level': node.attrs.level,
          ...(node.attrs.highlighted ? { 'data-highlighted': '' } : {}),
          style: node.attrs.align ? `text-align:${node.attrs.align}` : '',
        },
        0,
      ],
    },
    text: { group: 'inline' },
    break: { inline: true, group: 'inline', selectable: false, parseDOM: [{ tag: 'br' }], toDOM: () => ['br'], leafText: () => '\n' },
  },
  marks: {
    bold: {
      parseDOM: [{ tag: 'strong,b' }, { style: 'font-weight', getAttrs: value => (/^(bold|[6-9]00)$/.test(value) ? null : false) }],
      toDOM: () => ['strong', 0],
    },
    italic: { parseDOM: [{ tag: 'em,i' }], toDOM: () => ['em', 0] },
    underline: { parseDOM: [{ tag: 'u' }], toDOM: () => ['u', 0] },
    strike: { parseDOM: [{ tag: 's,del' }], toDOM: () => ['s', 0] },
    color: { attrs: { color: {} }, toDOM: mark => css(`color:${colorOf(mark.attrs.color)}`) },
    highlight: { attrs: { color: {} }, toDOM: mark => css(`background:${colorOf(mark.attrs.color)}`) },
    size: { attrs: { factor: {} }, toDOM: mark => css(`font-size:${Number(mark.attrs.factor)}em`) },
    font: { attrs: { family: {} }, toDOM: mark => css(`font-family:${JSON.stringify(mark.attrs.family)}`) },
    accent: { attrs: { name: {} }, toDOM: mark => ['span', { class: 'accent', 'data-accent': String(mark.attrs.name) }, 0] },
    amount: {
      attrs: { of: {} },
      inclusive: false,
      parseDOM: [{ tag: 'span[data-amount]', getAttrs: node => amountIn(node as unknown as ElementWithAttributes) }],
      toDOM: mark => ['span', { class: 'of-table', 'data-amount': JSON.stringify(mark.attrs.of) }, 0],
    },
    link: {
      attrs: { href: {} },
      inclusive: false,
      parseDOM: [{ tag: 'a[href], u[data-href]', priority: 60, getAttrs: node => linkIn(node as unknown as ElementWithAttributes) }],
      toDOM: mark => ['u', { class: 'link', 'data-href': String(mark.attrs.href) }, 0],
    },
  },
})

/** What this module needs of a pasted list item, without knowing the DOM. */
interface ListItem {
  parentElement: ListItem | null
  tagName: string
}

function depthOf(node: ListItem): number {
  let depth = 0
  for (let at: ListItem | null = node; at; at = at.parentElement) if (/^(UL|OL)$/.test(at.tagName)) depth++
  return Math.max(1, depth)
}
