import { fallbackFonts } from '#core/fonts'
import { rememberingMeasurer, type Measurer } from '#core/text'

/** The CSS font list of a family, with what to fall back to for scripts that it lacks. */
export const fontStack = (family: string) =>
  `"${family}", "Hanken Grotesk", ${fallbackFonts.map(font => `"${font.family}"`).join(', ')}, system-ui, sans-serif`

/** Measures with a canvas, in the fonts that this page has loaded. Make a new one when fonts have arrived. */
export function browserMeasurer(): Measurer {
  const context = document.createElement('canvas').getContext('2d')!
  context.fontKerning = 'normal'
  let last = ''
  return rememberingMeasurer((text, font) => {
    const css = `${font.italic ? 'italic ' : ''}${font.weight} ${font.size}px ${fontStack(font.family)}`
    if (css !== last) context.font = last = css
    return context.measureText(text).width
  })
}
