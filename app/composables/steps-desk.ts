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

  async function load() {
    const [of, turn] = [table(), ++asked]
    isBusy.value = true
    try {
      const found = await $fetch<StepsDetail>(`/api/data/${of}/steps`, { query: { at: Math.max(0, chosen.value) } })
      if (turn !== asked) return
      detail.value = found
      lacking.value = ''
    } catch (error) {
      if (turn === asked) lacking.value = messageOf(error)
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

  /** Keeps other steps; answers with whether they were kept. */
  async function keep(next: Step[], label: string): Promise<boolean> {
    const of = detail.value
    if (!of) return false
    const turn = ++asked
    isBusy.value = true
    chosen.value = Math.min(chosen.value, next.length - 1)
    const body = { steps: next, before: of.steps, at: Math.max(0, chosen.value) }
    const answer = await asking(() => $fetch<StepsAnswer>(`/api/data/${table()}/steps`, { method: 'PUT', body }))
    if (turn === asked) isBusy.value = false
    // Refused, what is kept is shown, by whomever it was changed.
    if (!answer) void load()
    if (!answer || turn !== asked || detail.value?.from !== of.from) return false
    detail.value = { ...of, ...answer, steps: next }
    if (label) done.value.push({ label, steps: of.steps })
    changed()
    return true
  }
  const wordsOf = (index: number) => sentenceWords(sentences.value[index] ?? [])
  const replaced = (index: number, ...by: Step[]) => steps.value.toSpliced(index, 1, ...by)

  const change = (index: number, fields: Readonly<Record<string, unknown>>) =>
    keep(replaced(index, withField(steps.value[index]!, sightOf(index), fields)), `step ${index + 1}`)
  const remove = (index: number) => keep(replaced(index), `remove: ${wordsOf(index)}`)
  const skip = (index: number) =>
    keep(
      replaced(index, { ...steps.value[index]!, skipped: !steps.value[index]!.skipped }),
      steps.value[index]!.skipped ? 'do it again' : 'skip it',
    )
  function duplicate(index: number) {
    chosen.value = index + 1
    return keep(replaced(index, steps.value[index]!, structuredClone(steps.value[index]!)), 'duplicate')
  }
  function move(index: number, by: number) {
    const to = index + by
    if (to < 0 || to >= steps.value.length) return
    chosen.value = to
    void keep(steps.value.toSpliced(index, 1).toSpliced(to, 0, steps.value[index]!), 'move a step')
  }
  /** Adds a step behind the one that is chosen. */
  function add(step: Step) {
    const at = chosen.value + 1
    chosen.value = at
    return keep(steps.value.toSpliced(at, 0, step), 'add a step')
  }
  async function undo() {
    const last = done.value.at(-1)
    if (last && (await keep(last.steps, ''))) done.value.pop()
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
