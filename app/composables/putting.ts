import { addElement } from '#core/edits'
import { freeSpot } from '#core/place'
import type { ElementWithout } from '#core/model'
import type { Box } from '#core/values'

/** An element before it has an id, an owner and a place in the order. */
export type NewElement = ElementWithout<'id' | 'owner' | 'order'>

/** Puts new parts on what the stage at work shows, in front of all others, and selects them. */
export function usePutting() {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const stage = useStage()
  /** The middle of the slide; of a board the middle of what is in sight. */
  const middle = () => {
    const { width, height } = stage.size
    return store.current.slides[where.stageId ?? '']?.board
      ? { x: width / 2 - stage.pan.x / stage.scale, y: height / 2 - stage.pan.y / stage.scale }
      : { x: width / 2, y: height / 2 }
  }

  /** A box of a size about a point, or in the middle. px of deck space. */
  const boxAt = (width: number, height: number, at: { x: number; y: number } = middle()): Box => ({
    x: Math.round(at.x - width / 2),
    y: Math.round(at.y - height / 2),
    width,
    height,
    angle: 0,
  })
  function put(label: string, element: NewElement): string | undefined {
    if (!where.stageId) return
    const id = freshId()
    // What hides another that begins at the same place is soon taken for it.
    const free = element.box && {
      box: freeSpot(
        element.box,
        stage.elements.map(one => one.box),
        stage.size,
      ),
    }
    store.edit(label, addElement(store.current, { element: { ...element, ...free, id, owner: where.stageId } }))
    selected.select(id)
    return id
  }
  return { boxAt, put }
}
