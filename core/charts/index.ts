/**
 * Charts: kinds, marks, and what stands between two states of a chart.
 *
 * @example
 * import { drawChart, newChart } from 'core/charts'
 * import { houseTheme } from 'core/layouts'
 * import { seasons } from 'core/testing'
 * import { roughMeasurer } from 'core/text'
 *
 * const room = { width: 900, height: 500, textSize: 24, fonts: houseTheme.fonts, language: 'en', measurer: roughMeasurer }
 * const { marks } = drawChart(newChart('seasons'), seasons, room)
 * marks.map(mark => mark.value) // → [4100, 4350, 4720, 4600, 5230]
 */

export { isAim } from './aims'
export * from './catalogue'
export * from './cells'
export * from './columns'
export * from './drawing'
export * from './element-chart'
export * from './facts'
export { highlightedIn } from './found'
export { chartPurposes, type ChartColumn, type ChartKind, type ChartPurpose } from './kinds/kind'
export * from './offers'
export * from './label-color'
export { placeLabels, touch } from './labels'
export * from './lines'
export { liftedOut, type Lifted } from './lifted'
export { isPlaced, outlineColumn } from './maps/outlines'
export * from './marks'
export { boundsOfMark } from './marks/bounds'
export { passageBetween, type Passage, type Stretch } from './motion/passage'
export { timesOf, passageOf } from './motion/run'
export { shiftOf } from './moved'
export { amountsOfParts, partedBySeries, type Parted } from './parted'
export { patternOf, patterns, patternSide } from './patterns'
export { shownRows } from './motion/shown-rows'
export { passageSentence, passageWord, stateWords } from './motion/state-words'
export { swatchRoom } from './setting'
export * from './shape-of-data'
export * from './tones'
