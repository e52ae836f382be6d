import type { Purpose, Transition } from '../../model'
import type { Build } from '../builds'
import type { OutlineLine } from '../outline'

/** One slide of a starter: its words, its layout by family, and how what stands on it comes in. */
export interface StarterSlide {
  title: string
  /** Lines with two blanks of indent a level. */
  lines?: readonly string[]
  family: string
  build?: Build
  notes?: string
  chapter?: string
  agenda?: 'chapters' | 'slides'
  transition?: Transition['effect']
  /** Seconds that its last beat holds, in films and loops; reading time where absent. */
  hold?: number
}

/** A whole deck for a purpose of an office, in words about the demo's harbour. */
export interface Starter {
  name: string
  label: string
  purpose: Purpose
  /** When one takes it, in a sentence. */
  when: string
  /** The colours it wears, by scheme; see core/color/schemes. */
  scheme: string
  slides: readonly StarterSlide[]
}

/** Lines of a starter with their levels. */
export const starterLines = (lines: readonly string[] = []): OutlineLine[] =>
  lines.map(line => ({ text: line.trim(), level: 1 + Math.floor(/^ */.exec(line)![0].length / 2) }))
