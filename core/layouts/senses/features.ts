import { partLine } from '../split'

/** What a slide's words are, as an outline has them. */
export interface SlideWords {
  title: string
  lines: readonly { text: string; level: number }[]
  /** Whether it opens the deck. */
  first: boolean
  /** Whether it ends the deck. */
  last?: boolean
  /** BCP 47; only names what to expect, all languages are read. */
  language?: string
}

/** What can be seen of a slide's lines without knowing what they mean. Shares are fractions of the lines at the top, 0 to 1. */
export interface Features {
  words: SlideWords
  /** Title in small letters. */
  title: string
  /** Lines at the top, and all words. */
  top: readonly string[]
  all: string
  count: number
  /** Lines beneath each line at the top. */
  under: readonly (readonly string[])[]
  /** Levels of indents, 1 where none is indented. */
  depth: number
  /** Words a line at the top, on average. */
  length: number
  dated: number
  clocked: number
  /** Whether the moments at the lines' starts rise. */
  rising: boolean
  figured: number
  percented: number
  /** Sum of the lines' percentages, 0 where there are none. */
  percents: number
  led: number
  named: number
  asked: number
  said: number
  imperative: number
}

const letters = (text: string) => text.toLocaleLowerCase()
const share = (lines: readonly string[], test: (line: string) => boolean) => (lines.length ? lines.filter(test).length / lines.length : 0)

const yearOf = (text: string) => {
  const match = /\b(1[5-9]\d{2}|2[01]\d{2})\b/.exec(text)
  return match ? Number(match[1]) : null
}
const minuteOf = (text: string) => {
  const match = /\b(\d{1,2})[:.h](\d{2})\b/.exec(text)
  return match ? Number(match[1]) * 60 + Number(match[2]) : null
}
function risingIn(lines: readonly string[]): boolean {
  for (const read of [yearOf, minuteOf]) {
    const values = lines.map(read)
    if (
      values.length > 1 &&
      values.every((value, index): value is number => value !== null && (index === 0 || value >= values[index - 1]!))
    )
      return true
  }
  return false
}

const verbs = new RegExp(
  `^(?:${[
    'add',
    'agree',
    'answer',
    'apply',
    'arrange',
    'ask',
    'attach',
    'board',
    'bring',
    'build',
    'buy',
    'call',
    'carry',
    'check',
    'choose',
    'clean',
    'click',
    'close',
    'collect',
    'compare',
    'connect',
    'cut',
    'decide',
    'dial',
    'draw',
    'drive',
    'enter',
    'fill',
    'find',
    'follow',
    'get',
    'give',
    'go',
    'hand',
    'hold',
    'inform',
    'join',
    'keep',
    'lay',
    'leave',
    'lift',
    'listen',
    'load',
    'lock',
    'look',
    'make',
    'measure',
    'meet',
    'move',
    'note',
    'open',
    'order',
    'pack',
    'park',
    'pay',
    'pick',
    'place',
    'plan',
    'press',
    'print',
    'publish',
    'pull',
    'put',
    'read',
    'register',
    'remove',
    'repeat',
    'report',
    'review',
    'scan',
    'select',
    'send',
    'set',
    'show',
    'sign',
    'sort',
    'start',
    'stop',
    'store',
    'take',
    'talk',
    'tell',
    'test',
    'tie',
    'train',
    'try',
    'turn',
    'unload',
    'use',
    'wait',
    'walk',
    'wash',
    'wear',
    'write',
  ].join('|')})\\s`,
  'i',
)
/** German verbs end their infinitive lines, French ones begin them. */
const infinitive = /(?:\p{Ll}(?:en|eln|ern)\.?$)|^(?:\p{Lu}\p{Ll}+(?:er|ir|re))\s/u

/** Reads what can be seen of a slide's words. Lines without words are passed over. */
export function featuresOf(words: SlideWords): Features {
  const filled = words.lines.filter(line => line.text.trim() !== '')
  const least = filled.reduce((low, line) => Math.min(low, line.level), 9)
  const top: string[] = []
  const under: string[][] = []
  let depth = filled.length ? 1 : 0
  for (const line of filled) {
    if (line.level <= least || !top.length) {
      top.push(line.text.trim())
      under.push([])
    } else {
      under.at(-1)!.push(line.text.trim())
      depth = Math.max(depth, line.level - least + 1)
    }
  }
  const percentOf = (line: string) => {
    const match = /(\d+(?:[.,]\d+)?)\s?(?:%|percent|per cent|prozent|pour cent)/i.exec(line)
    return match ? Number(match[1]!.replace(',', '.')) : null
  }
  const wordsIn = top.reduce((sum, line) => sum + line.split(/\s+/).length, 0)
  return {
    words,
    title: letters(words.title.trim()),
    top,
    under,
    depth,
    all: letters([words.title, ...filled.map(line => line.text)].join('\n')),
    count: top.length,
    length: top.length ? wordsIn / top.length : 0,
    dated: share(top, line => partLine(line, 'date') !== null || /^(?:1[5-9]|20|21)\d{2}$/.test(line)),
    clocked: share(top, line => /^(?:(?:from|ab|bis|à|um) )?\d{1,2}[:.h]\d{2}\b/i.test(line)),
    rising: risingIn(top),
    figured: share(top, line => partLine(line, 'number') !== null || /^\D{0,2}\d[\d.,\s]*\D{0,3}$/.test(line)),
    percented: share(top, line => percentOf(line) !== null),
    percents: top.reduce((sum, line) => sum + (percentOf(line) ?? 0), 0),
    led: share(top, line => partLine(line, 'lead') !== null),
    named: share(top, line => partLine(line, 'person') !== null),
    asked: share(top, line => /[?？؟](?:\s|$)/.test(line)),
    said: share(top, line => partLine(line, 'saying') !== null || /^[“”„"«‘].{4,}[“”"»’]\.?$/.test(line)),
    imperative: share(top, line => verbs.test(line.replace(/^[^:]{1,20}:\s/, '')) || (words.language !== 'en' && infinitive.test(line))),
  }
}

const counts = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
/** A count with its thing in words: “four lines”, “Four lines” at a sentence's start. */
export function counted(count: number, thing: string, opening = true): string {
  const number = counts[count] ?? String(count)
  const words = `${number} ${thing}${count === 1 ? '' : 's'}`
  return opening ? words[0]!.toUpperCase() + words.slice(1) : words
}
