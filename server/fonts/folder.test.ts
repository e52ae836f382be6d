import { copyFile, mkdtemp, rm, symlink, writeFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest'
import { endThreads } from '../apart'
import { database } from '../database/connection'
import { listFonts } from '../database/fonts'
import { lookForFonts } from './folder'

afterAll(endThreads)
const shipped = (name: string) =>
  path.join(path.dirname(createRequire(import.meta.url).resolve('@fontsource/lora/package.json')), 'files', name)
let folder = ''
beforeEach(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'fonts-'))
})
afterEach(async () => {
  await database()`delete from fonts`
  await rm(folder, { recursive: true })
})
const known = async () => (await listFonts()).map(({ family, weight }) => `${family} ${weight}`)

describe('the folder of fonts', () => {
  it('makes the team’s fonts of the files in it that are fonts, each once, and of nothing else', async () => {
    const [seen, taken] = [new Map<string, string>(), new Map<string, string>()]
    await copyFile(shipped('lora-latin-700-normal.woff2'), path.join(folder, 'bold.woff2'))
    await writeFile(path.join(folder, 'broken.otf'), 'no font at all')
    await writeFile(path.join(folder, 'notes.md'), '# no font')
    await symlink('/etc/passwd', path.join(folder, 'linked.ttf'))
    await lookForFonts(folder, seen, taken)
    // It may still be being written.
    expect(await known()).toEqual([])
    await lookForFonts(folder, seen, taken)
    expect(await known()).toEqual(['Lora 700'])
    expect([...taken.keys()].sort()).toEqual(['bold.woff2', 'broken.otf'])

    // Another server, or this one after it began again, finds it there already.
    await lookForFonts(folder, new Map(seen), new Map())
    expect(await known()).toEqual(['Lora 700'])
    await copyFile(shipped('lora-latin-400-normal.woff2'), path.join(folder, 'plain.woff2'))
    await lookForFonts(folder, seen, taken)
    await lookForFonts(folder, seen, taken)
    expect(await known()).toEqual(['Lora 400', 'Lora 700'])
  })
})
