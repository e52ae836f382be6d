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
