/** A value, or a sentence for the person who asked for it. */
export type Outcome<T> = { ok: true, value: T } | { ok: false, message: string }

export const failed = (message: string): { ok: false, message: string } => ({ ok: false, message })
