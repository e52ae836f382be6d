import { removeSlides } from '#core/edits'
import { insertOutline, isOnlyWords, outlineOf, setOutlineSlide } from '#core/layouts'
import { applyChanges, beatsOf, infoOf } from '#core/model'

/** Words read as an outline; null where they cannot be, which is told. What reads them is loaded with the first that come. */
export async function readOutline(text: string, name = '', language?: string) {
  const reader = await needed(() => import('#core/formats/outline'))
  const read = await reader?.readOutline(text, name, language)
  if (read && !read.ok) useToast().add({ title: read.message, color: 'error', duration: 9000 })
  return read?.ok ? read.value : null
}

/** Lets words that were pasted, brought as a file, or that the deck was begun with, become slides. */
export function useOutlineIntake() {
  const store = useDeck()
  const where = useWhere()
  const furnish = useFurnishing()
  /** What goes on, where that takes a while; empty otherwise. */
  const busy = ref('')
  /** How many slides came last as a deck’s first words: what may be designed as a whole. */
  const arrived = ref(0)

  /** The slide that a new deck begins with gives way, unless something was made of it. */
  function givesWay(slide: string) {
    const { title, lines } = outlineOf(store.current, store.current.slides[slide]!)
    const isFirst = title === infoOf(store.current).title && store.slides.length === 1
    const isPlain = isOnlyWords(store.current, slide) && beatsOf(store.current, slide).length < 2
    return isPlain && !lines.length && (!title || isFirst)
  }

  /** Words read as an outline; null too where the deck that they were meant for was left meanwhile. */
  async function read(text: string, name?: string) {
    const { id } = store
    const made = await readOutline(text, name, infoOf(store.current).language)
    return store.deck && store.id === id ? made : null
  }

  /** Puts them after a slide, or in its place where nothing was made of it; without one, at the end. */
  async function take(text: string, slide: string | undefined, name = '') {
    const made = await read(text, name)
    if (!made) return
    const { slides, notes } = made
    if (slides.length > 300) {
      busy.value = `Laying out ${numberWords(slides.length)} slides`
      await new Promise(resolve => setTimeout(resolve, 60))
    }
    const ids = store.slides.map(({ id }) => id)
    const gone = slide !== undefined && ids.includes(slide) && givesWay(slide) ? slide : null
    const after = (gone ? ids[ids.indexOf(gone) - 1] : (slide ?? ids.at(-1))) ?? null
    const removed = gone ? removeSlides(store.current, { slides: [gone] }) : []
    const changes = insertOutline(applyChanges(store.current, removed), { after, slides }, store.context)
    store.edit(`paste ${slides.length} slides`, [...removed, ...changes])
    if (slides.length > 2 && store.slides.length === slides.length) arrived.value = slides.length
    busy.value = ''
    const put = putSlide(changes)
    if (put) where.goToSlide(put)
    const arrivedSlides = changes.flatMap(change => (change.do === 'put' && change.table === 'slides' ? [change.record.id] : []))
    void furnish(arrivedSlides)
    for (const note of notes) useToast().add({ title: note, color: 'warning', duration: 9000 })
  }
  /** Puts them as lines after one of a slide's, or in its place where it is empty. */
  async function takeLines(text: string, slide: string, line: number) {
    const made = await read(text)
    const record = store.deck?.slides[slide]
    if (!made || !record) return
    const outline = outlineOf(store.current, record)
    const lines = made.slides.flatMap(({ title, lines }) => [
      { text: title, level: 1 },
      ...lines.map(entry => ({ ...entry, level: Math.min(9, entry.level + 1) })),
    ])
    const at = Math.min(line, outline.lines.length)
    const isEmpty = outline.lines[at]?.text === ''
    const changed = outline.lines.toSpliced(isEmpty ? at : at + 1, isEmpty ? 1 : 0, ...lines)
    store.edit('change the outline', setOutlineSlide(store.current, { slide, outline: { ...outline, lines: changed } }, store.context))
  }
  async function takeFile(file: File) {
    if (file.size > 5_000_000)
      useToast().add({
        title: `“${file.name}” has more than 5 MB. An outline is plain text; paste the part that you need.`,
        color: 'error',
      })
    else await take(await file.text(), store.slides.at(-1)?.id, file.name)
  }

  const begun = useBegun()
  onMounted(() => {
    const own = begun.value?.deck === store.id ? begun.value : null
    begun.value = null
    if (own) void take(own.words, store.slides[0]?.id)
  })
  return { busy, arrived, take, takeLines, takeFile }
}
