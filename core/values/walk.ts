/** Calls for every object within a value, the value itself first. */
export function eachObject(value: unknown, visit: (value: Record<string, unknown>) => void) {
  if (typeof value !== 'object' || value === null) return
  if (Array.isArray(value)) {
    for (const item of value) eachObject(item, visit)
    return
  }
  visit(value as Record<string, unknown>)
  for (const key in value) eachObject((value as Record<string, unknown>)[key], visit)
}

/**
 * A value rebuilt with some of the values within it exchanged; the very same one where none was. `exchange` answers undefined for what
 * stays.
 */
export function exchanged(value: unknown, exchange: (value: Record<string, unknown>) => unknown): unknown {
  if (Array.isArray(value)) {
    const next = value.map(item => exchanged(item, exchange))
    return next.every((item, index) => item === value[index]) ? value : next
  }
  if (typeof value !== 'object' || value === null) return value
  const own = exchange(value as Record<string, unknown>)
  if (own !== undefined) return own
  let next: Record<string, unknown> | null = null
  for (const [key, item] of Object.entries(value)) {
    const made = exchanged(item, exchange)
    if (made !== item) (next ??= { ...(value as Record<string, unknown>) })[key] = made
  }
  return next ?? value
}
