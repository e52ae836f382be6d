import createDOMPurify, { type WindowLike } from 'dompurify'
import { JSDOM } from 'jsdom'

let purify: ReturnType<typeof createDOMPurify> | undefined

/**
 * Makes an SVG harmless: no scripts, events, styles, animations, foreign content or references to outside. Null where nothing to draw is
 * left.
 */
export function harmlessSvg(text: string): string | null {
  if (!purify) {
    purify = createDOMPurify(new JSDOM('').window as unknown as WindowLike)
    purify.addHook('uponSanitizeAttribute', (_, data) => {
      const value = data.attrValue.replace(/\s/g, '').toLowerCase()
      const reference = /^(xlink:)?href$|^src$/.test(data.attrName)
      if (reference && !value.startsWith('#') && !/^data:image\/(png|jpeg|webp|gif);/.test(value)) data.keepAttr = false
      if (/url\((?!['"]?#)/.test(value)) data.keepAttr = false
    })
  }
  // HTML mode: XHTML mode loses viewBox.
  const clean = purify.sanitize(text, {
    USE_PROFILES: { svg: true, svgFilters: true },
    FORBID_TAGS: ['style', 'animate', 'animateTransform', 'animateMotion', 'animateColor', 'set', 'foreignObject', 'script', 'a'],
    FORBID_ATTR: ['style'],
  })
  const svg = /<svg[\s\S]*<\/svg>/i.exec(clean)?.[0]
  if (!svg) return null
  return /\sxmlns=/.test(svg) ? svg : svg.replace(/^<svg/i, '<svg xmlns="http://www.w3.org/2000/svg"')
}
