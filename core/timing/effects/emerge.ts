import { clamp, fromSideOption, optionOf, type Effect } from './effect'

/** Slides out from behind one of its own edges. */
export const emerge: Effect = {
  name: 'emerge',
  label: 'Out of its edge',
  whats: ['enter', 'exit'],
  duration: 0.7,
  options: [fromSideOption('bottom')],
  apply(part, progress, options, { box }) {
    const hidden = 1 - clamp(progress)
    if (hidden === 0) return
    const from = optionOf<string>(emerge, options, 'from')
    const cut = { top: 0, right: 0, bottom: 0, left: 0 }
    if (from === 'left') [cut.left, part.x] = [hidden, part.x - box.width * hidden]
    else if (from === 'right') [cut.right, part.x] = [hidden, part.x + box.width * hidden]
    else if (from === 'top') [cut.top, part.y] = [hidden, part.y - box.height * hidden]
    else [cut.bottom, part.y] = [hidden, part.y + box.height * hidden]
    part.cut = cut
  },
}
