import * as Y from 'yjs'
import WebSocket from 'ws'
import { tableNames } from '../../core/model'
import { decodeMessage, encodeMessage, liveTable, type LiveMessage } from '../../core/live'
import { port } from './server'

/** Signs in as the demo offers and answers with the cookie. */
export async function cookieOf(email = 'ines@velmoor.example', at = port): Promise<string> {
  const answer = await fetch(`http://127.0.0.1:${at}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ demo: email }),
  })
  if (!answer.ok) throw new Error(`signing in answered ${answer.status}: ${await answer.text()}`)
  return answer.headers
    .getSetCookie()
    .map(cookie => cookie.split(';')[0])
    .join('; ')
}

/** A browser's side of a live document, by protocol alone. */
export interface Editor {
  document: Y.Doc
  /** Changes the document, sends that, and answers with what came of it: true once it is on disk, or the sentence of a refusal. */
  change(act: (document: Y.Doc) => void): Promise<true | string>
  /** Sends an update as it is. */
  send(update: Uint8Array): Promise<true | string>
  raw(bytes: Uint8Array): void
  heard: LiveMessage[]
  closed: Promise<{ code: number; reason: string }>
  leave(): void
}

/** Opens a deck by its socket; resolves when the document has arrived. */
export async function editDeck(deck: string, { email = 'ines@velmoor.example', at = port, cookie = '' } = {}): Promise<Editor> {
  const signedIn = cookie || (await cookieOf(email, at))
  const socket = new WebSocket(`ws://127.0.0.1:${at}/live/${deck}`, { headers: { cookie: signedIn } })
  const document = new Y.Doc()
  for (const table of tableNames) liveTable(document, table)
  const heard: LiveMessage[] = []
  const waiting = new Map<number, (came: true | string) => void>()
  let counted = 0
  const closed = new Promise<{ code: number; reason: string }>(resolve =>
    socket.on('close', (code, reason) => {
      for (const settle of waiting.values()) settle(`the line was cut (${code})`)
      resolve({ code, reason: String(reason) })
    }),
  )
  const ready = new Promise<void>((resolve, reject) => {
    socket.on('error', reject)
    socket.on('message', (bytes: Buffer) => {
      const message = decodeMessage(new Uint8Array(bytes))
      if (!message) return
      heard.push(message)
      if (message.kind === 'update') Y.applyUpdate(document, message.update, 'server')
      else if (message.kind === 'whole') {
        Y.applyUpdateV2(document, message.update, 'server')
        resolve()
      } else if (message.kind === 'kept' || message.kind === 'refused') {
        for (const [number, settle] of waiting) {
          if (message.kind === 'kept' ? number > message.number : number !== message.number) continue
          waiting.delete(number)
          settle(message.kind === 'kept' ? true : message.message)
        }
      }
    })
    socket.on('open', () => socket.send(encodeMessage({ kind: 'state', vector: Y.encodeStateVector(document) })))
  })
  await ready
  const send = (update: Uint8Array) =>
    new Promise<true | string>(resolve => {
      const number = ++counted
      if (socket.readyState !== WebSocket.OPEN) return resolve('the line is cut')
      waiting.set(number, resolve)
      socket.send(encodeMessage({ kind: 'update', number, update }))
    })
  return {
    document,
    heard,
    closed,
    send,
    raw: bytes => socket.send(bytes),
    leave: () => socket.terminate(),
    change(act) {
      const before = Y.encodeStateVector(document)
      let made: Uint8Array | undefined
      document.once('update', (update: Uint8Array) => {
        made = update
      })
      document.transact(() => act(document))
      return send(made ?? Y.encodeStateAsUpdate(document, before))
    },
  }
}
