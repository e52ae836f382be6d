import { ESLint } from 'eslint'
import { expect, it } from 'vitest'
import { stillLong } from './still-long.mjs'

it('the list of files with long functions holds only such as still have one', async () => {
  const rules = { 'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }], complexity: ['error', 25] }
  const eslint = new ESLint({ overrideConfig: { files: ['**/*.{ts,vue,mjs}'], rules } as never })
  const looked = await eslint.lintFiles(stillLong)
  const long = looked.filter(({ messages }) => messages.some(({ ruleId }) => ruleId !== null && ruleId in rules))
  expect(looked).toHaveLength(stillLong.length)
  expect(looked.filter(file => !long.includes(file)).map(({ filePath }) => filePath)).toEqual([])
})
