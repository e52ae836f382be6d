import type { Line, TextLayout } from './layout'

/** Spreads the lines of a layout as wide as one column over several, `gap` px apart, so that the highest is as low as can be. */
export function flowColumns(layout: TextLayout, count: number, gap: number): TextLayout {
  const { lines } = layout
  if (count < 2 || !lines.length) return layout
  const bottom = (line: Line) => line.top + line.height
  /** How many columns a height needs, and where each begins. */
  const breaks = (height: number): number[] => {
    const starts = [0]
    lines.forEach((line, index) => {
      if (index > starts.at(-1)! && bottom(line) - lines[starts.at(-1)!]!.top > height + 0.01) starts.push(index)
    })
    return starts
  }
  let low = Math.max(...lines.map(line => line.height))
  let high = Math.max(low, layout.height)
  if (breaks(low).length <= count) high = low
  while (high - low > 0.5) {
    const middle = (low + high) / 2
    if (breaks(middle).length <= count) high = middle
    else low = middle
  }
  const starts = breaks(high)
  const columnOf = (index: number) => starts.findLastIndex(start => index >= start)
  const made = lines.map((line, index) => {
    const column = columnOf(index)
    return { ...line, column: column * (layout.room + gap), top: line.top - lines[starts[column]!]!.top }
  })
  const height = Math.max(...made.map(bottom))
  return { ...layout, lines: made, height, width: layout.room * count + gap * (count - 1) }
}
