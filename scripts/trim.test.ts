import { describe, expect, it } from 'vitest'
import { namespacesApart, synonyms } from './trim.mjs'

interface Plugin {
  resolveId(id: string): string | undefined
  load(id: string): { code: string } | undefined
  transform(code: string): { code: string } | undefined
}
const plugin = namespacesApart() as unknown as Plugin

describe('families of primitives that are taken apart as the application is built', () => {
  it('each come from a module of their own, under the names that they were asked for by', () => {
    const code = 'import { DropdownMenu, Calendar as SingleCalendar } from "reka-ui/namespaced";\nconst rest = 1'
    const apart = plugin.transform(code)!.code
    expect(apart).toContain("import { DropdownMenu } from 'hailbank-namespace:DropdownMenu'")
    expect(apart).toContain("import { Calendar as SingleCalendar } from 'hailbank-namespace:Calendar'")
    expect([apart.includes('reka-ui/namespaced'), apart.endsWith('const rest = 1')]).toEqual([false, true])
    expect(plugin.transform('import { ref } from "vue"')).toBeUndefined()
  })

  it('hold what the package has in them, and nothing of another family', async () => {
    const id = plugin.resolveId('hailbank-namespace:DropdownMenu')!
    const { code } = plugin.load(id)!
    const parts = /import \{ ([^}]+) \} from 'reka-ui'/.exec(code)![1]!.split(', ')
    expect(parts.every(part => part.startsWith('DropdownMenu'))).toBe(true)
    const { DropdownMenu } = (await import('reka-ui/namespaced')) as unknown as { DropdownMenu: Record<string, unknown> }
    expect(parts).toHaveLength(Object.keys(DropdownMenu).length)
    for (const name of Object.keys(DropdownMenu)) expect(code).toContain(`${name}: DropdownMenu${name}`)
  })

  it('say so where the package has changed, rather than leave something out', () => {
    expect(() => plugin.load(plugin.resolveId('hailbank-namespace:Nothing')!)).toThrow('reka-ui/namespaced has no Nothing any more')
    expect(plugin.resolveId('vue')).toBeUndefined()
  })
})

describe('words of other languages that icons are found by', () => {
  const known = synonyms('node_modules/emojibase-data')
  it.each([
    ['de', 'schiff', 'ship'],
    ['de', 'uhr', 'clock'],
    ['fr', 'bateau', 'boat'],
    ['fr', 'velo', 'bicycle'],
    ['es', 'escuela', 'school'],
    ['it', 'treno', 'train'],
    ['sv', 'bat', 'boat'],
    ['pl', 'statek', 'ship'],
  ])('have for “%s %s” among others “%s”', (tongue, word, english) => expect(known[tongue]![word]).toContain(english))
  it('are small letters without marks, a few English words each', () => {
    for (const words of Object.values(known))
      for (const [word, means] of Object.entries(words)) {
        expect(word).toMatch(/^\p{Ll}{3,}$/u)
        expect(means.length).toBeLessThanOrEqual(8)
      }
  })
})
