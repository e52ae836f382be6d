import { pressed, type ShownElement } from '#core/resolved'

/** What the keyboard does on the stage; `open` goes into a part: its words, its frame, its group. */
export function useStageKeys(open: (element: ShownElement) => void) {
  const store = useDeck()
  const selected = useSelected()
  const stage = useStage()
  const arranging = useArranging()
  const arrows: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  }

  function stepOut() {
    if (stage.tool) stage.tool = null
    else if (stage.opened) {
      const group = stage.opened
      stage.opened = store.deck?.elements[group]?.parent ?? null
      selected.select(group)
    } else selected.select()
  }
  const plain: Readonly<Record<string, () => void>> = {
    Delete: arranging.remove,
    Backspace: arranging.remove,
    Escape: stepOut,
    g: arranging.group,
    G: arranging.ungroup,
    PageUp: () => arranging.stack('forward'),
    PageDown: () => arranging.stack('back'),
    '+': () => stage.zoomTo(stage.zoom * 1.25),
    '-': () => stage.zoomTo(stage.zoom / 1.25),
    '0': stage.fit,
    Enter: () => stage.single && open(stage.single),
  }
  onKeys(event => {
    // What is worked inside of has the keys, wherever the focus is.
    if (isTyping(event.target) || stage.editing) return
    const control = event.ctrlKey || event.metaKey
    const key = event.key.toLowerCase()
    const arrow = arrows[event.key]
    if (control && key === 'a') {
      event.preventDefault()
      selected.select(
        ...new Set(
          stage.elements
            .filter(element => !element.pinned && !element.locked)
            .map(element => pressed(store.current, element.id, stage.opened)),
        ),
      )
    } else if (control && key === 'd') {
      event.preventDefault()
      arranging.duplicate()
    } else if (arrow && stage.movable.length && !control) {
      event.preventDefault()
      const step = event.altKey ? 1 : event.shiftKey ? 40 : 8
      arranging.nudge({ x: arrow[0] * step, y: arrow[1] * step })
    } else if (!control && !event.altKey && plain[event.key]) {
      // On a form, and where the role is viewer, nothing is movable and so nothing happens.
      if (event.target instanceof HTMLButtonElement && event.key === 'Enter') return
      event.preventDefault()
      plain[event.key]!()
    }
  })
}
