import { infoOf, mediaOf, type Deck } from '../../core/model'
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import path from 'node:path'
import type { DataTable } from '../../core/data'
import { expected } from '../../core/values'
import { asPlayed } from '../../core/amounts'
import { tablesOf } from '../../core/formats/deck-file'
import { mediaByHash, mediaLengths, voicePeaks, wholeMedia } from '../database/media'
import { syllablesIn } from '../words/syllables'
import { inkBookOf } from './ink'
import { tablesById } from '../database/tables'
import { fallbackFonts, familyOfFont, subsetRanges } from '../../core/fonts'
import { fontNeeds } from '../../core/themes'

const require = createRequire(import.meta.url)
const dataUrl = (type: string, bytes: Uint8Array) => `data:${type};base64,${Buffer.from(bytes).toString('base64')}`
/** Text inside a script element must not be able to end it. */
const inScript = (json: string) => json.replaceAll('<', '\\u003c').replaceAll('\u2028', '\\u2028').replaceAll('\u2029', '\\u2029')
const inHtml = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;')

/** The code points of a CSS unicode-range that some letters touch. */
const touches = (range: string, points: readonly number[]) =>
  range.split(',').some(part => {
    const [from, to] = part
      .trim()
      .replace(/^U\+/i, '')
      .split('-')
      .map(code => Number.parseInt(code, 16))
    return points.some(point => point >= from! && point <= (to ?? from!))
  })

/** The faces that a deck's families need, each with its file inside; of every family only the parts that its letters touch. */
async function fontFaces(deck: Deck, tables: readonly DataTable[]): Promise<string> {
  const played = asPlayed(deck, id => tables.find(table => table.id === id))
  const { families, letters } = fontNeeds(played, tables)
  const points = Array.from(letters, letter => letter.codePointAt(0)!)
  const faces: string[] = []
  for (const name of new Set([...families, 'Hanken Grotesk'])) {
    const family = familyOfFont(name)
    if (!family) continue
    const root = path.dirname(require.resolve(`@fontsource/${family.folder}/package.json`))
    for (const subset of family.subsets.filter(part => touches(subsetRanges[part] ?? '', points))) {
      for (const weight of family.weights.filter(known => known >= 400 && known <= 700)) {
        const file = await readFile(path.join(root, 'files', `${family.folder}-${subset}-${weight}-normal.woff2`)).catch(expected('ENOENT'))
        if (file)
          faces.push(
            `@font-face{font-family:"${name}";font-weight:${weight};src:url(${dataUrl('font/woff2', file)})format("woff2");unicode-range:${subsetRanges[subset]}}`,
          )
      }
    }
  }
  // Of what stands behind all families only the parts that hold what is written.
  for (const { family, folder, parts } of fallbackFonts) {
    const root = path.dirname(require.resolve(`@fontsource/${folder}/package.json`))
    for (const part of parts.filter(one => touches(one.range, points))) {
      const file = await readFile(path.join(root, 'files', part.file)).catch(expected('ENOENT'))
      if (file)
        faces.push(`@font-face{font-family:"${family}";src:url(${dataUrl('font/woff2', file)})format("woff2");unicode-range:${part.range}}`)
    }
  }
  return faces.join('\n')
}

/** A deck as one HTML file that plays anywhere, with the player, its tables, pictures and fonts inside; it fetches nothing. */
export async function offlineFile(deck: Deck): Promise<string> {
  const media: Record<string, string> = {}
  for (const hash of mediaOf(deck)) {
    const row = await mediaByHash(hash)
    if (row) media[hash] = dataUrl(row.type, await wholeMedia(hash, row.bytes))
  }
  return await pageOf(deck, media, 'data:')
}

/** The page that plays a deck whose media stand at some addresses; `from` is where its content policy lets them come from. */
export async function pageOf(
  deck: Deck,
  media: Record<string, string>,
  from: string,
  film?: { width: number; rate: number; captions: boolean },
): Promise<string> {
  const [tables, lengths] = [await tablesById(tablesOf(deck)), await mediaLengths(Object.keys(media))]
  const bundle = {
    deck,
    tables,
    media,
    lengths,
    ink: await inkBookOf(deck, tables, lengths),
    syllables: syllablesIn(deck),
    peaks: await voicePeaks(deck),
    alone: true,
    ...(film ? { film } : {}),
  }
  const [script, style] = await Promise.all(['player.js', 'player.css'].map(name => readFile(path.resolve('.output/alone', name), 'utf8')))
  const { title, language } = infoOf(deck)
  return `<!doctype html>
<html lang="${inHtml(language)}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; img-src ${from}; media-src ${from}; connect-src ${from}; font-src data: ${from}">
<title>${inHtml(title)}</title>
<style>
${await fontFaces(deck, tables)}
${style}
</style>
</head>
<body>
<div id="player"></div>
<script type="application/json" id="bundle">${inScript(JSON.stringify(bundle))}</script>
<script>${script!.replaceAll('</script', '<\\/script')}</script>
</body>
</html>
`
}
