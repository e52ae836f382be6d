import type { Sign } from './symbols'

/**
 * The signs that fit every asked word by its beginning, those where it begins the name first; all where nothing is asked. The sign itself
 * finds itself.
 */
export function findSigns(among: readonly Sign[], asked: string): readonly Sign[] {
  const words = asked.trim().toLowerCase().split(/\s+/).filter(Boolean)
  if (!words.length) return among
  const rank = (sign: Sign) => {
    if (sign.sign === asked.trim()) return 100
    const parts = `${sign.label} ${sign.keywords ?? ''}`
      .trim()
      .toLowerCase()
      .split(/[\s,_-]+/)
    if (!words.every(word => parts.some(part => part.startsWith(word)))) return 0
    return 1 + words.filter(word => parts.includes(word)).length * 2 + (parts[0]!.startsWith(words[0]!) ? 1 : 0) - parts.length * 0.01
  }
  return among
    .map(sign => ({ sign, rank: rank(sign) }))
    .filter(entry => entry.rank > 0)
    .sort((a, b) => b.rank - a.rank)
    .map(entry => entry.sign)
}
