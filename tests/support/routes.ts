import { readdirSync } from 'node:fs'
import path from 'node:path'

/** Every route there is, from the files themselves, so that a new one cannot be forgotten; parameters stand in brackets. */
export function routes(folder = 'server/api'): { method: string; url: string }[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap(entry => {
    const place = path.join(folder, entry.name)
    if (entry.isDirectory()) return routes(place)
    const [, name, method] = /^(.+)\.(get|post|put|patch|delete)\.ts$/.exec(entry.name) ?? []
    return method
      ? [{ method: method.toUpperCase(), url: path.join(folder.replace('server', ''), name === 'index' ? '' : name!).replace(/\/$/, '') }]
      : []
  })
}
