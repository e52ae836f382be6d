/** A value, or a sentence for the person who asked for it. */
export type Outcome<T> = { ok: true; value: T } | { ok: false; message: string }

export const failed = (message: string): { ok: false; message: string } => ({ ok: false, message })

/**
 * For the `catch` of a promise: takes errors of these names (`AbortError`), codes (`ENOENT`) or HTTP statuses (404) as nothing, which is
 * then null, and lets all others through.
 */
export const expected =
  (...names: readonly (string | number)[]) =>
  (error: unknown): null => {
    const { name, code, status } = (error ?? {}) as { name?: string; code?: string; status?: number }
    if ([name, code, status].some(one => one !== undefined && names.includes(one))) return null
    throw error
  }

/** A text as the value that it is in JSON; undefined where it is none. */
export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    if (error instanceof SyntaxError) return undefined
    throw error
  }
}
