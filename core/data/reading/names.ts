import { headerUnit } from './sample'

/** Names for columns: none empty, none twice, without their units. */
export function namesOf(headers: readonly string[]): { names: string[]; twice: string[]; unnamed: number } {
  const seen = new Set<string>()
  const twice: string[] = []
  let unnamed = 0
  const names = headers.map((header, index) => {
    const base = headerUnit(header).name.slice(0, 180)
    if (!base) unnamed++
    const wanted = base || `Column ${index + 1}`
    let name = wanted
    for (let count = 2; seen.has(name); count++) name = `${wanted} ${count}`
    if (name !== wanted) twice.push(wanted)
    seen.add(name)
    return name
  })
  return { names, twice: [...new Set(twice)], unnamed }
}
