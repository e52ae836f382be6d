import { createHash } from 'node:crypto'
import { createReadStream } from 'node:fs'

/** The SHA-256 of a file on this machine, as hex. */
export function hashOfFile(file: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const sum = createHash('sha256')
    createReadStream(file)
      .on('data', part => sum.update(part))
      .on('error', reject)
      .on('end', () => resolve(sum.digest('hex')))
  })
}
