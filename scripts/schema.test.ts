import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

describe('the published schemas', () => {
  it('are the ones that the code checks by', () => {
    const files = ['docs/deck.schema.json', 'docs/table.schema.json']
    const published = files.map(file => readFileSync(file, 'utf8'))
    execFileSync('node', ['--import', 'jiti/register', 'scripts/write-schema.ts'])
    expect(files.map(file => readFileSync(file, 'utf8'))).toEqual(published)
  })
})
