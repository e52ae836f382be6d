import { randomUUID } from 'node:crypto'
import pino from 'pino'

/**
 * What happens, one JSON object a line: the level, the time, what it is about and, for errors, an id that the person who was met by
 * it sees too. LOG_LEVEL says from which level on (`info` unless set).
 */
export const log = pino({
  level: process.env.LOG_LEVEL ?? (process.env.VITEST ? 'silent' : 'info'),
  base: { process: process.pid },
  timestamp: pino.stdTimeFunctions.isoTime,
})

/** Logs an error that is not a person's, once, and answers with the id it is found by. */
export function logError(error: unknown, about: string, context: Readonly<Record<string, unknown>> = {}): string {
  const id = randomUUID().slice(0, 8)
  log.error({ id, ...context, err: error }, about)
  return id
}
