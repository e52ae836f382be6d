import { contrast, hexOf, leastApart, mixBy, nearestReadable, type Palette } from '../color'
import type { ChartSpec } from '../model'
import { memoByRecords, type Color } from '../values'

/**
 * What a colour in a chart is for; which one that is follows from the theme. `step`, `scale`, `loss-scale` (of amounts below nothing)
 * and `voice` are many: `at` says which (a share from 0, the strongest, to 1; a share from 0, the faintest, to 1; the same; a number from
 * 0).
 */
export type ToneName =
  | 'plain'
  | 'highlighted'
  | 'quiet'
  | 'quieter'
  | 'second'
  | 'loss'
  | 'line'
  | 'ink'
  | 'second-ink'
  | 'track'
  | 'ground'
  | 'step'
  | 'scale'
  | 'loss-scale'
  | 'voice'

/** A colour by what it is for; or on its way from another one, `progress` from 0 to 1. */
export interface Tone {
  name: ToneName
  at?: number
  /** Its own colour, which it has whatever it is for. */
  color?: Color
  from?: Tone
  progress?: number
}

/** The colours of one chart on its ground, as #rrggbb. */
export interface Tones {
  of(tone: Tone): string
  /** The same as words on the ground: at least 4.5 to 1. */
  words(tone: Tone): string
  /** What words on a mark of this tone are written in: ground or ink, whichever stands out more. */
  on(tone: Tone): string
}

/** How far a mark that is not highlighted goes towards the ground. */
const quiet = { light: 0.6, deep: 0.52 }
const quieter = { light: 0.79, deep: 0.72 }
/** How far the first accents are lifted on a deep ground, as a contrast. */
const liftedOnDeep = 5.5
/** The least that marks stand out from their ground (WCAG 2.2, 1.4.11). */
const leastSeen = 3
/** How far voices are apart (OKLab × 100): as far as the first says, and where the theme has not as many colours, as the next. */
const leastVoices = [15, 11, 8]
const mostVoices = 12

/** Colours for things that are told apart by them: the accents that every eye tells apart, then lighter and darker ones of them. */
function voicesOf(palette: Palette): string[] {
  const accents = ([1, 2, 3, 4, 5, 6] as const).map(at => nearestReadable(palette[`accent${at}`], palette.ground, leastSeen))
  const shades = [
    ['ink', 0.45],
    ['ground', 0.38],
    ['ink', 0.7],
    ['ground', 0.6],
  ] as const
  const all = [...accents, ...shades.flatMap(([end, share]) => accents.map(accent => mixBy(accent, palette[end], share)))]
  const taken: string[] = []
  for (const least of leastVoices)
    for (const color of all) {
      if (taken.length >= mostVoices || contrast(color, palette.ground) < 1.5) continue
      if (taken.every(other => leastApart(color, other) >= least)) taken.push(color)
    }
  return taken.length ? taken : accents
}

function made(spec: ChartSpec, palette: Palette): Tones {
  const { ground, ink } = palette
  const isDeep = contrast('#ffffff', ground) > contrast('#000000', ground)
  const seen = (hex: string) => nearestReadable(hex, ground, leastSeen)
  const first = nearestReadable(palette.accent1, ground, isDeep ? liftedOnDeep : leastSeen)
  const strongest = isDeep ? nearestReadable(palette.accent2, ground, liftedOnDeep) : first
  const ownPlain = spec.color && hexOf(spec.color, palette)
  const plain = ownPlain ?? (isDeep ? mixBy(first, ground, 0.12) : first)
  const lit = spec.highlightColor ? hexOf(spec.highlightColor, palette) : strongest
  const share = (of: typeof quiet) => (isDeep ? of.deep : of.light)
  let voices: string[] | null = null
  const strength = (color: string, at: number) => (at <= 0.8 ? mixBy(ground, color, 0.1 + 1.125 * at) : mixBy(color, ink, (at - 0.8) * 2))
  const named = ({ name, at = 0 }: Tone): string => {
    switch (name) {
      case 'highlighted':
        return lit
      case 'quiet':
        // A colour that somebody chose for the marks stays theirs beside those that are highlighted.
        return ownPlain ?? mixBy(first, ground, share(quiet))
      case 'quieter':
        return mixBy(ownPlain ?? first, ground, share(quieter))
      case 'second':
        return seen(isDeep ? palette.accent3 : palette.accent2)
      case 'loss':
        return seen(palette.accent6)
      case 'line':
        return nearestReadable(mixBy(ink, ground, 0.54), ground, leastSeen)
      case 'ink':
        return ink
      case 'second-ink':
        return nearestReadable(mixBy(ink, ground, 0.24), ground)
      case 'ground':
        return ground
      case 'track':
        return mixBy(ink, ground, 0.88)
      case 'step':
        return mixBy(plain, ground, at * 0.8)
      case 'scale':
        return strength(plain, at)
      case 'loss-scale':
        return strength(seen(palette.accent6), at)
      case 'voice':
        voices ??= voicesOf(palette)
        return voices[Math.round(at) % voices.length]!
      default:
        return plain
    }
  }
  const of = (tone: Tone): string => {
    const own = tone.color ? hexOf(tone.color, palette) : named(tone)
    return tone.from && tone.progress !== undefined && tone.progress < 1 ? mixBy(of(tone.from), own, tone.progress) : own
  }
  return {
    of,
    words: tone => nearestReadable(of(tone), ground),
    on: tone => (contrast(ground, of(tone)) >= contrast(ink, of(tone)) ? ground : ink),
  }
}

/** The colours of a chart by what they are for, on the ground of its theme. */
export const tonesOf = memoByRecords((spec: ChartSpec, palette: Palette) => [spec, palette], made, { keep: 50 })
