import type { Finding, Found } from './finding'

/** The last number, and the one that it is compared with; null where there are not two. */
function ends({ through }: Found, from: 'before' | 'first'): [number, number] | null {
  const [now, before] = [through.at(-1), from === 'first' ? through[0] : through.at(-2)]
  return through.length < 2 || now === undefined || before === undefined ? null : [before, now]
}
const difference = (pair: [number, number] | null) => pair && pair[1] - pair[0]
/** The change as a share of what was; null from nothing. */
const share = (pair: [number, number] | null) => (pair && pair[0] !== 0 ? (pair[1] - pair[0]) / Math.abs(pair[0]) : null)

export const change: Finding = {
  name: 'change',
  label: 'the change since the one before of',
  isChange: true,
  find: found => difference(ends(found, 'before')),
}
export const changeShare: Finding = {
  name: 'change-share',
  label: 'the change since the one before, in %, of',
  isChange: true,
  isShare: true,
  find: found => share(ends(found, 'before')),
}
export const changeSinceFirst: Finding = {
  name: 'change-since-first',
  label: 'the change since the first of',
  isChange: true,
  find: found => difference(ends(found, 'first')),
}
export const changeShareSinceFirst: Finding = {
  name: 'change-share-since-first',
  label: 'the change since the first, in %, of',
  isChange: true,
  isShare: true,
  find: found => share(ends(found, 'first')),
}
