import { isCodeWord, isPlaceWord, yesNoOf } from '../languages'
import { readDate } from '../written-date'
import type { KindOfColumn } from './kind'

const asWritten = (cell: string) => cell

/** Yes or no, in the words of one language. */
export const yesNo: KindOfColumn = {
  name: 'yes-no',
  readings({ distinct, cells }) {
    const read = distinct.size > 0 && distinct.size <= 6 ? yesNoOf(distinct) : undefined
    if (!read) return []
    const said = [...distinct].slice(0, 2).map(word => word.toLowerCase().trim())
    // A single letter says little: N and S can be points of the compass.
    const isClear = cells.some(cell => cell.trim().length > 1) || (distinct.size === 2 && cells.some(cell => /^[yj]$/i.test(cell.trim())))
    return [
      {
        choice: { kind: 'yes-no' },
        type: 'text',
        marks: 'numbers',
        read,
        label: 'Yes or no',
        words: `*Yes or no*${said.every(word => word === 'yes' || word === 'no') ? '' : `, from ${said.join(', ')}`}`,
        likely: isClear ? 0.99 : 0,
      },
    ]
  },
}

const telephone = /^(?:\+|00|0|\()[\d\s()/.-]{6,}$/
/** Figures that are no amount: codes with their noughts, telephone and account numbers. */
export const code: KindOfColumn = {
  name: 'code',
  readings({ cells, numbers, name }) {
    const phones = cells.filter(
      cell => telephone.test(cell.trim()) && cell.replace(/\D/g, '').length >= 7 && !readDate(cell, 'dmy') && !readDate(cell, 'mdy'),
    ).length
    const isPhone = phones / cells.length >= 0.8 && cells.some(cell => /^\+|[\s/()-]/.test(cell.trim()))
    const isNamed = isCodeWord(name) && cells.every(cell => /^[\d\p{L}+().\s/-]{1,34}$/u.test(cell) && !/^\d+[.,]\d+$/.test(cell.trim()))
    if (!cells.length || !(numbers.noughts || isPhone || isNamed)) return []
    return [
      {
        choice: { kind: 'code' },
        type: 'text',
        marks: 'words',
        read: asWritten,
        label: 'Text, as it was written',
        words: isPhone
          ? '*Text*, as telephone numbers are'
          : numbers.noughts
            ? '*Text*, since codes begin with 0'
            : '*Text*, since it is a code by its name',
        likely: isPhone || numbers.noughts ? 0.98 : numbers.integers === cells.length ? 0.95 : 0.2,
      },
    ]
  },
}

/** A place by its name: until it is looked up on a map, what the column is called tells. */
export const place: KindOfColumn = {
  name: 'place',
  readings: ({ name, numbers, cells }) =>
    numbers.numbers >= cells.length / 2
      ? []
      : [
          {
            choice: { kind: 'place' },
            type: 'text',
            marks: 'words',
            read: asWritten,
            label: 'Place',
            words: 'A *place*, by the column’s name',
            likely: isPlaceWord(name) ? 0.15 : 0,
          },
        ],
}

/** Words that come again: groups that rows belong to. */
export const category: KindOfColumn = {
  name: 'category',
  readings: ({ distinct, written }) =>
    distinct.size === written.length
      ? []
      : [
          {
            choice: { kind: 'category' },
            type: 'text',
            marks: 'words',
            read: asWritten,
            label: 'Category',
            words: `A *category* of ${distinct.size}`,
            likely: written.length >= 4 && distinct.size <= Math.min(50, written.length / 2) ? 0.1 : 0,
          },
        ],
}

/** Any words. */
export const text: KindOfColumn = {
  name: 'text',
  readings: ({ numbers, cells }) => {
    const why =
      numbers.currencies.size > 1
        ? `, since currencies differ: ${[...numbers.currencies.keys()].slice(0, 3).join(', ')}`
        : numbers.units.size > 1 && numbers.numbers / Math.max(1, cells.length) >= 0.8
          ? `, since units differ: ${[...numbers.units.keys()].slice(0, 3).join(', ')}`
          : ''
    return [
      {
        choice: { kind: 'text' },
        type: 'text',
        marks: 'words',
        read: asWritten,
        label: 'Text, as it was written',
        words: `*Text*${why}`,
        likely: 0.05,
      },
    ]
  },
}
