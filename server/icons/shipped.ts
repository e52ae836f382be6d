import type { DrawnIcon } from '../../core/model'
import { findIcons, type IconEntry } from '../../core/icons'

type Nodes = Record<string, [string, Record<string, string>][]>
interface Shipped extends IconEntry {
  filled: boolean
}

let known: Promise<{ entries: Shipped[]; outline: Nodes; filled: Nodes }> | undefined

/** The icons that ship with the application, read once. Signs of companies are left out: they are nobody's to give. */
function shipped() {
  known ??= (async () => {
    const storage = useStorage('assets:icons')
    const read = async <T>(name: string) => (await storage.getItem<T>(`${name}.json`))!
    const [list, outline, filled] = [
      await read<Record<string, { name: string; category: string; tags: (string | number)[] }>>('icons'),
      await read<Nodes>('tabler-nodes-outline'),
      await read<Nodes>('tabler-nodes-filled'),
    ]
    const usable = Object.values(list).filter(icon => icon.category !== 'Brand' && !icon.name.startsWith('brand-') && outline[icon.name])
    const entries = usable.flatMap(({ name, category, tags }): Shipped[] => {
      const words = [...tags.map(tag => String(tag).toLowerCase()), category.toLowerCase()]
      return [{ name, words, filled: false }, ...(filled[name] ? [{ name, words: [...words, 'filled', 'solid'], filled: true }] : [])]
    })
    return { entries, outline, filled }
  })()
  return known
}

/** Some of the shipped icons that words find, best first, and how many there are in all. */
export async function shippedIcons(words: string, from: number, count: number): Promise<{ total: number; icons: DrawnIcon[] }> {
  const { entries, outline, filled } = await shipped()
  const found = findIcons(entries, words)
  const icons = found.slice(from, from + count).map((entry): DrawnIcon => ({
    name: entry.filled ? `${entry.name}, filled` : entry.name,
    view: [24, 24],
    paths: (entry.filled ? filled : outline)[entry.name]!.map(([, attributes]) =>
      entry.filled ? { d: attributes.d! } : { d: attributes.d!, width: 2 },
    ),
  }))
  return { total: found.length, icons }
}
