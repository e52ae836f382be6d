import { randomUUID } from 'node:crypto'

/** This process, among those that serve the same database. */
export const nodeName = randomUUID()
