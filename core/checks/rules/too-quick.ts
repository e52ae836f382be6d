import { setFields } from '../../edits'
import { leastLength } from '../../timing'
import type { Finding, Rule } from '../finding'
import { secondsWords } from '../../values'

const slack = 0.02

/** Motion that is over before anybody can have seen what it shows. */
export const tooQuick: Rule = ({ deck, slide }) =>
  slide.score.beats.flatMap(beat =>
    beat.cues.flatMap(({ cue, round }): Finding[] => {
      const track = slide.score.tracks.get(cue.element!)
      const element = track?.element
      const least = element && leastLength(deck, cue, element, track.drawing)
      if (!least || round >= least.seconds - slack) return []
      const needed = Math.ceil(least.seconds * 10) / 10
      return [
        {
          rule: 'too-quick',
          slide: slide.slide,
          beat: beat.index,
          element: element.id,
          message:
            `The motion of “${element.name}” in beat ${beat.index + 1} takes ${secondsWords(round, 2)}. It needs ` +
            `${secondsWords(needed)} ${least.why}.`,
          remedy: {
            label: `Let it take ${secondsWords(needed)}`,
            changes: now => setFields(now, { table: 'cues', id: cue.id, fields: { duration: needed } }),
          },
        },
      ]
    }),
  )
