import { colorOption, optionOf } from '../effects'
import { between, directionOf, directions, gone, still, type TransitionKind } from './transition'

const half = (progress: number) => (progress < 0.5 ? { first: true, share: progress * 2 } : { first: false, share: progress * 2 - 1 })

/** Through the slide before, into the next, or out of it. */
export const zoom: TransitionKind = {
  name: 'zoom',
  label: 'Zoom',
  duration: 0.8,
  options: [
    {
      kind: 'choice',
      name: 'way',
      label: 'Goes',
      initial: 'in',
      values: [
        { value: 'in', label: 'nearer' },
        { value: 'out', label: 'farther' },
      ],
    },
  ],
  apply: between((progress, options) => {
    const inwards = optionOf<string>(zoom, options, 'way') === 'in'
    // The one that lies behind fills the picture all the while, so that nothing is seen beside it.
    return inwards
      ? { from: { ...still(), scale: 1 + 0.6 * progress, opacity: 1 - progress }, to: still(), front: 'from' }
      : { from: still(), to: { ...still(), scale: 1.6 - 0.6 * progress, opacity: progress } }
  }),
}

/** Both slides turn about an upright or level line, the one away and the next into sight. */
export const turn: TransitionKind = {
  name: 'turn',
  label: 'Turn',
  duration: 0.9,
  options: [directions],
  apply: between((progress, options) => {
    const way = directionOf(options)
    const { first, share } = half(progress)
    const angle = first ? 90 * share : -90 * (1 - share)
    // Held back a little in the middle, so that its near edge stays in the picture.
    const turned = {
      ...still(),
      scale: 1 - 0.22 * Math.sin(Math.PI * Math.min(1, progress)),
      turnY: way.x * angle + 0,
      turnX: -way.y * angle + 0,
    }
    return first ? { from: turned, to: gone() } : { from: gone(), to: turned }
  }),
}

/** The slide before swings open on one of its edges, like a door, and shows the next. */
export const swingOpen: TransitionKind = {
  name: 'swing-open',
  label: 'Swing open',
  duration: 0.9,
  options: [directions],
  apply: between((progress, options) => {
    const way = directionOf(options)
    const angle = 90 * progress
    return {
      from: {
        ...still(),
        originX: way.x < 0 ? 0 : way.x > 0 ? 1 : 0.5,
        originY: way.y < 0 ? 0 : way.y > 0 ? 1 : 0.5,
        turnY: -way.x * angle + 0,
        turnX: way.y * angle + 0,
      },
      to: still(),
      front: 'from',
    }
  }),
}

/** Out of focus, and into focus on the next. */
export const refocus: TransitionKind = {
  name: 'refocus',
  label: 'Out of focus',
  duration: 0.9,
  options: [{ kind: 'number', name: 'amount', label: 'Blur', min: 2, max: 120, step: 2, unit: 'px', initial: 36 }],
  apply: between((progress, options) => {
    const amount = optionOf<number>(refocus, options, 'amount')
    const blur = amount * Math.sin(Math.PI * Math.min(1, Math.max(0, progress)))
    return { from: { ...still(), blur }, to: { ...still(), blur, opacity: Math.min(1, Math.max(0, (progress - 0.25) * 2)) } }
  }),
}

/** Down into a colour, and up from it. */
export const dip: TransitionKind = {
  name: 'dip',
  label: 'Through a colour',
  duration: 1,
  options: [{ kind: 'color', name: 'color', label: 'Colour', initial: 'ink' }],
  apply: between((progress, options) => {
    const color = colorOption(dip, options, 'color')
    const { first, share } = half(progress)
    return first
      ? { from: still(), to: gone(), veil: { color, opacity: share } }
      : { from: gone(), to: still(), veil: { color, opacity: 1 - share } }
  }),
}

/** What both slides share goes from its old place and size to its new; all else fades. */
export const carry: TransitionKind = {
  name: 'carry',
  label: 'Carry',
  duration: 0.9,
  options: [],
  carries: true,
  apply: between(() => ({ from: still(), to: still() })),
}
