import { readFileSync, writeFileSync } from 'node:fs'

/** Writes the list of families that ship from what their packages say of themselves. Run it when a font package comes or goes. */
const kinds: Readonly<Record<string, readonly string[]>> = {
  sans: ['hanken-grotesk', 'inter', 'source-sans-3', 'ibm-plex-sans', 'work-sans', 'figtree', 'karla', 'public-sans', 'fira-sans', 'noto-sans', 'rubik', 'open-sans', 'noto-sans-arabic', 'noto-sans-hebrew', 'noto-sans-devanagari', 'noto-sans-thai'],
  serif: ['source-serif-4', 'literata', 'lora', 'merriweather', 'eb-garamond', 'crimson-pro', 'noto-serif', 'spectral', 'gelasio', 'noto-naskh-arabic'],
  slab: ['roboto-slab', 'zilla-slab', 'bitter', 'aleo', 'arvo'],
  mono: ['spline-sans-mono', 'ibm-plex-mono', 'jetbrains-mono', 'source-code-pro'],
  display: ['bricolage-grotesque', 'fraunces', 'space-grotesk', 'oswald', 'unbounded', 'syne', 'playfair-display', 'big-shoulders-display'],
  hand: ['caveat', 'kalam', 'patrick-hand', 'shantell-sans', 'architects-daughter'],
}
const wanted = new Set([300, 400, 500, 600, 700, 800])
interface Meta { family: string, subsets: string[], weights: number[], styles: string[] }
const ranges = new Map<string, string>()
const rows = Object.entries(kinds).flatMap(([kind, folders]) => folders.map(folder => {
  const root = `node_modules/@fontsource/${folder}`
  const meta = JSON.parse(readFileSync(`${root}/metadata.json`, 'utf8')) as Meta
  const unicode = JSON.parse(readFileSync(`${root}/unicode.json`, 'utf8')) as Record<string, string>
  const subsets = meta.subsets.filter(subset => unicode[subset])
  for (const subset of subsets) if ((unicode[subset] ?? '').length > (ranges.get(subset) ?? '').length) ranges.set(subset, unicode[subset]!)
  return `  { family: ${JSON.stringify(meta.family)}, folder: '${folder}', kind: '${kind}', weights: [${meta.weights.filter(weight => wanted.has(weight)).join(', ')}], italic: ${meta.styles.includes('italic')}, subsets: [${subsets.map(subset => `'${subset}'`).join(', ')}] },`
}))
writeFileSync('core/fonts/families.ts', `import type { FontFamily } from './family'

/** The families that ship, from their packages: see scripts/write-fonts.ts. */
export const fontFamilies: readonly FontFamily[] = [
${rows.join('\n')}
]
`)
writeFileSync('core/fonts/subsets.ts', `/** Which code points each part of a family's files holds, as CSS unicode-range writes it. */
export const subsetRanges: Readonly<Record<string, string>> = {
${[...ranges].sort().map(([name, range]) => `  '${name}': '${range}',`).join('\n')}
}
`)

/** Fonts behind every family, for what it lacks: symbols, and emoji in the parts that their package has. */
const behind = ['noto-color-emoji', 'noto-sans-symbols', 'noto-sans-symbols-2']
/** Signs of the basic plane that are pictures by themselves (Unicode's Emoji_Presentation); others there stay letters. */
const pictures = '231a-231b,23e9-23ec,23f0,23f3,25fd-25fe,2614-2615,2648-2653,267f,2693,26a1,26aa-26ab,26bd-26be,26c4-26c5,26ce,26d4,26ea,26f2-26f3,26f5,26fa,26fd,2705,270a-270b,2728,274c,274e,2753-2755,2757,2795-2797,27b0,27bf,2b1b-2b1c,2b50,2b55'.split(',').map(part => part.split('-').map(code => Number.parseInt(code, 16)) as [number, number?]).map(([from, to]) => [from, to ?? from] as const)
const joining = [0x200d, 0xfe0f, 0x20e3]
function pictureRange(range: string): string {
  return range.split(',').flatMap(part => {
    const [from, to = from] = part.replace(/^u\+/i, '').split('-').map(code => Number.parseInt(code, 16)) as [number, number?]
    if (from >= 0x1f000 || joining.includes(from)) return [[from, to]]
    return pictures.filter(([a, b]) => a <= to && b >= from).map(([a, b]) => [Math.max(a, from), Math.min(b, to)])
  }).map(([from, to]) => `U+${from!.toString(16).toUpperCase()}${to === from ? '' : `-${to!.toString(16).toUpperCase()}`}`).join(',')
}
const fallbacks = behind.map(folder => {
  const root = `node_modules/@fontsource/${folder}`
  const { family } = JSON.parse(readFileSync(`${root}/metadata.json`, 'utf8')) as Meta
  const unicode = JSON.parse(readFileSync(`${root}/unicode.json`, 'utf8')) as Record<string, string>
  const emoji = folder === 'noto-color-emoji'
  const parts = Object.entries(unicode).map(([name, range]) => ({ file: `${folder}-${name.replace(/[[\]]/g, '')}-400-normal.woff2`, range: emoji ? pictureRange(range) : range })).filter(part => part.range && (emoji ? /-\d+-400/ : /-(symbols|math)-400/).test(part.file))
  return `  { family: ${JSON.stringify(family)}, folder: '${folder}', parts: [\n${parts.map(part => `    { file: '${part.file}', range: '${part.range}' },`).join('\n')}\n  ] },`
})
writeFileSync('core/fonts/fallbacks.ts', `/** A family that stands behind all others: its files, and the code points that each is asked for. */
export interface Fallback { family: string, folder: string, parts: readonly { file: string, range: string }[] }

/** Symbols and emoji, from their packages: see scripts/write-fonts.ts. */
export const fallbackFonts: readonly Fallback[] = [
${fallbacks.join('\n')}
]
`)
