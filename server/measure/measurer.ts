import { existsSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { createRequire } from 'node:module'
import * as fontkit from 'fontkit'
import type { FontFaceFile } from '../../core/model'
import { fallbackFonts, familyOfFont, standInFor } from '../../core/fonts'
import svgpath from 'svgpath'
import type { WordOutlines } from '../../core/drawing'
import { rememberingMeasurer, type Font, type Measurer } from '../../core/text'
import { openFont } from '../fonts/check'
import { log } from '../log'

const order = ['latin', 'latin-ext', 'cyrillic', 'cyrillic-ext', 'greek', 'greek-ext', 'vietnamese']
const rank = (subset: string) => (order.includes(subset) ? order.indexOf(subset) : order.length)
const fallback = familyOfFont('Hanken Grotesk')!

const require = createRequire(import.meta.url)
const faces = new Map<string, fontkit.Font[]>()
/** Faces of the team's own, by family. */
const brought = new Map<string, { weight: number; italic: boolean; font: fontkit.Font }[]>()
const known = new Set<string>()

/** Opens the faces that a deck brings with it, so that its text can be measured in them. */
export async function bringFaces(list: readonly FontFaceFile[], bytesOf: (hash: string) => Promise<Uint8Array | null>) {
  for (const face of list) {
    if (known.has(face.media)) continue
    const bytes = await bytesOf(face.media)
    const font =
      bytes &&
      (await openFont(bytes).catch((error: unknown) => void log.warn({ media: face.media, err: error }, 'a font cannot be read any more')))
    if (!font) continue
    known.add(face.media)
    brought.set(face.family, [...(brought.get(face.family) ?? []), { weight: face.weight, italic: !!face.italic, font }])
    measurer = undefined
  }
}

const nearest = <T>(list: readonly T[], weightOf: (item: T) => number, wanted: number) =>
  list.reduce((best, item) => (Math.abs(weightOf(item) - wanted) < Math.abs(weightOf(best) - wanted) ? item : best))

function facesOf(font: Font): fontkit.Font[] {
  const own = brought.get(font.family)
  if (own) return [nearest(own, face => face.weight + (face.italic === font.italic ? 0 : 2000), font.weight).font]
  const family = familyOfFont(font.family) ?? fallback
  const weight = nearest(family.weights, known => known, font.weight)
  const style = font.italic && family.italic ? 'italic' : 'normal'
  const key = `${family.folder}-${weight}-${style}`
  let made = faces.get(key)
  if (!made) {
    const root = path.dirname(require.resolve(`@fontsource/${family.folder}/package.json`))
    const files = [...family.subsets]
      .sort((a, b) => rank(a) - rank(b))
      .map(subset => path.join(root, 'files', `${family.folder}-${subset}-${weight}-${style}.woff`))
    made = files.filter(file => existsSync(file)).map(file => fontkit.create(readFileSync(file)) as fontkit.Font)
    faces.set(key, made)
  }
  return made
}

const behind = new Map<string, fontkit.Font[]>()
/** The face of a family behind all others that draws a letter, as in the browser; undefined where none has it. */
function faceBehind(point: number): fontkit.Font | undefined {
  const name = standInFor(point)
  if (name === undefined) return undefined
  if (name === fallback.family)
    return facesOf({ family: name, size: 1000, weight: 400, italic: false }).find(face => face.hasGlyphForCodePoint(point))
  let made = behind.get(name)
  if (!made) {
    const { folder, parts } = fallbackFonts.find(font => font.family === name)!
    const root = path.dirname(require.resolve(`@fontsource/${folder}/package.json`))
    made = parts.map(part => fontkit.create(readFileSync(path.join(root, 'files', part.file.replace(/2$/, '')))) as fontkit.Font)
    behind.set(name, made)
  }
  return made.find(face => face.hasGlyphForCodePoint(point))
}

/** Stretches of a text that one face has the letters for; what none has goes with the first. */
function byFace(text: string, candidates: readonly fontkit.Font[]): { face: fontkit.Font; text: string }[] {
  const runs: { face: fontkit.Font; text: string }[] = []
  for (const letter of text) {
    const face =
      candidates.find(candidate => candidate.hasGlyphForCodePoint(letter.codePointAt(0)!)) ??
      faceBehind(letter.codePointAt(0)!) ??
      candidates[0]!
    const last = runs.at(-1)
    if (last && last.face === face) last.text += letter
    else runs.push({ face, text: letter })
  }
  return runs
}

let measurer: Measurer | undefined

/** The server's measurer: advances with kerning from the shipped font files. Agrees with the browser's within 1 %. */
export function serverMeasurer(): Measurer {
  measurer ??= rememberingMeasurer((text, font) =>
    byFace(text, facesOf(font)).reduce((sum, run) => sum + (run.face.layout(run.text).advanceWidth * font.size) / run.face.unitsPerEm, 0),
  )
  return measurer
}

/** How a word is written in a font, from the shipped or the team's own font files. */
export function outlinesOf(text: string, font: Omit<Font, 'size'>): WordOutlines {
  const candidates = facesOf({ ...font, size: 1000 })
  const first = candidates[0]!
  const glyphs: string[] = []
  let x = 0
  for (const { face, text: run } of byFace(text, candidates)) {
    const scale = 1000 / face.unitsPerEm
    const laid = face.layout(run)
    const made = laid.glyphs.map((glyph, index) => {
      const place = laid.positions[index]!
      const d = glyph.path.toSVG()
      const at = x
      x += place.xAdvance * scale
      return (
        d &&
        svgpath(d)
          .scale(scale, -scale)
          .translate(at + place.xOffset * scale, -place.yOffset * scale)
          .round(0)
          .toString()
      )
    })
    // Glyphs come from left to right; a hand that writes from the right begins there.
    glyphs.push(...(laid.direction === 'rtl' ? made.reverse() : made).filter(Boolean))
  }
  return {
    glyphs,
    ascent: Math.round((first.ascent * 1000) / first.unitsPerEm),
    descent: Math.round((-first.descent * 1000) / first.unitsPerEm),
  }
}
