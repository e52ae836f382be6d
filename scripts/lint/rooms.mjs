import path from 'node:path'
import { orderOfCore, readHouse, roomOfCore, rooms, targetOf, wayBetween } from '../house/graph.mjs'

const bans = {
  core: /^(vue|@vue\/|nuxt|#app|#imports|pinia|h3|nitropack|postgres|jsdom|sharp|ws$|node:|fs$|path$|crypto$)/,
  stage: /^(nuxt|#app|#imports|pinia|@nuxt\/|h3|postgres|node:)/,
  player: /^(nuxt|#app|#imports|pinia|@nuxt\/|h3|postgres|node:)/,
}

let house
/** The graph of the house as it lies on the disk, read once for all files of a run. */
const houseIn = root => (house ??= readHouse(root))

/** The folder of core whose index a file is reached through from outside. */
function doorOf(to) {
  return to[1] === 'formats' || (to[1] === 'layouts' && to[2] === 'catalogue') ? to.slice(0, 3) : to.slice(0, 2)
}

/**
 * Holds who may import whom: the rooms of the house, the order of the rooms of core, that a room of core is reached through its door, and
 * that no file imports its way back to itself.
 */
export const roomsRule = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      room: '{{from}}/ may not import from {{to}}/.',
      ban: '{{from}}/ may not import “{{source}}”.',
      door: 'Reach {{door}} through its index, not past it.',
      upwards: 'core/{{from}} may not import from core/{{to}}, which stands above it. The order is in scripts/house/graph.mjs.',
      unplaced: 'core/{{room}} has no place in the order of the rooms of core. Give it one in scripts/house/graph.mjs.',
      circle: 'This closes a circle: {{way}}.',
    },
  },
  create(context) {
    const root = context.cwd
    const file = path.relative(root, context.filename).split(path.sep).join('/')
    const from = file.split('/')
    const isTest = /\.(test|spec)\.ts$/.test(file)
    const report = (node, messageId, data) => context.report({ node, messageId, data })

    const checkOrder = (node, target) => {
      const [own, theirs] = [roomOfCore(file), roomOfCore(`${target}/index.ts`)]
      if (isTest || own === null || theirs === null || own === theirs) return
      const [at, to] = [orderOfCore.indexOf(own), orderOfCore.indexOf(theirs)]
      if (at < 0 || to < 0) report(node, 'unplaced', { room: at < 0 ? own : theirs })
      else if (to > at) report(node, 'upwards', { from: own, to: theirs })
    }
    const checkDoor = (node, target) => {
      const to = target.split('/')
      if (to[0] !== 'core') return
      const door = doorOf(to)
      const own = from[0] === 'core' && door.every((part, index) => from[index] === part)
      if (!own && to.length > door.length) report(node, 'door', { door: door.join('/') })
    }
    const checkCircle = (node, target) => {
      const graph = houseIn(root)
      const next = [target, `${target}.ts`, `${target}/index.ts`, `${target}.vue`, `${target}.mjs`].find(one => graph.has(one))
      const way = !isTest && next !== undefined && next !== file ? wayBetween(graph, next, file) : null
      if (way) report(node, 'circle', { way: [file, ...way].join(' → ') })
    }
    const check = node => {
      const source = node.source?.value
      const room = from[0]
      if (typeof source !== 'string' || !(room in rooms)) return
      if (bans[room]?.test(source) && !isTest) report(node, 'ban', { from: room, source })
      const target = targetOf(source, file)
      if (target === null) return
      const to = target.split('/')[0]
      if (to !== room && to in rooms && !rooms[room].includes(to)) report(node, 'room', { from: room, to })
      checkOrder(node, target)
      checkDoor(node, target)
      checkCircle(node, target)
    }
    return { ImportDeclaration: check, ExportNamedDeclaration: check, ExportAllDeclaration: check, ImportExpression: check }
  },
}
