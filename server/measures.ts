import { monitorEventLoopDelay } from 'node:perf_hooks'
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client'

/** What this process measures of itself, for /metrics in the format of OpenMetrics. */
export const registry = new Registry()
collectDefaultMetrics({ register: registry, prefix: 'hailbank_' })

export const requestSeconds = new Histogram({
  name: 'hailbank_request_seconds',
  help: 'How long requests took, seconds',
  labelNames: ['method', 'status'],
  buckets: [0.01, 0.05, 0.2, 1, 5, 30],
  registers: [registry],
})
export const openDecks = new Gauge({ name: 'hailbank_open_decks', help: 'Live documents that are open here', registers: [registry] })
export const connectedBrowsers = new Gauge({
  name: 'hailbank_connected_browsers',
  help: 'Sockets on live documents',
  registers: [registry],
})

const delay = monitorEventLoopDelay({ resolution: 10 })
delay.enable()
let last = { mean: 0, max: 0 }
const milliseconds = (nanoseconds: number) => (Number.isFinite(nanoseconds) ? Math.round(nanoseconds / 1e5) / 10 : 0)
setInterval(() => {
  last = { mean: milliseconds(delay.mean), max: milliseconds(delay.max) }
  delay.reset()
}, 60_000).unref()

/** How long this process kept others waiting, ms: on average and at most, of the last minute or of what has passed of this one. */
export const loopDelay = () => ({ mean: Math.max(last.mean, milliseconds(delay.mean)), max: Math.max(last.max, milliseconds(delay.max)) })
