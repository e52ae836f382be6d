import path from 'node:path'

/** The rooms of the house, from the ground up: a file may import from its own room and those it is listed with. */
const rooms = {
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
  scripts: ['core', 'server', 'demo'],
}

const coreBans = /^(vue|@vue\/|nuxt|#app|#imports|pinia|h3|nitropack|postgres|jsdom|sharp|ws$|node:|fs$|path$|crypto$)/
const bans = {
  core: coreBans,
  stage: /^(nuxt|#app|#imports|pinia|@nuxt\/|h3|postgres|node:)/,
  player: /^(nuxt|#app|#imports|pinia|@nuxt\/|h3|postgres|node:)/,
}
const aliases = { '#core': 'core', '#stage': 'stage', '#player': 'player', '~~': '.', '@@': '.', '~': 'app', '@': 'app' }

function targetOf(source, file, root) {
  if (source.startsWith('.')) return path.relative(root, path.resolve(path.dirname(file), source))
  const alias = Object.keys(aliases).find(name => source === name || source.startsWith(`${name}/`))
  return alias ? path.normalize(path.join(aliases[alias], source.slice(alias.length))) : null
}

/** Holds "who may import whom", and that a folder of core is reached through its door, index.ts. */
export const roomsRule = {
  meta: { type: 'problem', schema: [], messages: { room: '{{from}}/ may not import from {{to}}/.', ban: '{{from}}/ may not import “{{source}}”.', door: 'Reach {{door}} through its index, not past it.' } },
  create(context) {
    const root = context.cwd
    const file = context.filename
    const from = path.relative(root, file).split(path.sep)
    const isTest = /\.test\.ts$/.test(file)
    const check = node => {
      const source = node.source?.value
      if (typeof source !== 'string') return
      const room = from[0]
      if (!(room in rooms)) return
      if (bans[room]?.test(source) && !isTest) context.report({ node, messageId: 'ban', data: { from: room, source } })
      const target = targetOf(source, file, root)
      if (target === null) return
      const to = target.split(path.sep)
      if (to[0] !== room && to[0] in rooms && !rooms[room].includes(to[0])) context.report({ node, messageId: 'room', data: { from: room, to: to[0] } })
      if (to[0] !== 'core') return
      // The catalogue of layouts is a door of its own: the deck arranges a slide's items by it, and layouts are made of decks.
      const door = to[1] === 'formats' || (to[1] === 'layouts' && to[2] === 'catalogue') ? to.slice(0, 3) : to.slice(0, 2)
      const own = room === 'core' && door.every((part, index) => from[index] === part)
      if (!own && to.length > door.length) context.report({ node, messageId: 'door', data: { door: door.join('/') } })
    }
    return { ImportDeclaration: check, ExportNamedDeclaration: check, ExportAllDeclaration: check, ImportExpression: check }
  },
}
