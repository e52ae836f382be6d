import { deckTheme } from '#core/model'
import { boundsOf, type SnapRoom } from '#core/place'
import type { Guides, Id } from '#core/values'

/** What the hand is drawn to on the stage: other parts, the slide and its margins, guides of its own and from below. */
export function useSnapping() {
  const store = useDeck()
  const where = useWhere()
  const stage = useStage()
  const owner = computed(() => {
    const deck = store.deck
    const id = where.stageId
    if (!deck || !id) return null
    const table = deck.slides[id] ? ('slides' as const) : deck.layouts[id] ? ('layouts' as const) : ('masters' as const)
    return { table, record: deck[table][id] }
  })
  const none: Guides = { x: [], y: [] }
  const own = computed<Guides>(() => owner.value?.record?.guides ?? none)
  /** Guides of the layout and master beneath, which are moved there. */
  const beneath = computed<Guides>(() => {
    const deck = store.deck
    const record = owner.value?.record
    if (!deck || !record || owner.value!.table === 'masters') return none
    const layout = owner.value!.table === 'slides' ? deck.layouts[(record as { layout: Id }).layout] : undefined
    const master = deck.masters[(layout ?? (record as { master?: Id })).master ?? '']
    return {
      x: [...(layout?.guides?.x ?? []), ...(master?.guides?.x ?? [])],
      y: [...(layout?.guides?.y ?? []), ...(master?.guides?.y ?? [])],
    }
  })
  const guides = computed<Guides>(() => ({ x: [...own.value.x, ...beneath.value.x], y: [...own.value.y, ...beneath.value.y] }))

  /** The room that parts move in; `free` draws them to nothing. */
  function roomFor(moving: ReadonlySet<Id>, free = false): SnapRoom {
    const others = stage.elements
      .filter(
        element =>
          !moving.has(element.id) && !element.pinned && element.kind !== 'group' && !(element.kind === 'shape' && element.shape === 'line'),
      )
      .map(element => boundsOf(element.box))
    return { others, size: stage.size, margin: deckTheme(store.current).margin, reach: free ? 0 : 7 / stage.scale, guides: guides.value }
  }
  return { owner, own, beneath, roomFor }
}
