import { specInState } from '#core/charts'
import { topsOf, type PickedLook } from '#core/edits'
import { extentOf, type Deck, type Slide } from '#core/model'
import { inVariant, leavesOf, shownElements, type ShownElement, type Tries } from '#core/resolved'
import type { Box, Id } from '#core/values'
import type { Frame } from '#core/timing'
import { boundsOf, boxOf, fittingScale, lookAt, wholeLook, zoomedAbout, type Guide, type Look, type Measure, type Point } from '#core/place'

/** What the pointer does on the stage when it does not select: draw a line, hold two elements together, pick an angle. */
export type Tool = 'straight' | 'curve' | 'elbow' | 'freehand' | 'connector' | 'angle' | 'area'

/** A deck with fields of a slide as they are tried out. */
function withSlide(deck: Deck, id: Id | null, fields: Partial<Slide> | null): Deck {
  const slide = deck.slides[id ?? '']
  return slide && fields ? { ...deck, slides: { ...deck.slides, [slide.id]: { ...slide, ...fields } } } : deck
}

/** A deck with a chart in one of its states. */
function withState(deck: Deck, shown: { element: Id; state: Id } | null): Deck {
  const element = deck.elements[shown?.element ?? '']
  if (!shown || element?.kind !== 'chart' || !element.chart) return deck
  const chart = specInState(deck, element.chart, shown.state)
  return { ...deck, elements: { ...deck.elements, [element.id]: { ...element, chart } } }
}

/** What the stage shows beside what is kept. */
const whatIsTried = () => ({
  /** Fields tried out before they are kept. */
  tries: shallowRef<Tries>({}),
  /** Fields of the slide itself likewise. */
  triedSlide: shallowRef<Partial<Slide> | null>(null),
  /** The state that a chart is shown in while one works on it. */
  chartState: shallowRef<{ element: Id; state: Id } | null>(null),
  /** A way that is shown; null is at rest. */
  passing: shallowRef<Frame | null>(null),
})

/** The stage at work: how it is looked at, what the pointer does there, and places that are tried out before they are kept. */
export const useStage = defineStore('stage', () => {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const zoom = ref(1)
  /** How far the middle of the slide stands from the middle of the area, px of the screen. */
  const pan = ref<Point>({ x: 0, y: 0 })
  const area = ref({ width: 0, height: 0 })
  const board = shallowRef<HTMLElement | null>(null)
  const tool = ref<Tool | null>(null)
  /** The text that is written in, the picture that is placed in its frame, the group that is worked in. */
  const editing = ref<Id | null>(null)
  /** Where the press was that one began to write with, px of the window: the cursor stands there. */
  const pressedAt = shallowRef<Point | null>(null)
  const framing = ref<Id | null>(null)
  const opened = ref<Id | null>(null)
  const { tries, triedSlide, chartState, passing } = whatIsTried()
  const guides = shallowRef<readonly Guide[]>([])
  const measures = shallowRef<readonly Measure[]>([])
  const picked = shallowRef<PickedLook | null>(null)
  /** The variant that is composed; null is the deck as it is in general. */
  const variant = ref<Id | null>(null)

  /** What is worked on: a slide, or all of a board. */
  const size = computed(() => (store.deck?.info.info ? extentOf(store.deck, where.stageId ?? '') : { width: 1920, height: 1080 }))
  const fitting = computed(() => fittingScale(area.value, size.value))
  const scale = computed(() => fitting.value * zoom.value)
  const deck = computed(() => (store.deck ? inVariant(store.deck, variant.value) : null))
  /** The same with what is tried out of the slide. */
  const stateShown = computed(() => (passing.value ? null : chartState.value))
  const shownDeck = computed(() => deck.value && withState(withSlide(deck.value, where.stageId, triedSlide.value), stateShown.value))
  /** What the stage shows, back to front, as it is kept. */
  const elements = computed<readonly ShownElement[]>(() =>
    deck.value && where.stageId
      ? shownElements(deck.value, where.stageId).filter(element => !element.pinned || !deck.value!.slides[where.stageId!]?.board)
      : [],
  )
  const byId = computed(() => new Map(elements.value.map(element => [element.id, element])))
  const chosen = computed(() => selected.elements.map(id => byId.value.get(id)).filter(element => element !== undefined))
  const single = computed(() => (chosen.value.length === 1 ? chosen.value[0]! : null))
  /** On a form nothing moves; words and pictures of its places can be changed. */
  const isFixed = (element: ShownElement) => !!element.locked || element.pinned || where.isForm || !store.canEdit
  /** The selected parts that may be moved, each standing for what is in it. */
  const movable = computed(() =>
    (store.deck ? topsOf(store.deck, selected.elements) : []).filter(id => byId.value.has(id) && !isFixed(byId.value.get(id)!)),
  )

  const boxNow = (element: ShownElement) => tries.value[element.id]?.box ?? element.box
  /** What stands in elements, one by one, with the places they have in the deck. */
  const leaves = (ids: readonly Id[]) =>
    leavesOf(store.current, ids)
      .map(id => byId.value.get(id))
      .filter(element => element !== undefined)
  /** The box around an element as it is tried out: its own, or that around its members. */
  function outlineOf(element: ShownElement): Box {
    if (element.kind !== 'group') return boxNow(element)
    const inside = leaves([element.id])
    return inside.length ? boxOf(boundsOf(...inside.map(boxNow))) : element.box
  }

  /** A place on the screen as one on the slide, px of deck space. */
  function point(event: { clientX: number; clientY: number }): Point {
    const box = board.value!.getBoundingClientRect()
    return { x: (event.clientX - box.left) / scale.value, y: (event.clientY - box.top) / scale.value }
  }
  const look = (next: Look) => {
    zoom.value = next.zoom
    pan.value = next.pan
  }
  /** Enlarges to a multiple of fitting the area, about a place on the screen that stays where it is. */
  function zoomTo(next: number, about?: { clientX: number; clientY: number }) {
    const place = about && board.value?.getBoundingClientRect()
    const from = place && { x: about.clientX - (place.left + place.width / 2), y: about.clientY - (place.top + place.height / 2) }
    look(zoomedAbout({ zoom: zoom.value, pan: pan.value }, next, fitting.value, from))
  }
  const fit = () => look(wholeLook)
  /** Brings a box to fill most of the area. */
  const zoomOn = (box: Box) => look(lookAt(box, area.value, size.value))
  function forgetTried() {
    tries.value = {}
    triedSlide.value = null
    passing.value = null
    guides.value = []
    measures.value = []
  }
  function leaveModes() {
    editing.value = framing.value = null
    tool.value = null
  }
  function onSlide(now: Id | null, before: Id | null) {
    // A board and a slide are looked at from other distances.
    if (store.deck?.slides[now ?? '']?.board || store.deck?.slides[before ?? '']?.board) fit()
    leaveModes()
    opened.value = null
    forgetTried()
  }
  function onOtherDeck() {
    fit()
    variant.value = null
  }
  /** What is gone from the deck is not worked on any more. */
  function onChange(now: Deck | null) {
    if (variant.value && !now?.variants[variant.value]) variant.value = null
    if (opened.value && !now?.elements[opened.value]) opened.value = null
    if (framing.value && !now?.elements[framing.value]) framing.value = null
    if (editing.value && !now?.elements[editing.value]) editing.value = null
  }
  watch(() => where.stageId, onSlide)
  watch(() => store.id, onOtherDeck)
  watch(() => store.deck, onChange)

  return {
    zoom,
    pan,
    area,
    board,
    tool,
    editing,
    pressedAt,
    framing,
    opened,
    tries,
    triedSlide,
    guides,
    measures,
    picked,
    chartState,
    passing,
    variant,
    size,
    scale,
    deck,
    shownDeck,
    elements,
    byId,
    chosen,
    single,
    movable,
    isFixed,
    boxNow,
    leaves,
    outlineOf,
    point,
    zoomTo,
    zoomOn,
    fit,
    forgetTried,
    leaveModes,
  }
})
