import fs from 'node:fs'
import path from 'node:path'

/** The emoji with what the finder of signs looks at, and nothing else of their package: no skins, groups or codes. */
export function trimEmoji(all) {
  return all.filter(entry => entry.order !== undefined).map(({ unicode, label, tags, order }) => ({ unicode, label, tags, order }))
}

/**
 * A plugin for Vite that puts the trimmed emoji in place of the package's file.
 *
 * @returns {import('vite').Plugin}
 */
export const emojiTrimmed = () => ({
  name: 'hailbank-emoji',
  enforce: 'pre',
  transform(code, id) {
    if (/emojibase-data[/\\]en[/\\]compact\.json$/.test(id)) return { code: JSON.stringify(trimEmoji(JSON.parse(code))), map: null }
  },
})

const namespaces = () => {
  const code = fs.readFileSync(path.join('node_modules/reka-ui/dist/namespaced/index.mjs'), 'utf8')
  return new Map([...code.matchAll(/const (\w+) = \{([^}]*)\};/g)].map(([, name, members]) => [name, members]))
}

/**
 * A plugin for Vite that takes each family of primitives from a module of its own. The package has all families in one module, so that a
 * page with a menu would load the calendars that another page has.
 *
 * @returns {import('vite').Plugin}
 */
export const namespacesApart = () => {
  const mark = 'hailbank-namespace:'
  let known
  return {
    name: 'hailbank-namespaces',
    enforce: 'pre',
    resolveId(id) {
      if (id.startsWith(mark)) return `\0${id}`
    },
    load(id) {
      if (!id.startsWith(`\0${mark}`)) return
      const name = id.slice(mark.length + 1)
      const members = (known ??= namespaces()).get(name)
      if (!members) throw new Error(`reka-ui/namespaced has no ${name} any more: scripts/trim.mjs has to follow`)
      const parts = [...members.matchAll(/: (\w+)/g)].map(([, part]) => part)
      return { code: `import { ${parts.join(', ')} } from 'reka-ui'\nexport const ${name} = {${members}}`, moduleSideEffects: false }
    },
    transform(code) {
      if (!code.includes('reka-ui/namespaced')) return
      const apart = code.replace(/import \{([^}]+)\} from ["']reka-ui\/namespaced["'];?/g, (_, names) =>
        names
          .split(',')
          .map(entry => `import { ${entry.trim()} } from '${mark}${entry.trim().split(' as ')[0]}';`)
          .join(' '),
      )
      return { code: apart, map: null }
    },
  }
}

/**
 * The icons that ship: words to find them by, and the paths of each as an outline and, where it has one, filled in. Signs of companies are
 * left out: they are nobody's to give.
 *
 * @param {string} from The folder of the package of icons.
 * @returns {{ name: string, words: string[], outline: string[], filled?: string[] }[]}
 */
export function trimIcons(from) {
  const read = name => JSON.parse(fs.readFileSync(path.join(from, `${name}.json`), 'utf8'))
  const [list, outline, filled] = [read('icons'), read('tabler-nodes-outline'), read('tabler-nodes-filled')]
  const paths = nodes => nodes.map(([, attributes]) => attributes.d)
  return Object.values(list)
    .filter(icon => icon.category !== 'Brand' && !icon.name.startsWith('brand-') && outline[icon.name])
    .map(({ name, category, tags }) => ({
      name,
      words: [...tags.map(tag => String(tag).toLowerCase()), category.toLowerCase()],
      outline: paths(outline[name]),
      ...(filled[name] ? { filled: paths(filled[name]) } : {}),
    }))
}

/** Languages whose words find icons too, as the package of emoji names their folders. */
const tongues = ['de', 'fr', 'es', 'it', 'pt', 'nl', 'da', 'nb', 'sv', 'pl']
/** English words that one word of another language is given at most. */
const mostSynonyms = 8
const bare = word => word.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/**
 * English words for the words of other languages, by language: an emoji has names and tags in each, and what names the same one means the
 * same. Words are in small letters without marks; the first of a list fits best.
 *
 * @param {string} from The folder of the package of emoji.
 * @returns {Record<string, Record<string, string[]>>}
 */
export function synonyms(from) {
  const read = tongue => JSON.parse(fs.readFileSync(path.join(from, tongue, 'compact.json'), 'utf8'))
  const wordsOf = ({ label, tags = [] }) => [...new Set([label, ...tags].map(bare))].filter(word => /^\p{L}{3,}$/u.test(word))
  // Flags are named after countries, hands and faces after moods: neither says what a thing is called.
  const english = new Map(
    read('en')
      .filter(({ group }) => group !== undefined && group > 1 && group !== 9)
      .map(entry => [
        entry.hexcode,
        [...new Set([...bare(entry.label).split(/[^a-z]+/), ...wordsOf(entry)])].filter(word => word.length > 2),
      ]),
  )
  const often = new Map()
  for (const words of english.values()) for (const word of words) often.set(word, (often.get(word) ?? 0) + 1)
  return Object.fromEntries(
    tongues.map(tongue => {
      /** How often each English word comes with a word, weighed by how seldom it comes at all. */
      const found = new Map()
      for (const entry of read(tongue)) {
        const means = english.get(entry.hexcode)
        if (!means) continue
        const called = bare(entry.label)
        for (const word of wordsOf(entry)) {
          const counts = found.get(word) ?? new Map()
          found.set(word, counts)
          for (const mean of means) counts.set(mean, (counts.get(mean) ?? 0) + (called === word ? 2 : 1) / Math.sqrt(often.get(mean)))
        }
      }
      const best = counts =>
        [...counts]
          .sort((a, b) => b[1] - a[1])
          .slice(0, mostSynonyms)
          .map(([mean]) => mean)
      return [tongue, Object.fromEntries([...found].map(([word, counts]) => [word, best(counts)]))]
    }),
  )
}

/** Writes icons and words where the server's build takes them from. */
export function writeIcons(icons, emoji, to) {
  fs.mkdirSync(to, { recursive: true })
  fs.writeFileSync(path.join(to, 'icons.json'), JSON.stringify(trimIcons(icons)))
  fs.writeFileSync(path.join(to, 'synonyms.json'), JSON.stringify(synonyms(emoji)))
}
