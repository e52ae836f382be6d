import { deckTheme, elementsOf, type Element } from '#core/model'
import {
  duplicateElements,
  groupElements,
  lookOf,
  pastedTops,
  placeElements,
  putLook,
  removeElements,
  setFields,
  stackElements,
  ungroupElements,
  type StackWay,
} from '#core/edits'
import type { Box, Id } from '#core/values'
import {
  align,
  boundsOf,
  boxOf,
  centerOf,
  distribute,
  flipTogether,
  gapsOf,
  movedBy,
  resizeTogether,
  sameSize,
  tidyGrid,
  tidyRows,
  turnTogether,
  type Axis,
  type Bounds,
  type Edge,
  type Placed,
  type Point,
} from '#core/place'

/** What parts are lined up with: the rectangle around all of them, the slide, or its margins. */
export type Against = 'each other' | 'slide' | 'margins'

/** What a duplicate was made of, so that the next one goes on by as much as it was moved. */
let lastCopy: { of: Point; copies: readonly Id[] } | null = null

/** What can be done with the selected parts, whatever they are: each is one step of undo. */
export function useArranging() {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const stage = useStage()
  const context = { id: freshId }
  const nameOf = (ids: readonly Id[]) =>
    ids.length === 1 ? (store.current.elements[ids[0]!]?.name ?? 'an element') : `${ids.length} elements`
  const ids = () => stage.movable
  const label = (what: string) => `${what} ${nameOf(ids())}`

  const placed = (): Placed[] =>
    ids().map(id => ({ id, boxes: Object.fromEntries(stage.leaves([id]).map(element => [element.id, element.box])) }))
  const bounds = (parts: readonly Placed[]) => boundsOf(...parts.flatMap(part => Object.values(part.boxes)))
  const keep = (what: string, parts: readonly Placed[]) =>
    store.edit(label(what), placeElements(store.current, { boxes: Object.assign({}, ...parts.map(part => part.boxes)) as Record<Id, Box> }))
  function frame(against: Against, parts: readonly Placed[]): Bounds {
    const { width, height } = stage.size
    const margin = against === 'margins' ? deckTheme(store.current).margin : 0
    return against === 'each other' ? bounds(parts) : { left: margin, top: margin, right: width - margin, bottom: height - margin }
  }
  const leafBoxes = () => stage.leaves(ids())
  const tried = (boxes: readonly Box[]) => Object.fromEntries(leafBoxes().map((element, index) => [element.id, boxes[index]!]))

  return {
    nameOf,
    /** The box around everything that is selected and may be moved; null of nothing. */
    around: () => (ids().length ? boxOf(bounds(placed())) : null),
    align(edge: Edge, against: Against) {
      const parts = placed()
      if (parts.length)
        keep('line up', align(parts, edge, frame(parts.length === 1 && against === 'each other' ? 'slide' : against, parts)))
    },
    distribute(axis: Axis, gap?: number) {
      const parts = placed()
      if (parts.length > 1) keep('space', distribute(parts, axis, gap))
    },
    /** The gap between neighbours where all are the same to a px; null otherwise. */
    gap(axis: Axis): number | null {
      const gaps = gapsOf(placed(), axis)
      return gaps.length && gaps.every(gap => Math.abs(gap - gaps[0]!) < 1) ? gaps[0]! : null
    },
    tidy: (way: 'rows' | 'grid') => keep('tidy', way === 'rows' ? tidyRows(placed()) : tidyGrid(placed(), { within: frame('slide', []) })),
    sameSize(which: 'width' | 'height' | 'both') {
      const parts = placed().filter(part => Object.keys(part.boxes).length === 1)
      const made = sameSize(
        parts.map(part => Object.values(part.boxes)[0]!),
        which,
      )
      store.edit(
        label('size'),
        placeElements(store.current, {
          boxes: Object.fromEntries(parts.map((part, index) => [Object.keys(part.boxes)[0]!, made[index]!])),
        }),
      )
    },
    /** Puts the box around the selection elsewhere, or makes it larger or smaller with all that is in it. */
    setBox(fields: Partial<Box>) {
      const parts = leafBoxes()
      if (!parts.length) return
      const [only] = parts
      const from = parts.length === 1 ? only!.box : boxOf(boundsOf(...parts.map(element => element.box)))
      const to = { ...from, ...fields }
      store.edit(
        label('place'),
        placeElements(store.current, {
          boxes: tried(
            parts.length === 1
              ? [to]
              : resizeTogether(
                  parts.map(element => element.box),
                  from,
                  to,
                ),
          ),
        }),
      )
    },
    turn(by: number) {
      const parts = leafBoxes()
      if (parts.length)
        store.edit(
          label('turn'),
          placeElements(store.current, {
            boxes: tried(
              turnTogether(
                parts.map(element => element.box),
                centerOf(boxOf(boundsOf(...parts.map(element => element.box)))),
                by,
              ),
            ),
          }),
        )
    },
    setAngle: (angle: number) =>
      store.edit(label('turn'), placeElements(store.current, { boxes: tried(leafBoxes().map(element => ({ ...element.box, angle }))) })),
    flip(axis: 'across' | 'down') {
      const parts = leafBoxes()
      if (!parts.length) return
      const made = flipTogether(parts, axis)
      const mirrors = parts.map((element, index) => [element, made[index]!] as const)
      store.edit(
        label('flip'),
        placeElements(store.current, {
          boxes: Object.fromEntries(mirrors.map(([element, { box }]) => [element.id, box])),
          flips: Object.fromEntries(
            mirrors
              .filter(([element]) => ['picture', 'shape', 'icon', 'figure'].includes(element.kind))
              .map(([element, { flip }]) => [element.id, flip]),
          ),
        }),
      )
    },
    nudge: (by: Point) =>
      store.edit(label('nudge'), placeElements(store.current, { boxes: tried(leafBoxes().map(element => movedBy(element.box, by))) })),
    group() {
      const changes = groupElements(store.current, { elements: ids() }, context)
      const group = changes[0]
      if (group?.do !== 'put') return
      store.edit(label('group'), changes)
      selected.select(group.record.id)
    },
    ungroup() {
      const groups = ids().filter(id => store.current.elements[id]?.kind === 'group')
      const members = groups.flatMap(id =>
        elementsOf(store.current, where.stageId!)
          .filter(element => element.parent === id)
          .map(element => element.id),
      )
      store.edit(label('ungroup'), ungroupElements(store.current, { groups }))
      if (members.length) selected.select(...members)
    },
    /** A step forward or back among what it stands with, or all the way. */
    stack: (way: StackWay) =>
      store.edit(
        label(way === 'forward' || way === 'front' ? 'bring forward' : 'send back'),
        stackElements(store.current, { elements: ids(), way }),
      ),
    duplicate() {
      const chosen = ids()
      if (!chosen.length || !where.stageId) return
      const at = boxOf(bounds(placed()))
      const again = lastCopy && lastCopy.copies.length === chosen.length && lastCopy.copies.every(id => chosen.includes(id))
      const offset = again ? { x: at.x - lastCopy!.of.x, y: at.y - lastCopy!.of.y } : { x: 40, y: 40 }
      const changes = duplicateElements(store.current, { elements: chosen, slide: where.stageId, offset }, context)
      store.edit(label('duplicate'), changes)
      const tops = pastedTops(store.current, changes)
      selected.select(...tops)
      lastCopy = { of: { x: at.x, y: at.y }, copies: tops }
    },
    remove() {
      if (!ids().length) return
      store.edit(label('delete'), removeElements(store.current, { elements: ids() }))
      selected.select()
    },
    pickLook() {
      const [element] = stage.chosen
      if (element) stage.picked = lookOf(store.current.elements[element.id]!)
    },
    putLook() {
      if (stage.picked)
        store.edit(label('dress'), putLook(store.current, { look: stage.picked, elements: stage.leaves(ids()).map(element => element.id) }))
    },
    /** Sets fields of every selected part. */
    set: (what: string, fields: Partial<Element>) =>
      store.edit(
        label(what),
        stage.chosen
          .filter(element => !element.pinned)
          .flatMap(element => setFields(store.current, { table: 'elements', id: element.id, fields })),
      ),
  }
}
