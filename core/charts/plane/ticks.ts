/** At most so many steps are laid across the plane, of one of these sizes times a power of ten. */
const mostSteps = 4
const stepSizes = [1, 2, 2.5, 5, 10]

/** The numbers of an axis that holds an extent: round steps, at most four unless more are asked for. */
export function ticksOf([low, high]: readonly [number, number], most = mostSteps): number[] {
  const span = high - low
  if (!(span > 0) || !Number.isFinite(span)) return [low]
  const power = 10 ** Math.floor(Math.log10(span / most))
  for (const size of [...stepSizes, ...stepSizes.map(step => step * 10)]) {
    const step = size * power
    const [from, to] = [Math.floor(low / step + 1e-9), Math.ceil(high / step - 1e-9)]
    if (to - from <= most) return Array.from({ length: to - from + 1 }, (_, index) => Number(((from + index) * step).toPrecision(15)))
  }
  return [low, high]
}
