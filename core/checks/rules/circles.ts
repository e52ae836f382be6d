import { setFields } from '../../edits'
import type { Rule } from '../finding'

/** Cues that wait for each other. */
export const circles: Rule = ({ slide }) =>
  slide.score.problems.map(problem => {
    const beat = slide.score.beats.find(candidate => candidate.cues.some(({ cue }) => cue.id === problem.cue))
    const element = beat?.cues.find(({ cue }) => cue.id === problem.cue)?.cue.element ?? null
    return {
      rule: 'circles',
      about: 'timing',
      slide: slide.slide,
      beat: beat?.index ?? null,
      element,
      message: problem.message,
      remedy: {
        label: 'Start the first of them with the beat',
        changes: deck => setFields(deck, { table: 'cues', id: problem.cue, fields: { anchor: { to: 'beat' } } }),
      },
    }
  })
