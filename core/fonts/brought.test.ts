import { describe, expect, it } from 'vitest'
import { toBring } from './brought'

describe('the font to bring for letters that none at hand has', () => {
  it.each([
    ['港の', 'en', 'Noto Sans JP'],
    ['港', 'ja', 'Noto Sans JP'],
    ['港', 'zh-TW', 'Noto Sans TC'],
    ['港', 'zh-Hant-HK', 'Noto Sans TC'],
    ['港', 'zh', 'Noto Sans SC'],
    ['港', 'en', 'Noto Sans SC'],
    ['항구', 'en', 'Noto Sans KR'],
    ['ᚠ', 'ja', undefined],
    ['', 'ja', undefined],
  ])('is, for “%s” in %s, %s', (letters, language, family) => expect(toBring([...letters], language)?.family).toBe(family))
})
