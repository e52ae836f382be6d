import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { readsItsBytes } from './uploads'

const routes = readdirSync('server/api', { recursive: true, encoding: 'utf8' }).filter(file => /\.(?:post|put|patch)\.ts$/.test(file))
/** The address that a file stands for, with a word for each parameter. */
const addressOf = (file: string) =>
  `/api/${file.split(path.sep).join('/')}`
    .replace(/\.(?:post|put|patch)\.ts$/, '')
    .replace(/\/index$/, '')
    .replace(/\[[^\]]+\]/g, 'x')

describe('calls that read their bytes themselves', () => {
  const own = routes.filter(file => /readBytes\(|pipeline\(event\.node\.req/.test(readFileSync(path.join('server/api', file), 'utf8')))

  it('are those that are not bounded before, and no others', () => {
    expect(own.length).toBeGreaterThan(5)
    expect(routes.filter(file => readsItsBytes(addressOf(file))).sort()).toEqual(own.sort())
    expect(readsItsBytes('/api/data?name=boats.csv')).toBe(true)
  })
})
