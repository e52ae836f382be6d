import { randomBytes } from 'node:crypto'

/** A fresh id of 16 letters and digits. */
export const newId = () => randomBytes(12).toString('base64url').replace(/[-_]/g, 'x')

/** A secret that nobody guesses, 43 letters. */
export const newToken = () => randomBytes(32).toString('base64url')
