import { date } from './date'
import type { KindOfColumn } from './kind'
import { money } from './money'
import { latitude, longitude, outline } from './where'
import { number } from './number'
import { percent } from './percent'
import { duration, time } from './time'
import { category, code, place, text, yesNo } from './words'

export type { KindOfColumn, Reading, TableHints } from './kind'

/** All kinds of columns. A new one is a file and a line here, and its name in `core/data/table.ts`. */
export const kindsOfColumns: readonly KindOfColumn[] = [
  yesNo,
  code,
  date,
  time,
  duration,
  percent,
  money,
  latitude,
  longitude,
  number,
  outline,
  place,
  category,
  text,
]
