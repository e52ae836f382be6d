import { typedMark } from '#core/phrases'

/**
 * What stands in a field after a letter was typed: a straight quotation mark, or an apostrophe, as a language (BCP 47) has it, with the
 * cursor behind it.
 */
export function typedIn(event: Event, language: string): string {
  const field = event.target as HTMLTextAreaElement
  const mark = (event as InputEvent).data
  const at = field.selectionStart
  if ((mark === '"' || mark === "'") && field.value[at - 1] === mark) {
    const next = typedMark(mark, field.value.slice(0, at - 1), language)
    if (next !== mark) field.setRangeText(next, at - 1, at, 'end')
  }
  return field.value
}
