/** Control characters (all but tab and line feed) and halves of surrogate pairs: no writing system has them, and databases refuse them. */
// eslint-disable-next-line no-control-regex
const unfit = /[\u0000-\u0008\u000B-\u001F\u007F-\u009F]|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g

/** A text without control characters; carriage returns become line feeds. */
export const cleanText = (text: string) => text.replace(/\r\n?/g, '\n').replace(unfit, '')

/** Whether a text holds what `cleanText` would take out. */
const isClean = (text: string) => text.search(unfit) === -1

/** A run of text of which nothing is left: texts have none such. */
const isEmptyRun = (item: unknown) =>
  typeof item === 'object' && item !== null && (item as { type?: unknown }).type === 'text' && (item as { text?: unknown }).text === ''

/**
 * A plain value with every text in it cleaned; the very same value where nothing was to be cleaned. Keys that would reach an object's
 * prototype are left out.
 */
export function cleanValue<T>(value: T): T {
  if (typeof value === 'string') return (isClean(value) ? value : cleanText(value)) as T
  if (Array.isArray(value)) {
    let cleaned: unknown[] | undefined
    for (const [index, item] of value.entries()) {
      const next: unknown = cleanValue(item)
      if (next !== item) (cleaned ??= [...value])[index] = next
    }
    return (cleaned ? cleaned.filter(item => !isEmptyRun(item)) : value) as T
  }
  if (typeof value !== 'object' || value === null) return value
  let cleaned: Record<string, unknown> | undefined
  for (const [key, item] of Object.entries(value)) {
    const next: unknown = key === '__proto__' ? undefined : cleanValue(item)
    if (next === item) continue
    cleaned ??= { ...(value as Record<string, unknown>) }
    if (key === '__proto__') delete cleaned[key]
    else cleaned[key] = next
  }
  return (cleaned ?? value) as T
}

/** Records are flat, and their texts few levels deep: what nests deeper than this is no deck. */
const mostDepth = 40

/** Whether a plain value nests deeper than any record does. Looked at without recursion, so that no depth can be too much. */
export function isTooDeep(value: unknown): boolean {
  let level: unknown[] = [value]
  for (let depth = 0; level.length; depth++) {
    if (depth > mostDepth) return true
    const next: unknown[] = []
    for (const item of level) {
      if (typeof item !== 'object' || item === null) continue
      for (const inner of Array.isArray(item) ? item : Object.values(item))
        if (typeof inner === 'object' && inner !== null) next.push(inner)
    }
    level = next
  }
  return false
}
