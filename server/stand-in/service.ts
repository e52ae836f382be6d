import { createHash } from 'node:crypto'
import { createServer, type Server } from 'node:http'
import { logError } from '../log'

/** What the harbour counts anew so often, ms. */
const counts = 20_000
const routes = [
  { route: 'Astrel', aDay: 3100 },
  { route: 'Quill', aDay: 4300 },
  { route: 'Low Sands', aDay: 1450 },
  { route: 'Port Harrow', aDay: 2250 },
]
const berths = ['Customs Quay', 'Netloft Pier', 'Lantern Steps', 'Old Slip']

/** A number from 0 to 1 that is the same for the same words. */
const chance = (words: string) => createHash('sha256').update(words).digest().readUInt32BE(0) / 2 ** 32

/** Riders of a day so far, by route, as they are counted at a time. */
function riders(now: number): string {
  const since = new Date(now).setUTCHours(0, 0, 0, 0)
  const share = (now - since) / 86_400_000
  const lines = routes.map(({ route, aDay }) => {
    const own = chance(`${route} ${Math.floor(now / counts)}`)
    return `${route},${Math.round(aDay * share + own * aDay * 0.02)},${Math.round(aDay * 0.96)}`
  })
  return ['route,riders so far,riders on an ordinary day', ...lines].join('\r\n')
}

/** What lies at the berths at a time. */
const calls = (now: number) =>
  JSON.stringify(
    berths.map(berth => ({
      berth,
      boats: Math.floor(chance(`${berth} ${Math.floor(now / counts)}`) * 6),
      'metres free': Math.round(20 + chance(`${berth} free ${Math.floor(now / counts)}`) * 140),
    })),
  )

const served: Readonly<Record<string, { type: string; words(now: number): string }>> = {
  '/harbour/riders-today.csv': { type: 'text/csv; charset=utf-8', words: riders },
  '/harbour/berths.json': { type: 'application/json', words: calls },
}

let standIn: Server | undefined
let address: string | null = null
/** Where the stand-in for a service answers; null where it does not run. */
export const standInAddress = () => (address ? [`${address}/harbour/`] : null)

/** Starts the stand-in for a service that tables can follow: made-up counts of the harbour, other ones every twenty seconds. */
export function startStandIn(port: number, clock: () => number = Date.now): Promise<string | null> {
  const server = createServer((request, response) => {
    const found = served[request.url?.split('?')[0] ?? '']
    if (!found) return void response.writeHead(404, { 'content-type': 'text/plain' }).end('There is no such count.')
    const now = Math.floor(clock() / counts) * counts
    const words = found.words(now)
    const tag = `"${createHash('sha256').update(words).digest('hex').slice(0, 16)}"`
    if (request.headers['if-none-match'] === tag) return void response.writeHead(304).end()
    response.writeHead(200, { 'content-type': found.type, etag: tag }).end(words)
  })
  return new Promise(resolve => {
    server.on('error', error => {
      logError(error, 'the stand-in for a service does not answer', { port })
      resolve(null)
    })
    server.listen(port, '127.0.0.1', () => {
      standIn = server
      const own = server.address()
      address = `http://127.0.0.1:${typeof own === 'object' && own ? own.port : port}`
      resolve(address)
    })
  })
}
export async function endStandIn() {
  address = null
  standIn?.closeAllConnections()
  await new Promise<void>(resolve => (standIn ? standIn.close(() => resolve()) : resolve()))
  standIn = undefined
}
