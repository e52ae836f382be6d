import { expected } from '#core/values'
import { sentenceOf, sentenceWords, withField, type OtherTable, type Sight, type Step, type StepColumn, type StepFault } from '#core/steps'

/** What became of one step, as the server tells it. */
export interface StepRun {
  rows: number
  columns: StepColumn[]
  fault: StepFault | null
  note: string | null
  seconds: number
}
type Cells = (string | number | null)[][]
export interface StepsAnswer {
  rows: number
  runs: StepRun[]
  look: { before: Cells; after: Cells; sums: { column: string; before: number; after: number }[] } | null
}
interface StepsDetail extends StepsAnswer {
  /** The table that they begin with. */
  from: string
  columns: StepColumn[]
  tables: OtherTable[]
  steps: Step[]
}

/** How far a list of steps is that is being done: the step, and rows looked at of all that have to be. */
interface StepsProgress {
  step: number
  done: number
  of: number
}

/** What takes longer than this is told how far it is, and can be stopped, ms; asked anew so often, ms. */
const longWait = 500
const askedEvery = 400

/** The steps of a table: what each does, which is looked at, and what somebody changes; every change is kept at once, and can be undone. */
export function useStepsDesk(table: () => string, changed: () => void) {
  const detail = shallowRef<StepsDetail | null>(null)
  const lacking = ref('')
  const isBusy = ref(false)
  /** The step whose rows are shown; −1 is the table as it is read. */
  const chosen = ref(-1)
  const done = ref<{ label: string; steps: Step[] }[]>([])
  const steps = computed(() => detail.value?.steps ?? [])
  const runs = computed(() => detail.value?.runs ?? [])
  /** Counts what is asked, so that an old answer does not take the place of a newer one. */
  let asked = 0

  /** What takes long is told how far it is, until it is done or stopped. */
  const isLong = ref(false)
  const progress = ref<StepsProgress | null>(null)
  let waiting: ReturnType<typeof setTimeout> | undefined
  watch(isBusy, busy => {
    clearTimeout(waiting)
    isLong.value = false
    progress.value = null
    if (busy) waiting = setTimeout(askProgress, longWait)
  })
  onScopeDispose(() => {
    clearTimeout(waiting)
    looking.abort()
  })
  async function askProgress() {
    isLong.value = true
    // Where nobody answers it is not known how far it is, and goes on all the same.
    const found = await $fetch<{ progress: StepsProgress | null }>(`/api/data/${table()}/steps-progress`).catch(expected('FetchError'))
    if (!isBusy.value) return
    progress.value = found?.progress ?? progress.value
    waiting = setTimeout(askProgress, askedEvery)
  }
  /** Changes follow each other: each begins with what the one before left. */
  let last: Promise<boolean> = Promise.resolve(true)
  /** The look and the change that are asked for just now; given up, the server stops working on them. A change only where one says so. */
  let looking = new AbortController()
  let changing = new AbortController()
  function stop() {
    looking.abort()
    changing.abort()
  }

  async function load() {
    // A change under way is not given up for it; what was looked for before this is.
    await last
    const [of, turn] = [table(), ++asked]
    looking.abort()
    looking = new AbortController()
    const { signal } = looking
    isBusy.value = true
    try {
      const found = await $fetch<StepsDetail>(`/api/data/${of}/steps`, {
        // At first it is the last step that is looked at: what is added comes behind it.
        query: detail.value ? { at: Math.max(0, chosen.value) } : {},
        signal,
      })
      if (turn !== asked) return
      if (!detail.value) chosen.value = found.runs.length - 1
      detail.value = found
      lacking.value = ''
    } catch (error) {
      if (turn !== asked) return
      // Stopped, what was there stays.
      if (!signal.aborted) lacking.value = messageOf(error)
      else if (!detail.value) lacking.value = 'Stopped. Nothing is shown yet.'
    } finally {
      if (turn === asked) isBusy.value = false
    }
  }
  watch(
    table,
    () => {
      detail.value = null
      done.value = []
      chosen.value = -1
      void load()
    },
    { immediate: true },
  )

  /** The columns that a step finds: after the one before, or the last that are known where that cannot be done. */
  function sightOf(index: number): Sight {
    const before = runs.value.slice(0, index).at(-1)
    return { columns: before?.columns ?? detail.value?.columns ?? [], tables: detail.value?.tables ?? [] }
  }
  const sentences = computed(() => steps.value.map((step, index) => sentenceOf(step, sightOf(index))))
  /** Rows before and after each; of those that come after a fault none are known. */
  const counts = computed(() => {
    const all = [detail.value?.rows ?? 0, ...runs.value.map(({ rows }) => rows)]
    return steps.value.map((_, index) => ({
      before: all[index] ?? null,
      after: runs.value[index] && !runs.value[index].fault ? all[index + 1]! : null,
    }))
  })

  /** Keeps other steps, or none where null is wished; answers with whether they were kept. */
  function keep(change: (steps: Step[]) => Step[] | null, label: string): Promise<boolean> {
    const made = table()
    last = last.then(() => {
      // Another table may be looked at by now, or what was to be changed be gone.
      const next = table() === made ? change(steps.value) : null
      return next ? keepNow(made, next, label) : false
    })
    return last
  }
  async function keepNow(made: string, next: Step[], label: string): Promise<boolean> {
    const of = detail.value
    if (!of) return false
    const turn = ++asked
    isBusy.value = true
    chosen.value = Math.min(chosen.value, next.length - 1)
    const body = { steps: next, before: of.steps, at: Math.max(0, chosen.value) }
    looking.abort()
    changing = new AbortController()
    const { signal } = changing
    // It is made all the same where one leaves the page meanwhile.
    const options = { method: 'PUT', body, signal, keepalive: true } as const
    const answer = await asking(() => $fetch<StepsAnswer>(`/api/data/${made}/steps`, options), signal)
    if (turn === asked) isBusy.value = false
    // Refused, what is kept is shown, by whomever it was changed.
    if (!answer) void load()
    if (!answer || turn !== asked || table() !== made) return false
    detail.value = { ...of, ...answer, steps: next }
    if (label) done.value.push({ label, steps: of.steps })
    changed()
    return true
  }
  const wordsOf = (index: number) => sentenceWords(sentences.value[index] ?? [])

  /** Puts others in the place of a step, unless it is gone meanwhile. */
  function put(index: number, others: (step: Step) => Step[], label: string) {
    const step = steps.value[index]!
    return keep(all => (all.includes(step) ? all.toSpliced(all.indexOf(step), 1, ...others(step)) : null), label)
  }

  const change = (index: number, fields: Readonly<Record<string, unknown>>) =>
    put(index, step => [withField(step, sightOf(index), fields)], `step ${index + 1}`)
  const remove = (index: number) => put(index, () => [], `remove: ${wordsOf(index)}`)
  const skip = (index: number) =>
    put(index, step => [{ ...step, skipped: !step.skipped }], steps.value[index]!.skipped ? 'do it again' : 'skip it')
  function duplicate(index: number) {
    chosen.value = index + 1
    return put(index, step => [step, structuredClone(step)], 'duplicate')
  }
  /** Brings a step to another place in the list. */
  function move(index: number, to: number) {
    if (to === index || to < 0 || to >= steps.value.length) return
    const step = steps.value[index]!
    chosen.value = to
    void keep(all => (all.includes(step) ? all.toSpliced(all.indexOf(step), 1).toSpliced(to, 0, step) : null), 'move a step')
  }
  /** Adds a step behind the one that is chosen. */
  function add(step: Step) {
    const at = chosen.value + 1
    chosen.value = at
    return keep(all => all.toSpliced(at, 0, step), 'add a step')
  }
  async function undo() {
    const before = done.value.at(-1)
    if (before && (await keep(() => before.steps, ''))) done.value.pop()
  }
  function choose(index: number) {
    if (index === chosen.value || index < -1 || index >= steps.value.length) return
    chosen.value = index
    void load()
  }

  return {
    detail,
    lacking,
    isBusy,
    isLong,
    progress,
    stop,
    chosen,
    done,
    steps,
    runs,
    sentences,
    counts,
    load,
    change,
    remove,
    skip,
    duplicate,
    move,
    add,
    undo,
    choose,
    sightOf,
    wordsOf,
  }
}
