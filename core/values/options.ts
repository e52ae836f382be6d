import { z } from 'zod'

/** Options of an effect, transition or kind: plain values, read through the schema of what they belong to. */
export const optionsSchema = z.record(z.string().max(64), z.union([z.string().max(2000), z.number(), z.boolean(), z.null()]))

export type Options = z.infer<typeof optionsSchema>

/**
 * One choice that what is catalogued (an effect, a transition, a kind of charts) offers. A colour is the name of a role, #rrggbb or a
 * whole colour as JSON, an icon one as JSON, a path SVG path data, an element its id.
 */
export type OptionField = {
  /** It applies only where another option is so. */
  when?: { name: string; is: string }
} & (
  | { kind: 'choice'; name: string; label: string; values: readonly { value: string; label: string }[]; initial: string }
  | { kind: 'number'; name: string; label: string; min: number; max: number; step: number; unit: string; initial: number }
  | { kind: 'boolean'; name: string; label: string; initial: boolean }
  | { kind: 'color'; name: string; label: string; initial: string }
  | { kind: 'element'; name: string; label: string; initial: string }
  | { kind: 'words'; name: string; label: string; initial: string }
  | { kind: 'path'; name: string; label: string; initial: string }
  | { kind: 'icon'; name: string; label: string; initial: string }
)

/** The value of an option, held to what it may be; what it is at first where none was chosen. Throws where there is no such option. */
export function optionOf<T extends string | number | boolean>(
  of: { readonly options: readonly OptionField[] },
  options: Options,
  name: string,
): T {
  const option = of.options.find(candidate => candidate.name === name)
  if (!option) throw new Error(`There is no option “${name}”.`)
  const value = options[name]
  if (option.kind === 'number') return (typeof value === 'number' ? Math.min(option.max, Math.max(option.min, value)) : option.initial) as T
  if (option.kind === 'choice') return (option.values.some(known => known.value === value) ? value : option.initial) as T
  return (typeof value === typeof option.initial ? value : option.initial) as T
}
