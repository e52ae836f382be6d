import { XMLParser, XMLValidator } from 'fast-xml-parser'
import { failed, type Outcome, numberWords } from '../../values'
import { shapeOfXml } from '../xml'
import { drafting, type ReadOutline } from './written'

export const looksLikeOpml = (text: string) =>
  /^\s*(?:\ufeff)?(?:<\?xml[^>]*\?>\s*)?(?:<!--[\s\S]*?-->\s*)*<opml[\s>]/i.test(text.slice(0, 4000))

interface Node {
  outline?: Node[]
  '@_text'?: string
  '@_title'?: string
  '@_note'?: string
  '@__note'?: string
}

const decoded = (text: string) =>
  text
    .replace(/&#x([0-9a-f]{1,6});/gi, (_, code: string) => letter(Number.parseInt(code, 16)))
    .replace(/&#(\d{1,7});/g, (_, code: string) => letter(Number(code)))
    .replaceAll('&lt;', '<')
    .replaceAll('&gt;', '>')
    .replaceAll('&quot;', '"')
    .replaceAll('&apos;', "'")
    .replaceAll('&amp;', '&')
const letter = (code: number) => (code > 8 && code < 0x110000 && !(code >= 0xd800 && code < 0xe000) ? String.fromCodePoint(code) : ' ')

/** What is read of an outline at most. */
const mostElements = 20_000
const mostDepth = 100

/**
 * Reads OPML 2.0: outlines at the top are slides, those within them lines, a note attribute the slide's notes. Entities of the file's own
 * are refused.
 */
export function readOpml(text: string): Outcome<ReadOutline> {
  const { elements, depth, declares } = shapeOfXml(text)
  if (elements > mostElements || depth > mostDepth)
    return failed(
      elements > mostElements
        ? `This OPML file has more than ${numberWords(mostElements)} lines. Bring it in parts.`
        : `This OPML file has lines that nest more than ${mostDepth} levels deep. Bring it in parts.`,
    )
  if (declares) return failed('This OPML file defines entities of its own, which are not read. Save it without them, then read it again.')
  const valid = XMLValidator.validate(text)
  if (valid !== true)
    return failed(`This OPML file is damaged in line ${valid.err.line}: ${valid.err.msg.replace(/\.$/, '')}. Nothing was changed.`)
  const parsed = new XMLParser({
    ignoreAttributes: false,
    parseAttributeValue: false,
    processEntities: false,
    isArray: name => name === 'outline',
  }).parse(text) as { opml?: { body?: Node | string } }
  const body = parsed.opml?.body
  if (!body || typeof body === 'string') return failed('This OPML file has no outline in it. Nothing was changed.')
  const draft = drafting()
  const words = (node: Node) => decoded(node['@_text'] ?? node['@_title'] ?? '').replace(/<[^>]*>/g, '')
  const within = (node: Node, level: number) => {
    for (const child of node.outline ?? []) {
      draft.line(words(child), level)
      within(child, level + 1)
    }
  }
  for (const node of body.outline ?? []) {
    const notes = node['@__note'] ?? node['@_note']
    draft.slide(words(node), notes ? { notes: decoded(notes) } : {})
    within(node, 1)
  }
  return draft.count() ? { ok: true, value: draft.read() } : failed('This OPML file has no outline in it. Nothing was changed.')
}
