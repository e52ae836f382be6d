import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import path from 'node:path'
import type { Deck } from '../../core/deck'
import { mediaOf, tablesOf } from '../../core/formats/deck-file'
import { mediaByHash, wholeMedia } from '../database/media'
import { tablesById } from '../database/tables'
import { shippedFamilies } from '../measure/measurer'

const require = createRequire(import.meta.url)
const dataUrl = (type: string, bytes: Uint8Array) => `data:${type};base64,${Buffer.from(bytes).toString('base64')}`
/** Text inside a script element must not be able to end it. */
const inScript = (json: string) => json.replaceAll('<', '\\u003c').replaceAll('\u2028', '\\u2028').replaceAll('\u2029', '\\u2029')
const inHtml = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;')

/** The faces that a deck's families need, each with its file inside. */
async function fontFaces(deck: Deck): Promise<string> {
  const faces: string[] = []
  for (const family of new Set(Object.values(deck.theme.theme!.fonts))) {
    const shipped = shippedFamilies[family]
    if (!shipped) continue
    const root = path.dirname(require.resolve(`@fontsource/${shipped.folder}/package.json`))
    for (const weight of shipped.weights) {
      const file = await readFile(path.join(root, 'files', `${shipped.folder}-latin-${weight}-normal.woff2`))
      const wide = await readFile(path.join(root, 'files', `${shipped.folder}-latin-ext-${weight}-normal.woff2`))
      faces.push(`@font-face{font-family:"${family}";font-weight:${weight};src:url(${dataUrl('font/woff2', wide)})format("woff2");unicode-range:U+0100-02FF,U+1E00-1EFF,U+20A0-20C0}`)
      faces.push(`@font-face{font-family:"${family}";font-weight:${weight};src:url(${dataUrl('font/woff2', file)})format("woff2");unicode-range:U+0000-00FF,U+0131,U+0152-0153,U+02BB-02DC,U+2000-206F,U+20AC,U+2122,U+2190-2193,U+2212,U+FEFF,U+FFFD}`)
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
  const bundle = { deck, tables: await tablesById(tablesOf(deck)), media }
  const [script, style] = await Promise.all(['player.js', 'player.css'].map(name => readFile(path.resolve('.output/alone', name), 'utf8')))
  const { title, language } = deck.info.info!
  return `<!doctype html>
<html lang="${inHtml(language)}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; img-src data:; font-src data:">
<title>${inHtml(title)}</title>
<style>
${await fontFaces(deck)}
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
