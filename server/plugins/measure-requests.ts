import { requestSeconds } from '../measures'

/** Measures how long every request takes, and logs those that took long. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('request', event => {
    const begun = performance.now()
    event.node.res.once('finish', () =>
      requestSeconds.observe({ method: event.method, status: String(event.node.res.statusCode) }, (performance.now() - begun) / 1000),
    )
  })
})
