/**
 * How large a text of XML is, before anybody reads it.
 *
 * @example
 * import { shapeOfXml } from 'core/formats/xml'
 *
 * shapeOfXml('<a><b/></a>') // → { elements: 2, depth: 2, declares: false }
 */

/** How large a text of XML is to whoever reads it as a tree. */
export interface XmlShape {
  elements: number
  /** Levels of the deepest element. */
  depth: number
  /** Whether it declares a document type or entities of its own. */
  declares: boolean
}

/**
 * Counts the elements of a text of XML and how deep they nest, in one pass and without building anything: what is too much is found
 * before a reader that recurses sees it. Comments, instructions and CDATA are passed over; what is malformed is counted as it looks.
 */
export function shapeOfXml(text: string): XmlShape {
  let [elements, depth, deepest, declares] = [0, 0, 0, false]
  for (let at = text.indexOf('<'); at >= 0; at = text.indexOf('<', at + 1)) {
    const next = text.charCodeAt(at + 1)
    if (next === 0x21 || next === 0x3f) {
      if (/^<!(?:doctype|entity)/i.test(text.slice(at, at + 10))) declares = true
      const end = text.startsWith('<!--', at) ? '-->' : text.startsWith('<![CDATA[', at) ? ']]>' : next === 0x3f ? '?>' : ''
      const close = end ? text.indexOf(end, at + 2) : at
      if (close < 0) break
      at = close
    } else if (next === 0x2f) depth = Math.max(0, depth - 1)
    else if ((next | 0x20) >= 0x61 && (next | 0x20) <= 0x7a) {
      elements++
      const end = text.indexOf('>', at)
      if (end < 0) break
      // A mark may stand in a quoted value; such an element counts as open, which errs on the side of too deep.
      if (text.charCodeAt(end - 1) === 0x2f) deepest = Math.max(deepest, depth + 1)
      else deepest = Math.max(deepest, ++depth)
    }
  }
  return { elements, depth: deepest, declares }
}
