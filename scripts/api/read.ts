import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { createJiti } from 'jiti'
import ts from 'typescript'
import { z } from 'zod'

/** One HTTP route, as its own file says it. */
export interface Route {
  method: string
  /** With its parameters in braces: `/api/decks/{id}`. */
  url: string
  /** What it does, in the words above its handler; empty where none stand there. */
  says: string
  /** Who may ask. */
  who: string
  /** What it reads, and by which schema, as JSON Schema. */
  reads: { from: 'body' | 'query'; schema: JsonSchema }[]
}
export interface JsonSchema {
  type?: string
  properties?: Record<string, JsonSchema>
  required?: string[]
  items?: JsonSchema
  enum?: unknown[]
  const?: unknown
  anyOf?: JsonSchema[]
  oneOf?: JsonSchema[]
  minLength?: number
  maxLength?: number
  minimum?: number
  maximum?: number
  exclusiveMinimum?: number
  minItems?: number
  maxItems?: number
  default?: unknown
  format?: string
}

/** The calls by which a handler asks who is there, and whom each lets in. */
const guards: readonly (readonly [RegExp, string])[] = [
  [/\brequireViewerOrScreen\(/, 'whoever is signed in, or a screen by its token'],
  [/\brequireEditor\(|\bjobOf\(event, true\)/, 'editors and admins'],
  [/\brequireAdmin\(/, 'admins'],
  [/\brequireScreen\(/, 'a screen, by its token'],
  [/\brequireViewer\(|\bjobOf\(event\)|\bbearerByHeader\(/, 'whoever is signed in'],
]

function* filesIn(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
    const place = path.join(folder, entry.name)
    if (entry.isDirectory()) yield* filesIn(place)
    else if (/\.ts$/.test(entry.name) && !/\.test\.ts$/.test(entry.name)) yield place
  }
}

/** Method and address by the place of a file, as the server's framework reads it. */
function addressOf(file: string): { method: string; url: string } {
  const named = /^(.*?)(?:\.(get|post|put|patch|delete))?\.ts$/.exec(path.relative('server', file))!
  const url = `/${named[1]!}`
    .replace(/^\/routes/, '')
    .replace(/\/index$/, '')
    .replaceAll(/\[(?:\.\.\.)?(\w+)\]/g, '{$1}')
  return { method: (named[2] ?? 'get').toUpperCase(), url }
}

/** The words of a comment, without its signs. */
const wordsOf = (comment: string) =>
  comment
    .replace(/^\/\*\*|\*\/$/g, '')
    .split('\n')
    .map(line => line.replace(/^\s*\*\s?/, '').trim())
    .join(' ')
    .trim()

/** The schemas that a route reads by, as source, in order. */
function schemasIn(source: ts.SourceFile): { from: 'body' | 'query'; text: string }[] {
  const found: { from: 'body' | 'query'; text: string }[] = []
  const visit = (node: ts.Node) => {
    if (ts.isCallExpression(node) && node.expression.getText(source) === 'readAs') {
      const [schema, value] = node.arguments.map(argument => argument.getText(source))
      const from = /readBody/.test(value!) ? 'body' : /getQuery/.test(value!) ? 'query' : null
      if (from) found.push({ from, text: schema! })
    }
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

/**
 * A module that has a route's imports and constants, and gives its schemas away. What the framework would import by itself is only used
 * inside handlers, which are left out.
 */
function moduleOf(file: string, source: ts.SourceFile, schemas: readonly string[]): string {
  const kept = source.statements.filter(statement => !ts.isExportAssignment(statement)).map(statement => statement.getFullText(source))
  const absolute = kept.join('').replaceAll(/from '(\.{1,2}\/[^']+)'/g, (_, to: string) => `from '${path.resolve(path.dirname(file), to)}'`)
  return `${absolute}\nexport const schemas = [${schemas.join(', ')}]\n`
}

/** All routes of the server, by address. */
export async function readRoutes(): Promise<Route[]> {
  const folder = path.resolve('node_modules/.cache/hailbank-api')
  mkdirSync(folder, { recursive: true })
  const jiti = createJiti(path.resolve('scripts/api/read.ts'), { fsCache: false, moduleCache: true })
  const routes: Route[] = []
  try {
    for (const [index, file] of [...filesIn('server/api'), ...filesIn('server/routes')].entries()) {
      const text = readFileSync(file, 'utf8')
      const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true)
      const handler = source.statements.find(ts.isExportAssignment)
      const comment = handler && ts.getLeadingCommentRanges(text, handler.getFullStart())?.at(-1)
      const asked = schemasIn(source)
      let schemas: z.ZodType[] = []
      if (asked.length) {
        const made = path.join(folder, `route-${index}.ts`)
        writeFileSync(
          made,
          moduleOf(
            file,
            source,
            asked.map(one => one.text),
          ),
        )
        schemas = ((await jiti.import(made)) as { schemas: z.ZodType[] }).schemas
      }
      const guard = guards.find(([call]) => call.test(text))
      routes.push({
        ...addressOf(file),
        says: comment ? wordsOf(text.slice(comment.pos, comment.end)) : '',
        who: guard?.[1] ?? 'anybody',
        reads: asked.map(({ from }, at) => ({
          from,
          schema: z.toJSONSchema(schemas[at]!, { io: 'input', unrepresentable: 'any' }) as JsonSchema,
        })),
      })
    }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
  return routes.sort((a, b) => (a.url === b.url ? a.method.localeCompare(b.method) : a.url < b.url ? -1 : 1))
}
