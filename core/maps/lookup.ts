import { lettersApart } from '../values'
import { countryOf } from './countries'
import { bareName, plainName } from './plain-name'

/** Finds places of a map by name. */
export interface PlaceFinder {
  /** The number of the place that is meant; undefined where none is, or several may be. */
  find(name: string): number | undefined
  /** The name of a place that may have been meant by one that fits none: at most two letters, or a third of them, apart. */
  near(name: string): string | undefined
}

/**
 * A finder among places, each with all that names it, what it is called first. A name is found as it is written, without accents and
 * filling words, by a code, or as that of a country in another language. A spelling that two places have finds neither.
 */
export function placeFinder(places: readonly (readonly string[])[]): PlaceFinder {
  const ways = [plainName, bareName, (name: string) => countryOf(name) ?? '']
  const known = ways.map(way => {
    const index = new Map<string, number | null>()
    places.forEach((names, at) => {
      for (const key of new Set(names.map(way).filter(Boolean))) {
        const before = index.get(key)
        index.set(key, before === undefined || before === at ? at : null)
      }
    })
    return index
  })
  return {
    find: name => {
      for (const [at, way] of ways.entries()) {
        const found = known[at]!.get(way(name))
        if (found !== undefined) return found ?? undefined
      }
      return undefined
    },
    near: name => {
      const plain = plainName(name)
      const most = Math.min(2, Math.floor(plain.length / 3))
      let best: { at: number; apart: number } | undefined
      if (most) {
        places.forEach((names, at) => {
          for (const other of names) {
            const apart = lettersApart(plain, plainName(other), most)
            if (apart <= most && apart < (best?.apart ?? Infinity)) best = { at, apart }
          }
        })
      }
      return best && places[best.at]![0]
    },
  }
}
