/** The choice that a select stands on, of those that it was made from. */
export function chosenOf<T extends string>(choices: Readonly<Record<T, unknown>>, event: Event): T {
  const { value } = event.target as HTMLSelectElement
  const found = (Object.keys(choices) as T[]).find(choice => choice === value)
  if (found === undefined) throw new Error(`“${value}” is none of the choices.`)
  return found
}
