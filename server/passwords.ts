import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import { z } from 'zod'

/** A password that can be chosen. */
export const passwordSchema = z.string().min(10, 'A password has at least 10 letters').max(1000)

/** Cost of scrypt: N = 2^15, r = 8, p = 3 (OWASP password storage, 2024). */
const cost = { N: 2 ** 15, r: 8, p: 3, maxmem: 128 * 2 ** 20 }
const length = 64

const derive = (password: string, salt: Buffer) =>
  new Promise<Buffer>((resolve, reject) => {
    scrypt(password.normalize('NFKC'), salt, length, cost, (error, key) => (error ? reject(error) : resolve(key)))
  })

/** A salted scrypt hash, as `scrypt$<salt>$<key>` in base64url. */
export async function hashOf(password: string): Promise<string> {
  const salt = randomBytes(16)
  return `scrypt$${salt.toString('base64url')}$${(await derive(password, salt)).toString('base64url')}`
}

/** Whether a password is the one that a hash was made of; takes the same time either way. */
export async function isPassword(password: string, hash: string): Promise<boolean> {
  const [kind, salt, key] = hash.split('$')
  if (kind !== 'scrypt' || !salt || !key) return false
  const expected = Buffer.from(key, 'base64url')
  const derived = await derive(password, Buffer.from(salt, 'base64url'))
  return expected.length === derived.length && timingSafeEqual(expected, derived)
}
