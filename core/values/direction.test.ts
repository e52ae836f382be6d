import { expect, it } from 'vitest'
import { runsLeftward } from './index'

it.each([
  ['ar', true],
  ['he-IL', true],
  ['fa', true],
  ['ur', true],
  ['yi', true],
  ['ckb', true],
  ['pa-PK', true],
  ['en', false],
  ['pa', false],
  ['az', false],
  ['az-Arab', true],
  ['ar-Latn', false],
  ['ja', false],
  ['no language', false],
])('%s runs from right to left: %s', (language, leftward) => {
  expect(runsLeftward(language)).toBe(leftward)
})
