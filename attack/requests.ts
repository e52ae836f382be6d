import { cookieOf } from '../tests/support/live'
import { routes } from '../tests/support/routes'
import { answers } from '../tests/support/server'
import { address, type Attack } from './attack'

const deep = `${'['.repeat(20_000)}${']'.repeat(20_000)}`
const bodies: readonly string[] = [
  '',
  '{',
  'null',
  '[]',
  '0',
  '"x"',
  '{"__proto__":{"admin":true}}',
  '{"constructor":{"prototype":{}}}',
  deep,
  '\u0000',
  '{"title":"\\u0000"}',
  `{"title":"${'x'.repeat(60_000)}"}`,
  '{"title":{"$gt":""}}',
  '{"email":["a"],"password":{}}',
  '{"items":[{"deck":"../../etc/passwd"}]}',
  '{"words":[{"font":{"family":"a","weight":1e309,"italic":true},"text":"\\ud800"}]}',
  '{"deck":null,"loop":-1,"role":"root"}',
]
const ids = [
  'demo-hall',
  '..%2f..%2fetc%2fpasswd',
  '%00',
  '__proto__',
  'x'.repeat(3000),
  "'; drop table decks; --",
  '00000000-0000-0000-0000-000000000000',
  '%F0%9F%98%80',
  '-1',
]

export const malformed: Attack = {
  name: 'requests',
  about: 'malformed requests on all routes, as an admin, a viewer and a stranger',
  async run() {
    const failures: string[] = []
    let tried = 0
    const cookies = { admin: await cookieOf(), stranger: '' }
    for (const { method, url } of routes()) {
      // What ends the very session that is used, or takes the demo apart, is tried with names that are not there.
      const names = method === 'DELETE' || url.includes('[') ? ids.slice(method === 'GET' ? 0 : 1) : ['']
      for (const name of names) {
        for (const body of method === 'GET' || method === 'DELETE' ? [''] : bodies) {
          for (const [who, cookie] of Object.entries(cookies)) {
            if (url === '/api/session' && method === 'DELETE') continue
            tried++
            const answer = await fetch(
              address(url.replace(/\[\w+\]/g, name)) + (method === 'GET' ? '?width=1e999&at=NaN&words=%00&find=%25&deck=..&number=x' : ''),
              {
                method,
                headers: { cookie, 'content-type': 'application/json' },
                ...(method === 'GET' ? {} : { body }),
                redirect: 'manual',
                signal: AbortSignal.timeout(30_000),
              },
            ).catch(error => error as Error)
            if (answer instanceof Error) failures.push(`${method} ${url} (${name}) as ${who}: ${answer.message}`)
            else if (answer.status >= 500)
              failures.push(
                `${method} ${url} (${name.slice(0, 30)}) with ${JSON.stringify(body.slice(0, 40))} as ${who}: ${answer.status} ` +
                  `${(await answer.text()).slice(0, 160)}`,
              )
          }
        }
      }
    }
    if (!(await answers())) failures.push('the server does not answer any more')
    return { tried, failures }
  },
}
