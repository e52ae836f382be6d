import { group } from 'd3-array'
import { readRoutes, type JsonSchema, type Route } from './read'

const bounds = (least: number | undefined, most: number | undefined, unit: string) =>
  least !== undefined && most !== undefined
    ? ` of ${least} to ${most.toLocaleString('en')}${unit}`
    : most !== undefined
      ? ` of at most ${most.toLocaleString('en')}${unit}`
      : least !== undefined
        ? ` of at least ${least}${unit}`
        : ''
/** A bound that is the largest whole number says nothing. */
const told = (bound: number | undefined) => (bound !== undefined && Math.abs(bound) >= Number.MAX_SAFE_INTEGER ? undefined : bound)

/** What a value has to be, in words. Objects deeper than `depth` are only named. */
function typeWords(schema: JsonSchema, depth = 2): string {
  if (schema.const !== undefined) return `\`${JSON.stringify(schema.const)}\``
  if (schema.enum) return schema.enum.map(value => `\`${String(value)}\``).join(', ')
  const either = schema.anyOf ?? schema.oneOf
  if (either) return [...new Set(either.map(one => typeWords(one, depth)))].join(' or ')
  if (schema.type === 'null') return '`null`'
  if (schema.type === 'string')
    return `${schema.format ? `${schema.format} ` : ''}text${bounds(schema.minLength, schema.maxLength, ' letters')}`
  if (schema.type === 'integer' || schema.type === 'number')
    return (
      (schema.type === 'integer' ? 'whole number' : 'number') +
      bounds(told(schema.minimum ?? schema.exclusiveMinimum), told(schema.maximum), '')
    )
  if (schema.type === 'boolean') return '`true` or `false`'
  if (schema.type === 'array')
    return `list${bounds(schema.minItems, schema.maxItems, '')}, each ${typeWords(schema.items ?? {}, depth - 1)}`
  if (schema.properties && depth > 0)
    return `{ ${Object.entries(schema.properties)
      .map(
        ([name, field]) =>
          `\`${name}\`${schema.required?.includes(name) && field.default === undefined ? '' : '?'}: ${typeWords(field, depth - 1)}`,
      )
      .join('; ')} }`
  return schema.type === 'object' ? 'an object' : 'anything'
}

/** A schema's fields, a line each. */
const fieldLines = (schema: JsonSchema) =>
  schema.properties
    ? Object.entries(schema.properties).map(([name, field]) => {
        const needed = schema.required?.includes(name) && field.default === undefined
        const usual = field.default === undefined || field.default === '' ? '' : `, else \`${JSON.stringify(field.default)}\``
        return `- \`${name}\`${needed ? '' : ' (may be left out)'}: ${typeWords(field)}${usual}`
      })
    : [`- ${typeWords(schema)}`]

function routeLines(route: Route): string[] {
  return [
    `### \`${route.method} ${route.url}\``,
    '',
    route.says,
    '',
    `For ${route.who}.`,
    ...route.reads.flatMap(({ from, schema }) => ['', `Reads from its ${from}:`, '', ...fieldLines(schema)]),
    '',
  ]
}

/** docs/api.md, as the routes are now. */
export async function writeApi(): Promise<string> {
  const routes = await readRoutes()
  const rooms = group(routes, ({ url }) =>
    url
      .split('/')
      .slice(0, url.startsWith('/api/') ? 3 : 2)
      .join('/'),
  )
  const lines = [
    '# The HTTP routes',
    '',
    'Made by `npm run api` from the routes’ own files: what each does, who may ask, and the schema that it reads by. What a schema does',
    'not allow is answered with 400 and one sentence on what is wrong; every refusal has its sentence in `data.message`. Sessions are a cookie',
    'that `POST /api/session` sets; a screen sends `Authorization: Bearer` and its token. Decks themselves are edited over the socket at',
    '`/live/{deck}` (`core/live/protocol.ts`).',
    '',
    ...[...rooms].flatMap(([room, list]) => [`## \`${room}\``, '', ...list.flatMap(routeLines)]),
  ]
  return `${lines.join('\n').trim()}\n`
}
