/** The free ports at which servers for end-to-end tests may stand, one for each core, four at most: `4690,4730`. */
import os from 'node:os'
import { freePort } from '../postgres.mjs'

const ports = []
while (ports.length < Math.min(4, os.availableParallelism())) ports.push(await freePort(4690 + ports.length * 50))
console.log(ports.join(','))
