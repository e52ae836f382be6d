import { describe, expect, it } from 'vitest'
import { hashOf, isPassword } from './passwords'

describe('passwords', () => {
  it('are known again, whichever way their letters are composed, and no other is', async () => {
    const hash = await hashOf('Größe am Kai')
    expect(await isPassword('Gro\u0308ße am Kai'.normalize('NFD'), hash)).toBe(true)
    expect(await isPassword('Größe am kai', hash)).toBe(false)
  })

  it('are never kept the same twice, nor readable', async () => {
    const [a, b] = await Promise.all([hashOf('harbour-demo'), hashOf('harbour-demo')])
    expect(a).not.toBe(b)
    expect(a).not.toContain('harbour')
  })

  it.each(['', 'scrypt$', 'plain$x$y', 'scrypt$AAAA$AAAA'])('no password opens a damaged hash: “%s”', async hash =>
    expect(await isPassword('anything', hash)).toBe(false),
  )
})
