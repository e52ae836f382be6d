import { describe, expect, it } from 'vitest'
import { expected, parseJson } from './outcome'

describe('what is caught', () => {
  it('is taken as nothing where it is expected by name, code or status, and goes through where it is not', async () => {
    const of = (fields: object) => Promise.reject(Object.assign(new Error('no'), fields))
    expect(await of({ name: 'AbortError' }).catch(expected('AbortError'))).toBeNull()
    expect(await of({ code: 'ENOENT' }).catch(expected('ENOENT', 'EPERM'))).toBeNull()
    expect(await of({ status: 404 }).catch(expected(404))).toBeNull()
    await expect(of({ name: 'TypeError' }).catch(expected('AbortError', 404))).rejects.toThrow('no')
    await expect(Promise.reject(undefined).catch(expected('AbortError'))).rejects.toBeUndefined()
  })

  it('of JSON that is none is undefined, and null stays what it is', () => {
    expect([parseJson('{'), parseJson('null'), parseJson('[1]')]).toEqual([undefined, null, [1]])
  })
})
