/** One version of a table of the team, which a deck stays at whatever comes after it. */
export interface Pin {
  source: string
  number: number
}

const form = /^([A-Za-z0-9_-]+)_v([1-9]\d{0,8})$/

/** The id by which a version of a table is asked for. */
export const pinnedId = ({ source, number }: Pin) => `${source}_v${number}`

/** What an id stays at; null of one that follows its table. */
export function pinOf(id: string): Pin | null {
  const [, source, number] = form.exec(id) ?? []
  return source && number ? { source, number: Number(number) } : null
}

/** The table of the team that an id asks for, whichever version of it. */
export const sourceIn = (id: string) => pinOf(id)?.source ?? id
