import { clamp, optionOf, sides, type Effect } from './effect'

/** Uncovered from one side to the other. */
export const wipe: Effect = {
  name: 'wipe',
  label: 'Wipe',
  whats: ['enter', 'exit'],
  duration: 0.7,
  options: [{ kind: 'choice', name: 'from', label: 'From', values: sides, initial: 'left' }],
  apply(part, progress, options) {
    const hidden = 1 - clamp(progress)
    if (hidden === 0) return
    const from = optionOf<string>(wipe, options, 'from')
    const cut = { top: 0, right: 0, bottom: 0, left: 0 }
    if (from === 'left') cut.right = hidden
    else if (from === 'right') cut.left = hidden
    else if (from === 'top') cut.bottom = hidden
    else cut.top = hidden
    part.cut = cut
  },
}
