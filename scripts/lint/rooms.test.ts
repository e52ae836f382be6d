import { readFileSync } from 'node:fs'
import { ESLint } from 'eslint'
import { describe, expect, it } from 'vitest'
import { drawHouse } from '../house/draw.mjs'
import { circlesOf, orderOfCore, readHouse, roomOfCore, wayBetween } from '../house/graph.mjs'
import { roomsRule } from './rooms.mjs'

const root = process.cwd()
const eslint = new ESLint({
  cwd: root,
  overrideConfigFile: true,
  overrideConfig: {
    files: ['**/*.{ts,mjs}'],
    plugins: { house: { rules: { rooms: roomsRule } } },
    rules: { 'house/rooms': 'error' },
  } as never,
})
/** What the rule says of a text that would stand in a file. The texts are plain JavaScript, which needs no other parser. */
const saidOf = async (file: string, text: string) =>
  (await eslint.lintText(text, { filePath: file }))[0]!.messages.map(({ message }) => message)

describe('the order of the rooms', () => {
  it('refuses an import upwards in core', async () => {
    expect(await saidOf('core/model/planted.ts', "import { frameAt } from '../timing'")).toEqual([
      expect.stringContaining('core/model may not import from core/timing, which stands above it'),
    ])
    expect(await saidOf('core/timing/planted.ts', "import { slidesOf } from '../model'")).toEqual([])
  })

  it('refuses a room of core that has no place in the order', async () => {
    expect(await saidOf('core/attic/planted.ts', "import { slidesOf } from '../model'")).toEqual([
      expect.stringContaining('core/attic has no place'),
    ])
  })

  it('refuses a circle, and says how it runs', async () => {
    // What all others stand on is made to import one of them: its way back is closed.
    const said = await saidOf('core/values/id.ts', "import { colorSchema } from './paint'")
    expect(said).toEqual(['This closes a circle: core/values/id.ts → core/values/paint.ts → core/values/id.ts.'])
  })

  it('refuses what reaches past a door, and into rooms that are closed to it', async () => {
    expect(await saidOf('stage/planted.ts', "import { frameAt } from '#core/timing/frame'")).toEqual([
      expect.stringContaining('through its index'),
    ])
    expect(await saidOf('stage/planted.ts', "import { log } from '../server/log'")).toEqual(['stage/ may not import from server/.'])
    expect(await saidOf('core/text/planted.ts', "import { ref } from 'vue'")).toEqual(['core/ may not import “vue”.'])
  })
})

describe('the house as it stands', () => {
  const house = readHouse(root)

  it('has files in which imports are found', () => {
    expect(house.size).toBeGreaterThan(500)
    expect(wayBetween(house, 'app/components/SlideThumb.vue', 'core/values/box.ts')).not.toBeNull()
  })

  it('has no circle, with what Nuxt imports by itself', () => {
    expect(circlesOf(house)).toEqual([])
  })

  it('has a place in the order for every room of core, and no place for what is not there', () => {
    const standing = new Set([...house.keys()].map(roomOfCore).filter(room => room !== null))
    expect(new Set(orderOfCore)).toEqual(standing)
  })

  it('is drawn in docs/house.svg as it is; npm run house draws it anew', () => {
    expect(readFileSync('docs/house.svg', 'utf8')).toBe(drawHouse(house))
  })
})
