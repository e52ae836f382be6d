import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const title = wordsOf(
  'opening (?:hours|times)|hours|öffnungszeiten|heures d.ouverture|horaires?|horario|orari(?:o)?|horário|openingstijden',
)

export const hours: SenseReader = {
  sense: 'hours',
  read: ({ count, opened, title: said }) =>
    count >= 2 && opened >= 0.6
      ? { score: 0.97, reason: 'Days, and from when to when on each. Those are hours to be looked up.' }
      : count >= 1 && opened >= 0.5 && title.test(said)
        ? { score: 0.85, reason: 'The title speaks of hours, and the lines have days. Those are hours to be looked up.' }
        : null,
}
