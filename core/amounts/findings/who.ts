import type { Finding, Found } from './finding'

const nameOf = ({ values, names }: Found, way: 1 | -1): string | null => {
  let best = -1
  values.forEach((value, at) => {
    if (best < 0 || way * value > way * values[best]!) best = at
  })
  return best < 0 ? null : names[best]!
}

export const whoMost: Finding = { name: 'who-most', label: 'which has most', find: found => nameOf(found, 1) }
export const whoLeast: Finding = { name: 'who-least', label: 'which has least', find: found => nameOf(found, -1) }
