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

/** Writes them where the server's build takes them from. */
export function writeIcons(from, to) {
  fs.mkdirSync(to, { recursive: true })
  fs.writeFileSync(path.join(to, 'icons.json'), JSON.stringify(trimIcons(from)))
}
