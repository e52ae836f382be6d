import { readFileSync } from 'node:fs'
import path from 'node:path'
import { createRequire } from 'node:module'
import * as fontkit from 'fontkit'
import { rememberingMeasurer, type Font, type Measurer } from '../../core/text'

/** The shipped families as their packages name them, with the weights that are shipped. */
export const shippedFamilies: Readonly<Record<string, { folder: string, weights: readonly number[] }>> = {
  'Bricolage Grotesque': { folder: 'bricolage-grotesque', weights: [400, 500, 600, 700, 800] },
  'Hanken Grotesk': { folder: 'hanken-grotesk', weights: [400, 500, 600, 700] },
  'Spline Sans Mono': { folder: 'spline-sans-mono', weights: [400, 500, 600, 700] },
}
const subsets = ['latin', 'latin-ext'] as const
const fallback = 'Hanken Grotesk'

const require = createRequire(import.meta.url)
const faces = new Map<string, fontkit.Font[]>()

function facesOf(font: Font): fontkit.Font[] {
  const family = shippedFamilies[font.family] ?? shippedFamilies[fallback]!
  const weight = family.weights.reduce((best, known) => (Math.abs(known - font.weight) < Math.abs(best - font.weight) ? known : best))
  const key = `${family.folder}-${weight}`
  let made = faces.get(key)
  if (!made) {
    const root = path.dirname(require.resolve(`@fontsource/${family.folder}/package.json`))
    made = subsets.map(subset => fontkit.create(readFileSync(path.join(root, 'files', `${family.folder}-${subset}-${weight}-normal.woff`))) as fontkit.Font)
    faces.set(key, made)
  }
  return made
}

/** Stretches of a text that one face has the letters for; what no face has goes with the first. */
function byFace(text: string, candidates: readonly fontkit.Font[]): { face: fontkit.Font, text: string }[] {
  const runs: { face: fontkit.Font, text: string }[] = []
  for (const letter of text) {
    const face = candidates.find(candidate => candidate.hasGlyphForCodePoint(letter.codePointAt(0)!)) ?? candidates[0]!
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
    byFace(text, facesOf(font)).reduce((sum, run) => sum + (run.face.layout(run.text).advanceWidth * font.size) / run.face.unitsPerEm, 0))
  return measurer
}
