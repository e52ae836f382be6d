import { createHash } from 'node:crypto'
import { isTableFileName } from '../../core/data'
import type { Outcome } from '../../core/values'
import { refuse } from '../access'
import { addressedSources, dropVersions, isWatching, noteAddress, noteStamp } from '../database/sources'
import { logError } from '../log'
import { nodeName } from '../node-name'
import { standInAddress } from '../stand-in/service'
import { faultOf, keepGoing } from './follow'
import { addVersion, dataByteLimit, makeSource } from './sources'
import { usesOf } from './uses'

/** How long a service may take to answer, ms. */
const patience = 10_000
/** What services that name no file of a known ending answer with. */
const endings: Readonly<Record<string, string>> = {
  'text/csv': '.csv',
  'text/tab-separated-values': '.tsv',
  'application/json': '.json',
  'application/geo+json': '.geojson',
  'application/x-ndjson': '.ndjson',
  'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet': '.xlsx',
}

/** The beginnings of the addresses that this server may ask: those that whoever runs it has named, and the stand-in that ships with it. */
export const services = (): readonly string[] => [
  ...(process.env.HAILBANK_SERVICES ?? '').split(/[\s,]+/).filter(Boolean),
  ...(standInAddress() ?? []),
]

/** An address that may be asked; null of any other: nothing is reached that whoever runs the server has not named. */
function allowed(address: string): URL | null {
  const wanted = URL.parse(address)
  if (!wanted || !/^https?:$/.test(wanted.protocol) || wanted.username || wanted.password) return null
  const isIn = (service: string) => {
    const base = URL.parse(service)
    return (
      base?.origin === wanted.origin &&
      (wanted.pathname === base.pathname || wanted.pathname.startsWith(base.pathname.replace(/\/?$/, '/')))
    )
  }
  return services().some(isIn) ? wanted : null
}

/** Before the stamp of an answer that could not be read: the same one is not read again. */
const unread = 'unread '
/** So many versions of a table that follows an address are held; decks that stay at one of those before have it as long as they do. */
const mostVersions = 100

interface Answered {
  bytes: Uint8Array
  fileName: string
  /** By what the same answer is known again. */
  stamp: string
}
const nothingNew = Symbol('nothing new')

/** The bytes of an answer, as long as they are not too many. */
async function bytesIn(answer: Response): Promise<Uint8Array | null> {
  const parts: Uint8Array[] = []
  let count = 0
  for await (const part of answer.body ?? []) {
    count += part.length
    if (count > dataByteLimit) return null
    parts.push(part)
  }
  return new Uint8Array(Buffer.concat(parts))
}

function fileNameOf({ pathname }: URL, answer: Response): string {
  const name = (pathname.split('/').at(-1) ?? '').replace(/%20/g, ' ').replace(/[^\p{L}\p{N} ._-]/gu, '') || 'table'
  const type = answer.headers.get('content-type')?.split(';')[0]?.trim().toLowerCase() ?? ''
  return isTableFileName(name) ? name : `${name}${endings[type] ?? '.csv'}`
}

/** Whether nobody listens, an answer leads elsewhere, takes too long or breaks off. */
function isAway(error: unknown): boolean {
  const { name, message } = error as Error
  return name === 'TimeoutError' || name === 'AbortError' || (name === 'TypeError' && /^(fetch failed|terminated)$/.test(message))
}

/** Asks a service; what it says of itself as not being there is a sentence. It is led to no other address. */
async function ask(url: URL, before: string | null): Promise<Outcome<Answered | typeof nothingNew>> {
  const fault = (message: string) => ({ ok: false as const, message })
  try {
    const known = before?.replace(unread, '') ?? ''
    const headers: Record<string, string> = known.startsWith('etag ') ? { 'if-none-match': known.slice(5) } : {}
    const answer = await fetch(url, { headers, redirect: 'error', signal: AbortSignal.timeout(patience) })
    if (answer.status === 304) return { ok: true, value: nothingNew }
    if (!answer.ok) return fault(`${url.host} answers with ${answer.status}.`)
    const bytes = await bytesIn(answer)
    if (!bytes) return fault(`It has more than ${dataByteLimit / 1024 / 1024} MB, which is the most that is read.`)
    const tag = answer.headers.get('etag')
    const stamp = tag ? `etag ${tag}` : `sha ${createHash('sha256').update(bytes).digest('hex')}`
    return { ok: true, value: stamp === known ? nothingNew : { bytes, stamp, fileName: fileNameOf(url, answer) } }
  } catch (error) {
    if (!isAway(error)) throw error
    return fault(`${url.host} does not answer as it should.`)
  }
}

const notAllowed = () => {
  const named = services()
  return named.length
    ? `Only addresses that begin with ${named.join(' or ')} may be asked from here.`
    : 'This server may ask no services. Whoever runs it names them in HAILBANK_SERVICES.'
}

/** Makes a table that follows an address; answers with its id. */
export async function makeFollowing(address: string, person: string): Promise<{ id: string }> {
  const url = allowed(address)
  if (!url) return refuse(400, notAllowed())
  const answer = await ask(url, null)
  if (!answer.ok) return refuse(400, answer.message)
  const { bytes, fileName, stamp } = answer.value as Answered
  const { id } = await makeSource(bytes, fileName, person)
  await noteAddress(id, { address: url.href, stamp })
  return { id }
}

type Following = Awaited<ReturnType<typeof addressedSources>>[number]

/** Takes an answer as the next version; one that cannot be read leaves the table as it is, with why, and is not read again. */
async function takeAnswer(source: Following, { bytes, fileName, stamp }: Answered): Promise<void> {
  try {
    await addVersion(source, bytes, fileName, null)
    await noteStamp(source.id, { stamp, fault: null })
  } catch (error) {
    const fault = faultOf(error)
    if (fault === null) throw error
    await noteStamp(source.id, { stamp: unread + stamp, fault })
    return
  }
  const { decks } = await usesOf(source.id)
  await dropVersions(source.id, { keep: mostVersions, stays: decks.flatMap(({ stays }) => stays) })
}

/** Asks the service of a table once. */
async function askFor(source: Following): Promise<void> {
  const url = allowed(source.address)
  const answer = url ? await ask(url, source.stamp) : { ok: false as const, message: notAllowed() }
  if (!answer.ok) await noteStamp(source.id, { stamp: source.stamp, fault: answer.message })
  else if (answer.value !== nothingNew) await takeAnswer(source, answer.value)
  // It answers again, with what is known; what could not be read is as it was.
  else if (source.fileFault && !source.stamp?.startsWith(unread)) await noteStamp(source.id, { stamp: source.stamp, fault: null })
}

/** Asks all services whose tables follow them once; what is new becomes the next version. */
export async function askServices(goesOn: () => Promise<boolean> = async () => true): Promise<void> {
  for (const source of await addressedSources()) {
    if (!(await goesOn())) return
    try {
      await askFor(source)
    } catch (error) {
      // Nothing that the service is to blame for: it is tried again.
      logError(error, 'a service could not be asked', { address: source.address })
    }
  }
}

/** How often services are asked, ms; of several servers one asks. */
const every = 4000
const heard = 30
const goesOn = () => isWatching(nodeName, heard)

let stop = async () => {}
/** Asks services as long as this server runs. */
export function followServices() {
  stop = keepGoing(
    async () => {
      if (services().length && (await goesOn())) await askServices(goesOn)
    },
    { every, what: 'services could not be asked' },
  )
}
export const endServices = () => stop()
