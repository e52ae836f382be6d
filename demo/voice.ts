import { sentencesOf } from '../core/sound'
import { seeded } from '../core/values'
import { wav } from './wav'

const turn = 2 * Math.PI
/** Formants of five vowels, Hz: the first two resonances that tell them apart. */
const vowels: Readonly<Record<string, readonly [number, number]>> = {
  a: [730, 1090],
  e: [530, 1840],
  i: [270, 2290],
  o: [570, 840],
  u: [300, 870],
}

interface Syllable {
  from: number
  length: number
  pitch: number
  formants: readonly [number, number]
}

/** The syllables of a script along time, seconds: a vowel each, a gap between words, a pause between sentences. */
function syllablesOf(script: string, random: () => number): { syllables: Syllable[]; seconds: number } {
  const syllables: Syllable[] = []
  let at = 0.2
  for (const sentence of sentencesOf(script)) {
    for (const word of sentence.toLowerCase().split(/\s+/)) {
      for (const vowel of word.match(/[aeiouy]+/g) ?? []) {
        const length = 0.13 + random() * 0.05
        syllables.push({ from: at, length, pitch: 108 + random() * 34, formants: vowels[vowel[0]!.replace('y', 'i')]! })
        at += length + 0.01
      }
      at += 0.05
    }
    at += 0.6
  }
  return { syllables, seconds: at - 0.3 }
}

/** Something like a voice that says a script: its rhythm, pauses and vowels, not its words. WAV, made by computation. */
export function voiceOf(script: string, seed: number): Buffer {
  const { syllables, seconds } = syllablesOf(script, seeded(seed))
  return wav(
    {
      seconds,
      at: (second, noise) => {
        const syllable = syllables.findLast(one => one.from <= second)
        if (!syllable || second >= syllable.from + syllable.length) return noise() * 0.002
        const into = second - syllable.from
        const shape = Math.min(1, into / 0.02, (syllable.length - into) / 0.04)
        let sum = 0
        for (let harmonic = 1; harmonic <= 24; harmonic++) {
          const hz = syllable.pitch * harmonic
          const loud = syllable.formants.reduce((most, formant) => most + Math.exp(-(((hz - formant) / 160) ** 2)), 0.05)
          sum += (Math.sin(into * turn * hz) * loud) / Math.sqrt(harmonic)
        }
        return shape * (sum * 0.16 + (into < 0.02 ? noise() * 0.15 : 0))
      },
    },
    seed,
  )
}
