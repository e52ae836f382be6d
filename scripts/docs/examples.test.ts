import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'

const root = process.cwd()
const scratch = path.join(root, '.hailbank', 'examples')
const foldersOf = (folder: string) =>
  readdirSync(folder, { withFileTypes: true })
    .filter(entry => entry.isDirectory())
    .map(entry => `${folder}/${entry.name}`)
/** What a room of core is reached through. What only tests use is no room of its own. */
const doors = [...foldersOf('core'), ...foldersOf('core/formats')].filter(room => existsSync(`${room}/index.ts`) && room !== 'core/testing')
/** The example in the comment of a door, as code. */
const exampleOf = (room: string) =>
  /@example\n([\s\S]*?)\n \*\//
    .exec(readFileSync(`${room}/index.ts`, 'utf8'))?.[1]
    ?.split('\n')
    .map(line => line.replace(/^ \* ?/, ''))
    .join('\n')
/** An example that answers with what each line that shows a value (`// → …`) came to, and what it says that it comes to. */
const runnable = (example: string) =>
  example
    .replace(/from '(core\/[^']*)'/g, (_, source: string) => `from '${path.join(root, source)}'`)
    .replace(/^(.*?) \/\/ → (.*)$/gm, 'shown.push([$1, ($2)])')
    .replace(/^(?!import)/m, 'export const shown = []\n')

beforeAll(() => void mkdirSync(scratch, { recursive: true }))
afterAll(() => rmSync(scratch, { recursive: true, force: true }))

describe('the example at the door of', () => {
  it.each(doors)('%s is true', async room => {
    const example = exampleOf(room)
    expect(example, 'it has one').toBeDefined()
    const file = path.join(scratch, `${room.replaceAll('/', '-')}.ts`)
    writeFileSync(file, runnable(example!))
    const { shown } = (await import(/* @vite-ignore */ file)) as { shown: [unknown, unknown][] }
    expect(shown.length).toBeGreaterThan(0)
    for (const [came, said] of shown) expect(came).toEqual(said)
  })
})
