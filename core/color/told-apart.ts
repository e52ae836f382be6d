import {
  differenceEuclidean,
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  formatHex,
  interpolate,
  modeLrgb,
  modeOklab,
  modeRgb,
  useMode as define,
} from 'culori/fn'

const rgb = define(modeRgb)
define(modeLrgb)
define(modeOklab)

const distance = differenceEuclidean('oklab')
const eyes = [
  (hex: string) => hex,
  ...[filterDeficiencyProt(1), filterDeficiencyDeuter(1), filterDeficiencyTrit(1)].map(
    filter => (hex: string) => formatHex(filter(rgb(hex)!)),
  ),
]

/** The colour (#rrggbb) at `share` (0 to 1) of the way from one to another, in OKLab. */
export const mixBy = (from: string, to: string, share: number) =>
  formatHex(interpolate([from, to], 'oklab')(Math.min(1, Math.max(0, share))))

/**
 * How far two colours (#rrggbb) are apart for whoever sees them least apart: OKLab distance × 100 for usual, protan, deutan and tritan eyes
 * (Machado, Oliveira and Fernandes 2009, complete deficiency), the smallest of the four.
 */
export const leastApart = (a: string, b: string) => 100 * Math.min(...eyes.map(seen => distance(seen(a), seen(b))))

/**
 * The colours among some, in their order, of which every two are at least `least` apart for all eyes: the first, and each later one that
 * is apart from all taken before it.
 */
export function toldApart(colors: readonly string[], least = 15): string[] {
  const taken: string[] = []
  for (const color of colors) if (taken.every(other => leastApart(color, other) >= least)) taken.push(color)
  return taken
}
