import { stretch } from '../../timing'
import { secondsWords } from '../../values'
import type { Finding, Rule } from '../finding'

/** What is less than this, seconds, nobody notices. */
const slack = 0.25

/** What moves in a beat that waits for a moment of a voice takes longer than the voice: all that follows comes late. */
export const voiceLate: Rule = ({ deck, slide }) =>
  slide.score.beats.flatMap((beat): Finding[] => {
    const { hold, id } = beat.beat
    const voice = hold.kind === 'voice' ? deck.sounds[hold.sound] : undefined
    if (hold.kind !== 'voice' || !voice || slide.beats[beat.index]!.openEnded) return []
    const room = voice.delay + hold.at - (voice.from ?? 0) - beat.at
    const late = beat.moves - room
    if (late <= slack) return []
    const next = beat.index + 1 < slide.score.beats.length ? `beat ${beat.index + 2} begins` : 'the slide ends'
    return [
      {
        rule: 'voice-late',
        about: 'timing',
        slide: slide.slide,
        beat: beat.index,
        element: null,
        message: `What moves in beat ${beat.index + 1} ends ${secondsWords(late)} after “${voice.name}” has come to where ${next}.`,
        remedy:
          room > slack
            ? {
                label: `Let it take ${secondsWords(room)}`,
                changes: now => stretch(now, { beats: [id] }, room / beat.moves).filter(change => change.table === 'cues'),
              }
            : null,
      },
    ]
  })
