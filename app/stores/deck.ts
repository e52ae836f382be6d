import { asPlayed, tablesOfRows, withAmounts } from '#core/amounts'
import { infoOf, applyChanges, fitChanges, slidesOf, tableNames, type Change, type Deck, type EditContext } from '#core/model'
import { ySyncPluginKey } from 'y-prosemirror'
import { Awareness } from 'y-protocols/awareness'
import * as Y from 'yjs'
import { changesOnForm } from '#core/resolved'
import { settleAgendas } from '#core/layouts'
import { applyToDocument, liveTable, localOrigin, mirrorOf, type Mirror } from '#core/live'
import { growBoxes } from '#core/text'
import { rundown } from '#core/timing'
import { connectDocument, noStatus, type ConnectionStatus } from '../live/connection'
import { unsentOf } from '../live/unsent'

export interface Peer {
  client: number
  name: string
  color: string
  slide: string | null
  selection: string[]
}

const peerColors = ['#7d4a78', '#2f7f9a', '#77761f', '#b8412f', '#5c6f86', '#12615c']
const colorOf = (name: string) => peerColors[[...name].reduce((sum, letter) => sum + letter.codePointAt(0)!, 0) % peerColors.length]!

/** The deck that is open: its live document as a plain deck, edits with undo, and who else is in it. */
export const useDeck = defineStore('deck', () => {
  const { user, canEdit } = useUserSession()
  const stage = useStageHost()

  const id = ref<string | null>(null)
  /** As it is kept. */
  const kept = shallowRef<Deck | null>(null)
  /** The same with the numbers in its texts as their tables have them now. */
  const deck = computed(() => kept.value && withAmounts(kept.value, stage.host.table))
  const status = shallowRef<ConnectionStatus>(noStatus)
  const peers = shallowRef<Peer[]>([])
  const undoLabel = ref<string | null>(null)
  const redoLabel = ref<string | null>(null)

  let document: Y.Doc | null = null
  let mirror: Mirror | null = null
  let awareness: Awareness | null = null
  let connection: { stop(): void } | null = null
  let undoManager: Y.UndoManager | null = null
  let label = ''
  const shared: Pick<Peer, 'slide' | 'selection'> = { slide: null, selection: [] }
  let users = 0

  const context: EditContext = { id: freshId }
  /** Whether a form would hold this person to its places: the server says so. */
  const heldToPlaces = ref(false)
  const slides = computed(() => (deck.value ? slidesOf(deck.value) : []))
  const purpose = computed(() => deck.value?.info.info?.purpose ?? 'talk')
  /** Changes under the hand: everything shows the deck as it would be with them, and nothing of it is kept. */
  const tried = shallowRef<readonly Change[] | null>(null)
  const shown = computed(() => {
    if (!deck.value || !tried.value?.length) return deck.value
    const fit = fitChanges(deck.value, tried.value)
    return fit.ok ? applyChanges(deck.value, fit.value.changes) : deck.value
  })
  const planOf = (of: Deck | null) => (of ? rundown(of, purpose.value, stage.host) : null)
  /** As the deck is, whatever is tried out: what is laid out to scale does not change it under the hand. */
  const keptPlan = computed(() => planOf(deck.value))
  const plan = computed(() => (shown.value === deck.value ? keptPlan.value : planOf(shown.value)))
  /** The same as it is played: a slide that is there for rows is one for each of them. */
  const played = computed(() =>
    shown.value && tablesOfRows(shown.value).length ? planOf(asPlayed(shown.value, stage.host.table)) : plan.value,
  )

  /** The deck that is open. Only what stands in the page of an open deck may ask for it; anywhere else that is a fault. */
  const current = computed(() => {
    if (!deck.value) throw new Error('No deck is open.')
    return deck.value
  })

  function settle(next: Deck) {
    if (next.info.info && next.theme.theme) kept.value = next
  }

  /** What others in the deck see of this person. */
  function share(fields: Partial<Pick<Peer, 'slide' | 'selection'>>) {
    Object.assign(shared, fields)
    for (const [field, value] of Object.entries(fields)) awareness?.setLocalStateField(field, value)
  }

  function refreshUndo() {
    undoLabel.value = (undoManager?.undoStack.at(-1)?.meta.get('label') as string | undefined) ?? null
    redoLabel.value = (undoManager?.redoStack.at(-1)?.meta.get('label') as string | undefined) ?? null
  }

  /** Opens a deck for one page; a page that follows on the same deck takes the open document over. */
  function open(deckId: string) {
    users++
    if (id.value === deckId && document) return
    shut()
    begin(deckId)
  }

  function begin(deckId: string) {
    id.value = deckId
    document = new Y.Doc()
    awareness = new Awareness(document)
    const name = user.value?.name ?? 'Somebody'
    awareness.setLocalState({ name, color: colorOf(name), ...shared })
    awareness.on('change', () => {
      peers.value = [...(awareness?.getStates() ?? [])]
        .filter(([client]) => client !== document?.clientID)
        .map(([client, state]) => ({ client, ...(state as Omit<Peer, 'client'>) }))
    })
    undoManager = new Y.UndoManager(
      tableNames.map(table => liveTable(document!, table)),
      { trackedOrigins: new Set([localOrigin, ySyncPluginKey]), captureTimeout: 700 },
    )
    undoManager.on('stack-item-added', ({ stackItem, type }: { stackItem: { meta: Map<unknown, unknown> }; type: string }) => {
      if (type === 'undo' || !stackItem.meta.has('label')) stackItem.meta.set('label', label || 'typing')
      refreshUndo()
    })
    undoManager.on('stack-item-popped', refreshUndo)
    const unsent = unsentOf(user.value?.id ?? '', deckId)
    connection = connectDocument(deckId, document, awareness, unsent, {
      changed(next) {
        const arrived = next.ready && !status.value.ready
        status.value = next
        if (arrived && !mirror) {
          mirror = mirrorOf(document!)
          mirror.watch(settle)
          settle(mirror.deck())
          unsent.name(deck.value?.info.info?.title ?? '')
        }
      },
      refused: beginAnew,
      noted: notifyProblem,
      bounded(form) {
        heldToPlaces.value = form
      },
    })
  }

  /** What was written here was not taken: the deck is opened as the server has it, and what stood here can be taken away as a file. */
  function beginAnew(message: string) {
    const [deckId, had] = [id.value, deck.value]
    if (!deckId) return
    end()
    begin(deckId)
    const take = async () => {
      const pack = await needed(() => import('#core/formats/deck-file'))
      if (pack) saveFile(pack.packDeck({ deck: had!, tables: [], media: [] }), `${infoOf(had!).title}, as it stood here.zip`)
      else offer()
    }
    /** Stays until it is taken: pressed while it could not be done, it is offered again. */
    const offer = () =>
      useToast().add({
        title: message,
        color: 'error',
        duration: 0,
        ...(had?.info.info && canEdit.value ? { actions: [{ label: 'Save what stood here as a file', onClick: () => void take() }] } : {}),
      })
    offer()
  }

  /** Closes it for one page, and altogether once no page has it open. */
  function close() {
    users--
    if (users <= 0) shut()
  }

  function shut() {
    id.value = null
    end()
  }
  function end() {
    connection?.stop()
    mirror?.stop()
    undoManager?.destroy()
    document?.destroy()
    connection = mirror = undoManager = document = awareness = null
    kept.value = tried.value = null
    status.value = noStatus
  }

  /** Makes one edit of changes: one step of undo, named for a person ("move Headline"). */
  function edit(name: string, changes: readonly Change[]) {
    if (!document || !changes.length) return
    if (!canEdit.value) {
      notifyProblem('Your role is viewer: you can look, but not change.')
      return
    }
    const fitted = withinLimits(changes)
    if (!fitted) return
    undoManager?.stopCapturing()
    label = name
    applyToDocument(document, settled(fitted))
    label = ''
    undoManager?.stopCapturing()
  }

  /** Changes as far as their records allow them; what was put within limits is told, and what cannot be is not done. */
  function withinLimits(changes: readonly Change[]): readonly Change[] | null {
    if (!deck.value) return changes
    const fault = deck.value.info.info?.form && heldToPlaces.value ? changesOnForm(deck.value, changes) : null
    if (fault) {
      notifyProblem(fault)
      return null
    }
    const fit = fitChanges(deck.value, changes)
    if (!fit.ok) {
      notifyProblem(fit.message)
      return null
    }
    if (fit.value.notes.length) notifyProblem(fit.value.notes.join(' '))
    return fit.value.changes
  }

  /** Several edits of one text that follow each other quickly are one step of undo. */
  function editText(name: string, changes: readonly Change[]) {
    if (!document || !changes.length || !canEdit.value) return
    const fitted = withinLimits(changes)
    if (!fitted) return
    label = name
    applyToDocument(document, settled(fitted))
  }

  /** Changes, and what follows from them elsewhere: agendas name what the deck now holds. */
  function settled(changes: readonly Change[]): readonly Change[] {
    const grown = deck.value ? [...changes, ...growing(changes)] : changes
    return withAgendas(grown)
  }
  /** Boxes that grow with their words, where an edit touches those. */
  function growing(changes: readonly Change[]): readonly Change[] {
    const touched = changes.flatMap(change =>
      change.table === 'elements' && change.do !== 'drop' ? [change.do === 'put' ? change.record.id : change.id] : [],
    )
    if (!touched.length) return []
    const next = applyChanges(deck.value!, changes)
    return growBoxes(next, touched, stage.host.measurer)
  }
  function withAgendas(changes: readonly Change[]): readonly Change[] {
    if (
      !deck.value ||
      (!slides.value.some(slide => slide.agenda) &&
        !changes.some(change => change.do === 'put' && change.table === 'slides' && change.record.agenda))
    )
      return changes
    return [...changes, ...settleAgendas(applyChanges(deck.value, changes), context)]
  }

  const stepping = (what: 'undo' | 'redo') => {
    label = (what === 'undo' ? undoLabel.value : redoLabel.value) ?? ''
    undoManager?.[what]()
    label = ''
    refreshUndo()
  }

  /** Words that were typed: a box that grows follows them when writing ends. */
  function settleText(element: string) {
    const grown = deck.value ? growBoxes(deck.value, [element], stage.host.measurer) : []
    if (grown.length) edit(`fit ${deck.value!.elements[element]?.name ?? 'text'}`, grown)
  }

  /** The shared text of an element, for editing in place. */
  const sharedText = (element: string) => {
    const live = document && liveTable(document, 'elements').get(element)
    const text = live?.get('text')
    return text instanceof Y.XmlFragment ? text : null
  }

  watch(
    () => status.value.signedOut,
    out => {
      if (out)
        useToast().add({
          title: 'You are signed out. What you wrote since is kept in this browser and sent when you sign in again.',
          color: 'warning',
          duration: 0,
          actions: [{ label: 'Sign in', onClick: () => void signInAgain() }],
        })
    },
  )
  async function signInAgain() {
    await useUserSession().clear()
    await navigateTo({ path: '/sign-in', query: { then: useRoute().fullPath } })
  }

  return {
    id,
    deck,
    current,
    status,
    peers,
    undoLabel,
    redoLabel,
    canEdit,
    context,
    slides,
    purpose,
    tried,
    shown,
    plan,
    played,
    keptPlan,
    share,
    open,
    close,
    edit,
    editText,
    undo: () => stepping('undo'),
    redo: () => stepping('redo'),
    sharedText,
    settleText,
    undoManager: () => undoManager,
  }
})
