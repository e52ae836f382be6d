import { readFileSync } from 'node:fs'
import { beforeAll, describe, expect, it } from 'vitest'
import { readRoutes, type Route } from './read'
import { writeApi } from './write'

describe('the HTTP routes', () => {
  let routes: Route[]
  beforeAll(async () => {
    routes = await readRoutes()
  })
  const route = (method: string, url: string) => routes.find(one => one.method === method && one.url === url)!

  it('stand in docs/api.md as they are; npm run api writes it anew', async () => {
    expect(readFileSync('docs/api.md', 'utf8')).toBe(await writeApi())
  })

  it('each say what they do', () => {
    expect(routes.filter(({ says }) => !says).map(({ method, url }) => `${method} ${url}`)).toEqual([])
  })

  it('are told with who may ask, and the fields that they read', () => {
    expect(routes.length).toBeGreaterThan(60)
    expect(route('GET', '/api/decks').who).toBe('whoever is signed in')
    expect(route('PUT', '/api/screens/{id}/loop')).toMatchObject({ who: 'editors and admins', reads: [{ from: 'body' }] })
    expect(Object.keys(route('POST', '/api/decks').reads[0]!.schema.properties!)).toEqual(expect.arrayContaining(['title', 'purpose']))
  })

  it('ask nobody only where that is meant', () => {
    expect(routes.filter(({ who }) => who === 'anybody').map(({ method, url }) => `${method} ${url}`)).toEqual([
      'GET /api/health',
      'POST /api/password-link',
      'DELETE /api/session',
      'POST /api/session',
      'GET /api/welcome',
      'GET /fonts/{folder}/{file}',
      'GET /metrics',
    ])
  })
})
