import { setFields } from '../../edits'
import { holdFor } from '../../timing'
import type { Finding, Rule } from '../finding'
import { secondsWords } from '../../values'

/** What is less than this, seconds, nobody notices. */
const slack = 0.25

/** A beat that goes on by itself holds for less than its words need. In a talk the speaker decides. */
export const hold: Rule = ({ slide }) =>
  slide.score.beats.flatMap((beat): Finding[] => {
    const missing = beat.reading.seconds - beat.hold
    const { kind } = beat.beat.hold
    if (slide.beats[beat.index]!.openEnded || (kind !== 'seconds' && kind !== 'voice') || missing <= slack) return []
    const words = beat.reading.words + beat.reading.numbers
    const what =
      words && beat.reading.marks
        ? `${words} words and the chart need`
        : words === 1
          ? 'one word needs'
          : words
            ? `${words} words need`
            : 'chart needs'
    const needed = Math.ceil(beat.reading.seconds * 10) / 10
    return [
      {
        rule: 'hold',
        about: 'timing',
        slide: slide.slide,
        beat: beat.index,
        element: null,
        message: `Beat ${beat.index + 1} holds for ${secondsWords(beat.hold)}. Its ${what} ${secondsWords(needed)}.`,
        remedy: {
          label: `Hold ${secondsWords(needed - beat.hold)} longer`,
          changes: deck => setFields(deck, { table: 'beats', id: beat.beat.id, fields: { hold: holdFor(beat, needed) } }),
        },
      },
    ]
  })
