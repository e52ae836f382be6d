import type { H3Event } from 'h3'
import { send, setResponseHeaders, setResponseStatus } from 'h3'
import { isPassing } from './database/connection'
import { log, logError } from './log'
import { answerHeaders } from './policy'
import { UserError } from './user-error'

interface Answered {
  status: number
  message: string
  /** By which it is found in the log; of errors that are not the person's. */
  id?: string
}

/** What a person is told of an error. What is not theirs is logged, once, with an id that they see too. */
function answerTo(
  error: { statusCode?: number; message: string; unhandled?: boolean; cause?: unknown; data?: unknown },
  event: H3Event,
): Answered {
  const cause = error.cause ?? error
  if (cause instanceof UserError) return { status: cause.status, message: cause.message }
  if (!error.unhandled && (error.statusCode ?? 500) < 500) return { status: error.statusCode ?? 400, message: error.message }
  const place = { method: event.method, path: event.path.split('?')[0] }
  if (
    (cause as { code?: string }).code &&
    isPassing(cause) &&
    /CONNECT|CONNECTION|ECONN|^57|^53|^08/.test(String((cause as { code?: string }).code))
  ) {
    log.warn({ ...place, err: cause }, 'the database was away')
    return { status: 503, message: 'The database does not answer at the moment. Nothing was changed; try again in a moment.' }
  }
  if (!error.unhandled) return { status: error.statusCode ?? 500, message: error.message }
  const id = logError(cause, 'a request failed', place)
  return {
    status: 500,
    message:
      `Something went wrong on the server, and it was written down there as ${id}. Try again; if it stays so, tell that number ` +
      'to whoever runs the server.',
    id,
  }
}

export default function handleError(error: Parameters<typeof answerTo>[0], event: H3Event) {
  const { status, message, id } = answerTo(error, event)
  setResponseHeaders(event, {
    ...answerHeaders,
    'content-type': 'application/json',
    'cache-control': 'no-store',
    ...(id ? { 'x-error-id': id } : {}),
  })
  setResponseStatus(event, status)
  return send(event, JSON.stringify({ error: true, statusCode: status, message, data: { message, ...(id ? { id } : {}) } }))
}
