import type { DropdownMenuItem } from '@nuxt/ui'
import { duplicateSlide, moveSlide, removeSlides, setFields } from '#core/edits'
import { insertOutline, type OutlineSlide } from '#core/layouts'
import type { Change } from '#core/model'

/** The first slide that changes put into a deck. */
export const putSlide = (changes: readonly Change[]) =>
  changes.find((change): change is Change & { do: 'put'; table: 'slides' } => change.do === 'put' && change.table === 'slides')?.record.id

/** What is done with one slide, wherever it is met: in the outline, in the rundown. */
export function useSlideMenu() {
  const store = useDeck()
  const where = useWhere()
  const context = { id: freshId }
  const indexOf = (slide: string) => store.slides.findIndex(one => one.id === slide)
  const move = (slide: string, by: 1 | -1) => store.edit('move a slide', moveSlide(store.current, { slide, index: indexOf(slide) + by }))

  /** A slide after another, or the first one, where one goes at once; answers with its id. */
  function newAfter(slide: string | null, outline: OutlineSlide = { title: '', lines: [] }) {
    const changes = insertOutline(store.current, { after: slide, slides: [outline] }, context)
    store.edit('new slide', changes)
    const put = putSlide(changes)
    if (put) where.goToSlide(put)
    return put
  }
  const duplicate = (slide: string): DropdownMenuItem => ({
    label: 'Duplicate',
    icon: 'i-lucide-copy',
    onSelect: () => store.edit('duplicate a slide', duplicateSlide(store.current, { slide }, context)),
  })
  const skip = (slide: string): DropdownMenuItem => {
    const skipped = store.current.slides[slide]?.skipped
    return {
      label: skipped ? 'Show in play again' : 'Skip in play',
      icon: 'i-lucide-eye-off',
      onSelect: () =>
        store.edit(
          'skip a slide',
          setFields(store.current, { table: 'slides', id: slide, fields: { skipped: skipped ? undefined : true } }),
        ),
    }
  }
  const remove = (slide: string): DropdownMenuItem => ({
    label: 'Remove',
    icon: 'i-lucide-trash-2',
    onSelect: () => store.edit('remove a slide', removeSlides(store.current, { slides: [slide] })),
  })

  /** All of it, for a slide that is met outside the outline; nothing for who may only look. */
  const menuOf = (slide: string | null): DropdownMenuItem[][] =>
    !slide || !store.canEdit || !store.current.slides[slide]
      ? []
      : [
          [{ label: 'New slide after it', icon: 'i-lucide-plus', onSelect: () => void newAfter(slide) }, duplicate(slide), skip(slide)],
          [
            {
              label: 'Earlier',
              icon: 'i-lucide-arrow-left',
              kbds: ['Alt', '←'],
              disabled: indexOf(slide) <= 0,
              onSelect: () => move(slide, -1),
            },
            {
              label: 'Later',
              icon: 'i-lucide-arrow-right',
              kbds: ['Alt', '→'],
              disabled: indexOf(slide) >= store.slides.length - 1,
              onSelect: () => move(slide, 1),
            },
          ],
          [remove(slide)],
        ]
  return { menuOf, duplicate, skip, remove, newAfter }
}
