import { writeFileSync } from 'node:fs'
import { writeApi } from './api/write'

writeFileSync('docs/api.md', await writeApi())
