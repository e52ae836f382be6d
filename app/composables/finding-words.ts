import type { Finding } from '#core/model'

/** How what is found anew in whatever rows there are is called. */
export const findingWords: Readonly<Record<Finding, string>> = {
  most: 'the greatest',
  next: 'the second',
  least: 'the least',
  first: 'the first',
  last: 'the last',
  rise: 'what rose most',
  fall: 'what fell most',
}
