import { expected } from '../../../../core/values'
import { createReadStream } from 'node:fs'
import { stat } from 'node:fs/promises'
import { createRequire } from 'node:module'
import path from 'node:path'
import { fallbackFonts, fontFamilies } from '../../../../core/fonts'
import { refuse } from '../../../access'

const require = createRequire(import.meta.url)
const folders = new Set([...fontFamilies, ...fallbackFonts].map(family => family.folder))

/** A file of a family that ships. These are part of the application, as its scripts are, and so for everyone. */
export default defineEventHandler(async event => {
  const folder = getRouterParam(event, 'folder')!
  const file = getRouterParam(event, 'file')!
  if (!folders.has(folder) || !/^[a-z0-9-]+\.woff2$/.test(file)) return refuse(404, 'There is no such font.')
  const place = path.join(path.dirname(require.resolve(`@fontsource/${folder}/package.json`)), 'files', file)
  const found = await stat(place).catch(expected('ENOENT'))
  if (!found) return refuse(404, 'There is no such font.')
  setHeaders(event, {
    'content-type': 'font/woff2',
    'content-length': found.size,
    'cache-control': 'public, max-age=31536000, immutable',
    'x-content-type-options': 'nosniff',
  })
  return sendStream(event, createReadStream(place))
})
