import { fromSideOption, optionOf, type Effect } from './effect'

/** Comes all the way from outside the slide. */
export const travel: Effect = {
  name: 'travel',
  label: 'Come from outside',
  whats: ['enter', 'exit'],
  duration: 0.9,
  options: [fromSideOption('left')],
  apply(part, progress, options, { box, size }) {
    const from = optionOf<string>(travel, options, 'from')
    // As far as a turned box may reach.
    const reach = Math.hypot(box.width, box.height) / 2
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
    const left = 1 - progress
    if (from === 'left') part.x -= Math.max(0, x + reach) * left
    else if (from === 'right') part.x += Math.max(0, size.width - x + reach) * left
    else if (from === 'top') part.y -= Math.max(0, y + reach) * left
    else part.y += Math.max(0, size.height - y + reach) * left
  },
}
