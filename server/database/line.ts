import { Socket } from 'node:net'

/**
 * A line to the database that says once, at once and in one way that it is cut: by closing. Of a line that has an error Postgres.js rejects
 * the statements first and takes it for closed later; a statement that comes in between (one that waits, or the end of a transaction) is
 * never answered, nor any on the same connection after that. That nobody could be reached is told as on any other line.
 */
export class Line extends Socket {
  #isConnected = false

  override emit(event: string | symbol, ...args: unknown[]): boolean {
    if (event === 'connect') this.#isConnected = true
    if (this.#isConnected && event === 'error') return true
    return super.emit(event, ...(this.#isConnected && event === 'close' ? [false] : args))
  }
}

/** Opens a line to where Postgres.js would open one. */
export const lineTo = ({ host, port, path }: { host: string[]; port: number[]; path?: string | null }) =>
  path ? new Line().connect(path) : new Line().connect(port[0]!, host[0]!)
