import { clippingSchema, pieceOf, pastedTops, putPiece, renewPiece, setFields, type Piece } from '#core/edits'
import type { Change, Deck, GroupElement } from '#core/model'
import type { Id } from '#core/values'

/** A deck of one slide that shows a piece at its place, with the look of another deck. */
export function pieceDeck(deck: Deck, piece: Piece): Deck {
  const owner = 'piece'
  const [layout] = Object.values(deck.slides)
  return {
    ...deck,
    beats: { first: { id: 'first', slide: owner, order: 'a0', start: 'advance', hold: { kind: 'reading' } } },
    cues: {},
    states: {},
    sounds: {},
    slides: { [owner]: { id: owner, order: 'a0', layout: layout?.layout ?? '', notes: '' } },
    layouts: { ...deck.layouts },
    elements: Object.fromEntries(piece.content.elements.map(element => [element.id, { ...element, owner }])),
  }
}

/** Keeps parts on the team's shelf, puts them on slides bound or free, and lets bound ones follow. */
export function usePieces() {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const stage = useStage()

  async function keep(name: string, tags: readonly string[], replaces?: Id): Promise<Piece | undefined> {
    const content = store.deck && pieceOf(store.deck, stage.movable)
    if (!content) return undefined
    const kept = await asking(() =>
      $fetch<Piece>('/api/pieces', { method: 'POST', body: { name, tags, content, ...(replaces ? { replaces } : {}) } }),
    )
    if (kept) notify(replaces ? `“${kept.name}” is changed: version ${kept.version}` : `“${kept.name}” is in the library`)
    return kept
  }
  function put(piece: Piece, bound: boolean) {
    if (!store.deck || !where.stageId) return
    const read = clippingSchema.safeParse(piece.content)
    if (!read.success)
      return void useToast().add({ title: `“${piece.name}” was kept by another version and cannot be read.`, color: 'error' })
    const changes = putPiece(store.deck, { piece: { ...piece, content: read.data }, owner: where.stageId, bound }, store.context)
    store.edit(`put the block ${piece.name}`, changes)
    selected.select(...pastedTops(store.deck, changes))
  }
  const boundGroups = () =>
    Object.values(store.deck?.elements ?? {}).filter((element): element is GroupElement => element.kind === 'group' && !!element.piece)
  /** Bound groups of the open deck are brought to the newest version of their pieces, in one step of undo. */
  async function follow() {
    const ids = [...new Set(boundGroups().map(group => group.piece!.id))]
    if (!ids.length || !store.canEdit) return
    const found = await asking(() => $fetch<{ pieces: Piece[] }>('/api/pieces', { query: { ids: ids.join() } }))
    const newer = (found?.pieces ?? []).filter(piece =>
      boundGroups().some(group => group.piece!.id === piece.id && group.piece!.version < piece.version),
    )
    if (!newer.length || !store.deck) return
    const changes = newer.flatMap((piece): Change[] => renewPiece(store.current, { piece }, store.context))
    store.edit(`follow ${listWords(newer.map(piece => piece.name))}`, changes)
    notify(`${listWords(newer.map(piece => `“${piece.name}”`))} was changed in the library; this deck follows. Undo takes it back.`)
  }
  /** What was changed in a bound group becomes the piece, everywhere. */
  async function keepChanges(group: GroupElement) {
    const [known] = (await asking(() => $fetch<{ pieces: Piece[] }>('/api/pieces', { query: { ids: group.piece!.id } })))?.pieces ?? []
    const kept = await keep(known?.name ?? group.name, known?.tags ?? [], known ? group.piece!.id : undefined)
    if (!kept || !store.deck) return
    store.edit(
      `bind ${group.name} to its new version`,
      setFields(store.deck, { table: 'elements', id: group.id, fields: { piece: { id: kept.id, version: kept.version } } }),
    )
    await follow()
  }
  const letGo = (group: GroupElement) =>
    store.edit(`let ${group.name} be free`, setFields(store.current, { table: 'elements', id: group.id, fields: { piece: undefined } }))
  return { keep, put, follow, keepChanges, letGo }
}
