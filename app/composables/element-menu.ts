import type { DropdownMenuItem } from '@nuxt/ui'
import { setFields, setShows } from '#core/edits'
import type { ShownElement } from '#core/resolved'
import type { Id } from '#core/values'

/** What is done with elements wherever one meets them: on the stage, in the list of what stands on a slide. */
export function useElementMenu() {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const stage = useStage()
  const arranging = useArranging()

  /** The selection where an element is of it, else that element alone. */
  const among = (id: Id) => (selected.elements.includes(id) ? [...selected.elements] : [id])
  const isHidden = (id: Id) => !!stage.deck?.elements[id]?.hidden
  const isLocked = (id: Id) => !!store.current.elements[id]?.locked
  function hide(id: Id) {
    const shows = isHidden(id)
    const inVariant = stage.variant ? ` in ${store.current.variants[stage.variant]!.name}` : ''
    store.edit(
      `${shows ? 'show' : 'hide'} ${arranging.nameOf(among(id))}${inVariant}`,
      setShows(store.current, { elements: among(id), variant: stage.variant, shows }),
    )
  }
  const lock = (id: Id) =>
    store.edit(
      `${isLocked(id) ? 'unlock' : 'lock'} ${arranging.nameOf(among(id))}`,
      among(id).flatMap(one =>
        setFields(store.current, { table: 'elements', id: one, fields: { locked: isLocked(id) ? undefined : true } }),
      ),
    )
  /** Does something with an element, or with the selection that it is of. */
  const withIt = (id: Id, act: () => void) => () => {
    if (!selected.elements.includes(id)) selected.select(id)
    act()
  }

  const order = (id: Id): DropdownMenuItem[] => [
    { label: 'Forward', icon: 'i-lucide-arrow-up', kbds: ['PgUp'], onSelect: withIt(id, () => arranging.stack('forward')) },
    { label: 'Back', icon: 'i-lucide-arrow-down', kbds: ['PgDn'], onSelect: withIt(id, () => arranging.stack('back')) },
    { label: 'To the front', icon: 'i-lucide-arrow-up-to-line', onSelect: withIt(id, () => arranging.stack('front')) },
    { label: 'To the back', icon: 'i-lucide-arrow-down-to-line', onSelect: withIt(id, () => arranging.stack('behind')) },
  ]
  const copies = (id: Id): DropdownMenuItem[] => [
    { label: 'Duplicate', icon: 'i-lucide-copy', kbds: ['Ctrl', 'D'], onSelect: withIt(id, arranging.duplicate) },
    { label: 'Copy its look', icon: 'i-lucide-pipette', onSelect: withIt(id, arranging.pickLook) },
    ...(stage.picked
      ? [{ label: 'Put the copied look on it', icon: 'i-lucide-paint-roller', onSelect: withIt(id, arranging.putLook) }]
      : []),
  ]
  function groups(id: Id): DropdownMenuItem[] {
    const ids = among(id)
    return [
      ...(ids.length > 1 ? [{ label: 'Group', icon: 'i-lucide-group', kbds: ['G'], onSelect: withIt(id, arranging.group) }] : []),
      ...(ids.some(one => store.current.elements[one]?.kind === 'group')
        ? [{ label: 'Ungroup', icon: 'i-lucide-ungroup', kbds: ['Shift', 'G'], onSelect: withIt(id, arranging.ungroup) }]
        : []),
    ]
  }
  /** All of it; `own` stands first. Nothing for who may only look, for what the master holds, and on a form. */
  function menuOf(element: ShownElement | null | undefined, own: DropdownMenuItem[] = []): DropdownMenuItem[][] {
    if (!element || element.pinned || !store.canEdit || where.isForm) return []
    const { id } = element
    return [
      own,
      copies(id),
      order(id),
      [
        ...groups(id),
        {
          label: isHidden(id) ? 'Show' : 'Hide',
          icon: isHidden(id) ? 'i-lucide-eye' : 'i-lucide-eye-off',
          onSelect: () => hide(id),
        },
        { label: isLocked(id) ? 'Unlock' : 'Lock', icon: isLocked(id) ? 'i-lucide-lock-open' : 'i-lucide-lock', onSelect: () => lock(id) },
      ],
      [{ label: 'Delete', icon: 'i-lucide-trash-2', kbds: ['Del'], onSelect: withIt(id, arranging.remove) }],
    ].filter(list => list.length)
  }
  return { menuOf, among, isHidden, isLocked, hide, lock }
}
