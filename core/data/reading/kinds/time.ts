import { isClockWord, isDurationWord, isTimeOfDayWord } from '../languages'
import { readClock, readDuration } from '../written-time'
import { mostOf, type KindOfColumn } from './kind'

/** A time of day. */
export const time: KindOfColumn = {
  name: 'time',
  readings({ cells, name, header }) {
    const isNamed = isTimeOfDayWord(name) && !isDurationWord(name)
    // 12.45 is a time of day only where nothing else can be meant.
    const marks = `:${isNamed ? 'h' : ''}${isClockWord(name) && !header.unit ? '.' : ''}`
    const read = (cell: string) => readClock(cell, marks)
    const values = cells.flatMap(cell => read(cell) ?? [])
    if (!values.length) return []
    // From 0:20 to 4:10 they are rather how long something takes; what has its words is certain.
    const isShort = values.every(value => Number(value.slice(0, 2)) < 5)
    const isWritten = cells.some(cell => /[ap]\.?m|uhr/i.test(cell) || /^0\d:/.test(cell.trim()))
    const likely = isDurationWord(name) ? 0.3 : isNamed || isWritten ? 0.95 : isShort ? 0.4 : 0.8
    return [
      {
        choice: { kind: 'time' },
        type: 'date',
        marks: 'numbers',
        read,
        label: 'Time of day',
        words: 'A *time of day*',
        likely: values.length / cells.length >= mostOf ? likely : 0,
      },
    ]
  },
}

/** How long something takes, kept in seconds. */
export const duration: KindOfColumn = {
  name: 'duration',
  readings({ cells, name, header }) {
    const factor = { h: 3600, min: 60, s: 1, d: 86_400 }[header.unit]
    const isParted = cells.some(cell => /^\s*[-−]?\d+:\d\d\s*$/.test(cell))
    const bare = (cell: string) =>
      factor !== undefined && /^\d+([.,]\d+)?$/.test(cell.trim()) ? Number(cell.trim().replace(',', '.')) * factor : undefined
    const saysMinutes = /min/i.test(name) && !/h/.test(header.unit)
    const inMinutes = isParted ? (saysMinutes ? [true, false] : [false, true]) : [false]
    const readings = inMinutes.map((minutes, index) => {
      const read = (cell: string) => readDuration(cell, minutes) ?? bare(cell)
      const count = cells.filter(cell => read(cell) !== undefined).length
      const parts = isParted ? (minutes ? ' in minutes and seconds' : ' in hours and minutes') : ''
      const isMeant = isParted || cells.some(cell => readDuration(cell) !== undefined)
      return {
        choice: { kind: 'duration' as const, ...(minutes ? { minutes } : {}) },
        type: 'number' as const,
        marks: 'numbers' as const,
        unit: 's',
        read,
        label: `Duration${parts.replace(' in', ',')}`,
        words: `A *duration*${parts}`,
        likely: index === 0 && count / cells.length >= mostOf && isMeant ? (isDurationWord(name) ? 0.97 : 0.7) : 0,
        count,
      }
    })
    return readings.filter(({ count }) => count > 0)
  },
}
