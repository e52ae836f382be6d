import { setFields } from '#core/edits'
import { viewsOf, type BoardView, type Slide } from '#core/model'
import type { Box } from '#core/values'
import {
  boardToSlides,
  goInBeat,
  makeBoard,
  removeView,
  slidesToBoard,
  tourViews,
  unmakeBoard,
  viewAround,
  type TimingContext,
} from '#core/timing'

/** The board that is open: its views, and the moves of its camera. */
export const useBoard = defineStore('board', () => {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const host = useStageHost()
  const context = { id: freshId }
  const slide = computed<Slide | undefined>(() => store.deck?.slides[where.slideId ?? ''])
  const views = computed(() => viewsOf(slide.value))
  /** The view that is worked on. */
  const view = ref<string | null>(null)
  watch(
    () => where.slideId,
    () => {
      view.value = null
    },
  )
  const set = (label: string, fields: Partial<Slide>) =>
    slide.value && store.edit(label, setFields(store.current, { table: 'slides', id: slide.value.id, fields }))
  const nameOf = (id: unknown) =>
    views.value.find(one => one.id === id)?.name || (views.value.some(one => one.id === id) ? 'a view without a name' : 'all of the board')

  const make = () =>
    slide.value && store.edit('make a board', makeBoard(store.current, { slide: slide.value.id, across: 3, down: 2 }, context))
  /** Takes the board away; what lies beyond the picture stays where it is. */
  const unmake = () => slide.value && store.edit('make the board a slide again', unmakeBoard(store.current, { slide: slide.value.id }))
  function add(box: Box) {
    const id = freshId()
    set('frame a view', { views: [...views.value, { id, name: `View ${views.value.length + 1}`, box }] })
    view.value = id
  }
  const around = (boxes: readonly Box[]) => boxes.length && slide.value && add(viewAround(store.current, slide.value.id, boxes))
  const change = (id: string, label: string, fields: Partial<BoardView>) =>
    set(label, { views: views.value.map(one => (one.id === id ? { ...one, ...fields } : one)) })
  function remove(id: string) {
    if (!slide.value) return
    const changes = removeView(store.current, { slide: slide.value.id, view: id })
    const moves = changes.filter(change => change.do === 'drop').length
    store.edit('remove a view', changes)
    if (moves) notify(moves === 1 ? 'The camera’s way to it went with it.' : `${moves} ways of the camera to it went with it.`)
  }
  function move(id: string, by: number) {
    const from = views.value.findIndex(one => one.id === id)
    const to = Math.max(0, Math.min(views.value.length - 1, from + by))
    const next = views.value.filter(one => one.id !== id)
    next.splice(to, 0, views.value[from]!)
    set('tell a view at another time', { views: next })
  }

  const both = computed(() => ({ ...host.host, id: freshId }) as TimingContext & typeof context)
  function gather(slides: readonly string[]) {
    if (slides.some(id => store.current.slides[id]?.board))
      return notifyProblem('A board is among them. Turn its views into slides first, then gather all of them.')
    const changes = slidesToBoard(store.current, { slides }, both.value)
    const made = changes[0]
    if (made?.do !== 'put') return
    store.edit(`make a board of ${slides.length} slides`, changes)
    where.goToSlide(made.record.id)
  }
  function part() {
    if (!slide.value) return
    if (!views.value.length) return notifyProblem('This board has no views yet. Frame one, then turn the views into slides.')
    const changes = boardToSlides(store.current, { slide: slide.value.id }, both.value)
    const first = changes[0]
    store.edit('turn views into slides', changes)
    if (first?.do === 'put') where.goToSlide(first.record.id)
  }

  /** Lets the camera go to a view (or `all`) in a beat. */
  function goTo(id: string, beat: string) {
    const changes = goInBeat(store.current, { beat, view: id }, context)
    store.edit(`go to ${nameOf(id)}`, changes)
    if (changes[0]?.do === 'put') selected.cueId = changes[0].record.id
  }
  const tour = (back: boolean) =>
    slide.value && store.edit('tour the views', tourViews(store.current, { slide: slide.value.id, back }, context))
  return { slide, views, view, nameOf, set, make, unmake, add, around, change, remove, move, gather, part, goTo, tour }
})
