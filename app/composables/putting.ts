import { addElement, type Box, type Element } from '#core/deck'

/** An element before it has an id, an owner and a place in the order. */
export type NewElement = Element extends infer E ? (E extends Element ? Omit<E, 'order' | 'id' | 'owner'> : never) : never

/** Puts new parts on what the stage at work shows, in front of all others, and selects them. */
export function usePutting() {
  const store = useDeck()
  const size = computed(() => store.deck!.info.info!.size)

  /** A box of a size about a point, or in the middle. px of deck space. */
  const boxAt = (width: number, height: number, at?: { x: number, y: number }): Box => ({
    x: Math.round((at?.x ?? size.value.width / 2) - width / 2), y: Math.round((at?.y ?? size.value.height / 2) - height / 2), width, height, angle: 0,
  })
  function put(label: string, element: NewElement): string | undefined {
    if (!store.stageId) return
    const id = freshId()
    store.edit(label, addElement(store.deck!, { element: { ...element, id, owner: store.stageId } as never }))
    store.select(id)
    return id
  }
  return { boxAt, put }
}
