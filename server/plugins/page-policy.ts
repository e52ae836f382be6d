import { createHash } from 'node:crypto'
import { contentPolicy } from '../policy'

/** Names the sums of the scripts that stand in a page's own text, so that no other one runs. */
export default defineNitroPlugin(nitro => {
  const sums = new Map<string, string>()
  const sumOf = (script: string) => {
    let sum = sums.get(script)
    if (!sum) sums.set(script, (sum = `sha256-${createHash('sha256').update(script).digest('base64')}`))
    return sum
  }
  nitro.hooks.hook('render:response', response => {
    const headers = (response.headers ??= {})
    for (const name of Object.keys(headers)) if (name.toLowerCase() === 'x-powered-by') Reflect.deleteProperty(headers, name)
    const scripts = [
      ...String(response.body).matchAll(/<script(?![^>]*\ssrc=)(?![^>]*type="application\/json")[^>]*>([\s\S]*?)<\/script>/g),
    ].map(([, script]) => sumOf(script!))
    headers['content-security-policy'] = contentPolicy(scripts)
  })
})
