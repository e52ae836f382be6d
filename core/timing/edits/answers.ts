import { setFields } from '../../edits'
import type { Change, Deck, FieldsOf } from '../../model'
import type { ClipFit } from '../score'
import type { Rundown, RundownSlide } from '../rundown'
import { secondsWords } from '../../values'

/** One way of making a clip and its slide agree, with what comes of it in seconds. */
export interface ClipAnswer {
  kind: 'hold' | 'trim' | 'loop' | 'run-on'
  label: string
  /** What comes of it, as “the slide runs 17.0 s”. */
  result: string
  /** Seconds that the slide's beats then last. */
  seconds: number
  changes: Change[]
}

/** A clip that ends less than this before or after its slide, seconds, fits. */
const slack = 0.1
/** A voice may well be over before its slide is. */
export const fits = (fit: ClipFit) => (fit.sound !== null && fit.beyond < 0) || Math.abs(fit.beyond) <= slack

const hundredth = (seconds: number) => Math.round(seconds * 100) / 100

/** What the answers to one clip or voice are made from. */
interface Question {
  deck: Deck
  plan: Rundown
  slide: RundownSlide
  fit: ClipFit
  /** The stretch of its file that it plays. */
  clip: { from?: number; speed?: number }
  /** Gives the clip or sound other fields. */
  put(fields: FieldsOf<'elements'> & FieldsOf<'sounds'>): Change[]
}

function holding({ deck, slide, fit }: Question): ClipAnswer | null {
  const last = slide.score.beats.at(-1)
  const wanted = hundredth(fit.start + fit.seconds)
  const hold = last ? wanted - last.at - last.moves : -1
  if (!last || hold < 0) return null
  // Its own hold follows the clip, wherever that is trimmed later; a beat that begins after the clip holds for so many seconds.
  const follows = fit.sound !== null || fit.beat === last.index
  const fields = { hold: follows ? { kind: 'media' as const } : { kind: 'seconds' as const, seconds: hundredth(hold) } }
  return {
    kind: 'hold',
    label: 'Hold the slide for it',
    result: `the slide runs ${secondsWords(wanted + slide.transition)}`,
    seconds: wanted,
    changes: setFields(deck, { table: 'beats', id: last.beat.id, fields }),
  }
}

function trimming({ slide: { score }, fit, clip, put }: Question): ClipAnswer | null {
  const room = score.length - fit.start
  if (fit.beyond <= 0 || room <= 0.1) return null
  return {
    kind: 'trim',
    label: 'Trim it',
    result: `it plays ${secondsWords(room)} of ${secondsWords(fit.seconds)}`,
    seconds: score.length,
    changes: put({ until: hundredth((clip.from ?? 0) + room * (clip.speed ?? 1)) }),
  }
}

function runningOn({ plan, slide, fit, put }: Question): ClipAnswer | null {
  const next = plan.slides.slice(slide.index + 1)
  if (fit.beyond <= 0 || !fit.element || !next.length) return null
  let left = fit.beyond
  const over = next.findIndex(one => (left -= one.length) <= 0) + 1 || next.length
  const rest = (next[over - 1]?.length ?? 0) + left
  return {
    kind: 'run-on',
    label: `Let it run on over ${over === 1 ? 'the next slide' : `the next ${over} slides`}`,
    result:
      left > 0.05
        ? `it is cut ${secondsWords(left)} before its end, with the last slide`
        : `it ends ${secondsWords(rest)} into slide ${slide.index + over + 1}`,
    seconds: slide.score.length,
    changes: put({ over }),
  }
}

function looping({ slide: { score }, fit, put }: Question): ClipAnswer | null {
  const room = score.length - fit.start
  const times = fit.seconds > 0 ? room / fit.seconds : 0
  if (!fit.element || times <= 0.05) return null
  return {
    kind: 'loop',
    label: 'Let it begin again',
    result:
      times >= 1 ? `it plays ${times.toFixed(1)} times in ${secondsWords(room)}` : `it stops with the slide, after ${secondsWords(room)}`,
    seconds: score.length,
    changes: put({ loop: true }),
  }
}

/**
 * The answers to a clip or voice that does not end with its slide: hold the slide for it, trim it, let it begin again, or let
 * it run on over the next slides. What cannot be answered that way is left out.
 */
export function answersOf(deck: Deck, plan: Rundown, slide: RundownSlide, fit: ClipFit): ClipAnswer[] {
  const table = fit.element ? ('elements' as const) : ('sounds' as const)
  const id = fit.element ?? fit.sound
  const clip = id === null ? undefined : deck[table][id]
  if (id === null || !clip || !slide.score.beats.length) return []
  const put: Question['put'] = fields => setFields(deck, { table, id, fields })
  const question: Question = { deck, plan, slide, fit, clip: clip as Question['clip'], put }
  return [holding, trimming, runningOn, looping].flatMap(answer => answer(question) ?? [])
}
