import fs from 'node:fs'
import path from 'node:path'
import ts from 'typescript'

/** The rooms of the house, from the ground up, with the rooms that each may import from. */
export const rooms = {
  core: [],
  stage: ['core'],
  player: ['core', 'stage'],
  app: ['core', 'stage', 'player'],
  server: ['core'],
  database: [],
  demo: ['core', 'server'],
  tests: ['core', 'stage', 'player', 'demo', 'server', 'scripts'],
  bench: ['core', 'stage', 'player', 'demo', 'server', 'scripts'],
  attack: ['core', 'tests', 'server', 'scripts'],
  scripts: ['core', 'stage', 'server', 'demo'],
}

/** The rooms of core, lowest first: each imports from those before it only. */
export const orderOfCore = [
  'values',
  'model',
  'maps',
  'data',
  'steps',
  'place',
  'color',
  'fonts',
  'shapes',
  'icons',
  'signs',
  'phrases',
  'families',
  'looks',
  'pictures',
  'resolved',
  'edits',
  'amounts',
  'text',
  'tables',
  'charts',
  'diagrams',
  'figures',
  'drawing',
  'contrast',
  'timing',
  'sound',
  'layouts',
  'stories',
  'themes',
  'checks',
  'formats',
  'signage',
  'live',
  'testing',
]

const aliases = { '#core': 'core', '#stage': 'stage', '#player': 'player', '~~': '.', '@@': '.', '~': 'app', '@': 'app' }

/** What an import in a file (both from the root) names, from the root and without its ending; null where it is a package. */
export function targetOf(source, file) {
  if (source.startsWith('.')) return path.normalize(path.join(path.dirname(file), source))
  const alias = Object.keys(aliases).find(name => source === name || source.startsWith(`${name}/`))
  return alias ? path.normalize(path.join(aliases[alias], source.slice(alias.length))) : null
}

/** The room of core that a file stands in, as `orderOfCore` names it; null outside core. */
export function roomOfCore(file) {
  const [top, room, inner] = file.split('/')
  return top === 'core' && inner !== undefined ? room : null
}

const isCode = name => /\.(ts|vue|mjs)$/.test(name) && !/\.(test|spec|d)\.ts$/.test(name)

function* filesIn(folder, root) {
  for (const entry of fs.readdirSync(path.join(root, folder), { withFileTypes: true })) {
    const file = path.posix.join(folder, entry.name)
    if (entry.isDirectory()) yield* filesIn(file, root)
    else if (isCode(entry.name)) yield file
  }
}

/** The script of a file: of a Vue file what stands in its script blocks. */
const scriptOf = (file, text) =>
  file.endsWith('.vue') ? [...text.matchAll(/<script[^>]*>([\s\S]*?)<\/script>/g)].map(match => match[1]).join('\n') : text

/** The file that an import leads to, from the root; null where it is none of the house's. */
const fileAt = (target, all) =>
  [target, `${target}.ts`, `${target}/index.ts`, `${target}.vue`, `${target}.mjs`].find(file => all.has(file)) ?? null

const exported = /^export (?:async )?(?:function\*?|const|class) (\w+)/gm

/**
 * Who imports whom: each file of the house, from its root, with the files that it imports. In `app/` also what Nuxt imports by itself:
 * what stands in composables and stores, by its name, and components by their tags.
 */
export function readHouse(root) {
  const files = Object.keys(rooms)
    .filter(room => fs.existsSync(path.join(root, room)))
    .flatMap(room => [...filesIn(room, root)])
  const all = new Set(files)
  const texts = new Map(files.map(file => [file, fs.readFileSync(path.join(root, file), 'utf8')]))
  const byName = new Map()
  for (const file of files) {
    if (/^app\/(composables|stores)\/[^/]+\.ts$/.test(file))
      for (const [, name] of texts.get(file).matchAll(exported)) byName.set(name, file)
  }
  const byTag = new Map(files.filter(file => file.startsWith('app/components/')).map(file => [path.basename(file, '.vue'), file]))
  return new Map(
    files.map(file => {
      const text = texts.get(file)
      const found = new Set(
        ts.preProcessFile(scriptOf(file, text), true, true).importedFiles.flatMap(({ fileName }) => {
          const target = targetOf(fileName, file)
          return (target !== null && fileAt(target, all)) || []
        }),
      )
      if (file.startsWith('app/')) {
        for (const [word] of scriptOf(file, text).matchAll(/\b[a-z]\w+(?=\()/g))
          if (byName.has(word) && byName.get(word) !== file) found.add(byName.get(word))
        for (const [, tag] of text.matchAll(/<(?:Lazy)?([A-Z]\w+)/g))
          if (byTag.has(tag) && byTag.get(tag) !== file) found.add(byTag.get(tag))
      }
      return [file, [...found]]
    }),
  )
}

/** A shortest way from one file to another along imports, both included; null where none leads there. */
export function wayBetween(house, from, to) {
  const cameFrom = new Map([[from, null]])
  for (const file of cameFrom.keys()) {
    if (file === to) {
      const way = []
      for (let at = to; at !== null; at = cameFrom.get(at)) way.unshift(at)
      return way
    }
    for (const next of house.get(file) ?? []) if (!cameFrom.has(next)) cameFrom.set(next, file)
  }
  return null
}

/** The circles of the house: for each file that imports its way back to itself, that way. One circle is told once. */
export function circlesOf(house) {
  const told = new Set()
  return [...house].flatMap(([file, imports]) =>
    imports.flatMap(next => {
      const way = wayBetween(house, next, file)
      if (!way) return []
      const sign = [...way].sort().join(' ')
      if (told.has(sign)) return []
      told.add(sign)
      return [[file, ...way]]
    }),
  )
}
