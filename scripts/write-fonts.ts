import { readFileSync, writeFileSync } from 'node:fs'
import * as fontkit from 'fontkit'
import { format, resolveConfig } from 'prettier'
import wawoff2 from 'wawoff2'
import { packSpans, spansOfRange, unpackSpans } from '../core/fonts'

/** Writes a file as the formatter would have it. */
async function write(file: string, text: string) {
  writeFileSync(file, await format(text, { ...(await resolveConfig(file)), filepath: file }))
}
/** A long text as a literal in lines: in pieces that are put together. */
const inLines = (text: string) => (text.match(/.{1,110}([ ,]|$)/g) ?? [text]).map(piece => `'${piece}'`).join(' + ')

/** Writes the list of families that ship from what their packages say of themselves. Run it when a font package comes or goes. */
const kinds: Readonly<Record<string, readonly string[]>> = {
  sans: [
    'hanken-grotesk',
    'inter',
    'source-sans-3',
    'ibm-plex-sans',
    'work-sans',
    'figtree',
    'karla',
    'public-sans',
    'fira-sans',
    'noto-sans',
    'rubik',
    'open-sans',
    'noto-sans-arabic',
    'noto-sans-hebrew',
    'noto-sans-devanagari',
    'noto-sans-thai',
  ],
  serif: [
    'source-serif-4',
    'literata',
    'lora',
    'merriweather',
    'eb-garamond',
    'crimson-pro',
    'noto-serif',
    'spectral',
    'gelasio',
    'noto-naskh-arabic',
  ],
  slab: ['roboto-slab', 'zilla-slab', 'bitter', 'aleo', 'arvo'],
  mono: ['spline-sans-mono', 'ibm-plex-mono', 'jetbrains-mono', 'source-code-pro'],
  display: ['bricolage-grotesque', 'fraunces', 'space-grotesk', 'oswald', 'unbounded', 'syne', 'playfair-display', 'big-shoulders-display'],
  hand: ['caveat', 'kalam', 'patrick-hand', 'shantell-sans', 'architects-daughter'],
}
const wanted = new Set([300, 400, 500, 600, 700, 800])
interface Meta {
  family: string
  subsets: string[]
  weights: number[]
  styles: string[]
}
const ranges = new Map<string, string>()
const rows = Object.entries(kinds).flatMap(([kind, folders]) =>
  folders.map(folder => {
    const root = `node_modules/@fontsource/${folder}`
    const meta = JSON.parse(readFileSync(`${root}/metadata.json`, 'utf8')) as Meta
    const unicode = JSON.parse(readFileSync(`${root}/unicode.json`, 'utf8')) as Record<string, string>
    const subsets = meta.subsets.filter(subset => unicode[subset])
    for (const subset of subsets)
      if ((unicode[subset] ?? '').length > (ranges.get(subset) ?? '').length) ranges.set(subset, unicode[subset]!)
    return (
      `  { family: ${JSON.stringify(meta.family)}, folder: '${folder}', kind: '${kind}', weights: ` +
      `[${meta.weights.filter(weight => wanted.has(weight)).join(', ')}], italic: ${meta.styles.includes('italic')}, subsets: ` +
      `[${subsets.map(subset => `'${subset}'`).join(', ')}] },`
    )
  }),
)
await write(
  'core/fonts/families.ts',
  `import type { FontFamily } from './family'

/** The families that ship, from their packages: see scripts/write-fonts.ts. */
export const fontFamilies: readonly FontFamily[] = [
${rows.join('\n')}
]
`,
)
await write(
  'core/fonts/subsets.ts',
  `/** Which code points each part of a family's files holds, as CSS unicode-range writes it. */
export const subsetRanges: Readonly<Record<string, string>> = {
${[...ranges]
  .sort()
  .map(([name, range]) => `  '${name}': ${inLines(range)},`)
  .join('\n')}
}
`,
)

const asRange = (points: readonly number[]) =>
  unpackSpans(packSpans(points))
    .map(([from, to]) => `U+${from.toString(16).toUpperCase()}${to === from ? '' : `-${to.toString(16).toUpperCase()}`}`)
    .join(',')
/** What a file really holds: the code points that it maps to a glyph. Packages only say what a file is for. */
const heldBy = async (file: string): Promise<Set<number>> =>
  new Set((fontkit.create(Buffer.from(await wawoff2.decompress(readFileSync(file)))) as fontkit.Font).characterSet)
const fileOf = (folder: string, name: string, weight = 400) =>
  `node_modules/@fontsource/${folder}/files/${folder}-${name}-${weight}-normal.woff2`

const held: string[] = []
for (const folder of Object.values(kinds).flat()) {
  const root = `node_modules/@fontsource/${folder}`
  const { family, weights } = JSON.parse(readFileSync(`${root}/metadata.json`, 'utf8')) as Meta
  const unicode = JSON.parse(readFileSync(`${root}/unicode.json`, 'utf8')) as Record<string, string>
  const points = new Set<number>()
  for (const subset of Object.keys(unicode)) {
    const has = await heldBy(fileOf(folder, subset, weights.includes(400) ? 400 : weights[0]))
    for (const [from, to] of spansOfRange(ranges.get(subset) ?? ''))
      for (let point = from; point <= to; point++) if (has.has(point)) points.add(point)
  }
  held.push(`  ${JSON.stringify(family)}: ${inLines(packSpans(points))},`)
}
await write(
  'core/fonts/held.ts',
  `/**
 * The code points that each family’s files hold, from the files themselves (scripts/write-fonts.ts): spans as “distance from the end of the
 * last+length”, in base 36.
 */
export const heldSpans: Readonly<Record<string, string>> = {
${held.join('\n')}
}
`,
)

/** Fonts behind every family, for what it lacks: emoji in the parts that their package has, symbols, and other scripts. */
const behind: Readonly<Record<string, RegExp>> = {
  'noto-color-emoji': /^\[?\d+\]?$/,
  'noto-sans-symbols': /^symbols$/,
  'noto-sans-symbols-2': /^(symbols|math)$/,
  'noto-sans': /^(cyrillic|cyrillic-ext|greek|greek-ext|vietnamese|latin-ext|devanagari)$/,
  'noto-sans-hebrew': /^hebrew$/,
  'noto-sans-arabic': /^arabic$/,
  'noto-sans-thai': /^thai$/,
}
/** Signs of the basic plane that are pictures by themselves (Unicode's Emoji_Presentation); others there stay letters. */
const pictures = spansOfRange(
  '231a-231b,23e9-23ec,23f0,23f3,25fd-25fe,2614-2615,2648-2653,267f,2693,26a1,26aa-26ab,26bd-26be,26c4-26c5,26ce,26d4,26ea,26f2-26f3,26f5,26fa,26fd,2705,270a-270b,2728,274c,274e,2753-2755,2757,2795-2797,27b0,27bf,2b1b-2b1c,2b50,2b55',
)
const joining = [0x200d, 0xfe0f, 0x20e3]
const isPicture = (point: number) =>
  point >= 0x1f000 || joining.includes(point) || pictures.some(([from, to]) => point >= from && point <= to)
const fallbacks: string[] = []
for (const [folder, wantedParts] of Object.entries(behind)) {
  const root = `node_modules/@fontsource/${folder}`
  const { family } = JSON.parse(readFileSync(`${root}/metadata.json`, 'utf8')) as Meta
  const unicode = JSON.parse(readFileSync(`${root}/unicode.json`, 'utf8')) as Record<string, string>
  const least = folder === 'noto-color-emoji' || folder.startsWith('noto-sans-symbols') ? 0x2000 : 0x100
  const parts: string[] = []
  for (const [part, range] of Object.entries(unicode)) {
    if (!wantedParts.test(part)) continue
    const name = part.replace(/[[\]]/g, '')
    const has = await heldBy(fileOf(folder, name))
    const points: number[] = []
    for (const [from, to] of spansOfRange(range))
      for (let point = Math.max(from, least); point <= to; point++)
        if (has.has(point) && (folder !== 'noto-color-emoji' || isPicture(point))) points.push(point)
    if (points.length) parts.push(`    { file: '${folder}-${name}-400-normal.woff2', range: ${inLines(asRange(points))} },`)
  }
  fallbacks.push(`  { family: ${JSON.stringify(family)}, folder: '${folder}', parts: [\n${parts.join('\n')}\n  ] },`)
}
await write(
  'core/fonts/fallbacks.ts',
  `/** A family that stands behind all others: its files, and the code points that each is asked for. */
export interface Fallback { family: string, folder: string, parts: readonly { file: string, range: string }[] }

/** Emoji, symbols and other scripts, in the order in which they are asked, each for what its files hold: see scripts/write-fonts.ts. */
export const fallbackFonts: readonly Fallback[] = [
${fallbacks.join('\n')}
]
`,
)
