import { describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import type { Step, StepColumn } from '#core/steps'
import { told } from '../testing/nuxt'
import { inPage, leaveAll } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { useStepsDesk } from './steps-desk'

const columns: StepColumn[] = [
  { name: 'route', type: 'text' },
  { name: 'riders', type: 'number' },
]
const group: Step = { kind: 'group', by: ['route'], measure: 'sum', of: ['riders'] }
const wrong: Step = { kind: 'formula', name: 'x', formula: 'totl(riders)', shows: 'number' }
const settle = async () => {
  for (let turn = 0; turn < 6; turn++) await nextTick()
}

/** A server that keeps steps, and does all but formulas with “totl”. */
function served(steps: Step[] = []) {
  const kept = { steps, puts: [] as Step[][] }
  const runsOf = (list: Step[]) => {
    const runs = []
    for (const step of list) {
      const fault = step.kind === 'formula' && step.formula.includes('totl') ? { message: '“totl” is not a function.' } : null
      runs.push({ rows: step.kind === 'group' ? 2 : 5, columns, fault, note: null, seconds: 0 })
      if (fault) break
    }
    return runs
  }
  answers.set('/api/data/made/steps', options => {
    if (options.method === 'PUT') {
      kept.steps = (options.body as { steps: Step[] }).steps
      kept.puts.push(kept.steps)
      return { rows: 5, runs: runsOf(kept.steps), look: null }
    }
    return { from: 'base', columns, rows: 5, tables: [], steps: kept.steps, runs: runsOf(kept.steps), look: null }
  })
  return kept
}
async function desk(steps: Step[] = []) {
  const kept = served(steps)
  const changed = ref(0)
  const made = inPage(() =>
    useStepsDesk(
      () => 'made',
      () => changed.value++,
    ),
  )
  await settle()
  return { kept, changed, ...made }
}

describe('the desk of steps', () => {
  it('adds a step behind the one that is chosen, keeps it at once, and takes it back', async () => {
    const { kept, changed, add, choose, undo, steps, done, chosen } = await desk([group, wrong])
    choose(0)
    await settle()
    await add({ kind: 'order', column: 'riders', way: 'down' })
    expect(steps.value.map(({ kind }) => kind)).toEqual(['group', 'order', 'formula'])
    expect([kept.steps, chosen.value, changed.value]).toEqual([steps.value, 1, 1])
    expect(done.value.map(({ label }) => label)).toEqual(['add a step'])
    await undo()
    expect([steps.value, done.value, kept.puts.length]).toEqual([[group, wrong], [], 2])
  })

  it('knows rows before and after each, and none of what comes after one that cannot be done', async () => {
    const { counts, sentences, wordsOf } = await desk([group, wrong, { kind: 'order', column: 'riders', way: 'down' }])
    expect(counts.value).toEqual([
      { before: 5, after: 2 },
      { before: 2, after: null },
      { before: 5, after: null },
    ])
    expect(sentences.value).toHaveLength(3)
    expect(wordsOf(0)).toBe('Group by route to the sum of riders')
  })

  it('changes a field, passes a step over, doubles it, moves it and takes it away', async () => {
    const { steps, change, skip, duplicate, move, remove, chosen } = await desk([group])
    await change(0, { measure: 'mean' })
    expect(steps.value[0]).toMatchObject({ measure: 'mean' })
    await skip(0)
    expect(steps.value[0]).toMatchObject({ skipped: true })
    await duplicate(0)
    expect([steps.value.length, chosen.value]).toEqual([2, 1])
    await change(1, { measure: 'median' })
    move(1, 0)
    await settle()
    expect(steps.value.map(step => (step as { measure: string }).measure)).toEqual(['median', 'mean'])
    move(0, -1)
    expect(chosen.value).toBe(0)
    await remove(0)
    await remove(0)
    expect([steps.value, chosen.value]).toEqual([[], -1])
  })

  it('keeps what was there where the server refuses', async () => {
    const { steps, add, changed, done } = await desk([group])
    answers.set('/api/data/made/steps', () => {
      throw Object.assign(new Error('no'), { statusCode: 409, data: { message: 'The table is gone.' } })
    })
    await add(wrong)
    expect([steps.value, changed.value, done.value]).toEqual([[group], 0, []])
  })

  it('shows what somebody else has made of them, where that came first', async () => {
    const { kept, steps, add } = await desk([group])
    const theirs: Step[] = [{ kind: 'order', column: 'riders', way: 'up' }]
    const answer = answers.get('/api/data/made/steps')!
    answers.set('/api/data/made/steps', options => {
      if (options.method === 'PUT') {
        expect((options.body as { before: Step[] }).before).toEqual([group])
        kept.steps = theirs
        throw Object.assign(new Error('no'), { statusCode: 409, data: { message: 'Somebody else has changed these steps meanwhile.' } })
      }
      return answer(options)
    })
    await add(wrong)
    await settle()
    expect(steps.value).toEqual(theirs)
  })

  it('tells after a while how far a long change is; stopped, what was there stays, and nothing is said to be wrong', async () => {
    vi.useFakeTimers()
    const { steps, add, isLong, progress, stop, isBusy, changed } = await desk([group])
    const answer = answers.get('/api/data/made/steps')!
    answers.set('/api/data/made/steps-progress', () => ({ progress: { step: 1, done: 40, of: 90 } }))
    answers.set('/api/data/made/steps', options =>
      options.method === 'PUT'
        ? new Promise((_, reject) => (options as { signal: AbortSignal }).signal.addEventListener('abort', () => reject(new Error('gone'))))
        : answer(options),
    )
    const adding = add(wrong)
    await vi.advanceTimersByTimeAsync(300)
    expect([isBusy.value, isLong.value]).toEqual([true, false])
    await vi.advanceTimersByTimeAsync(700)
    expect([isLong.value, progress.value]).toEqual([true, { step: 1, done: 40, of: 90 }])
    stop()
    expect(await adding).toBe(false)
    await vi.advanceTimersByTimeAsync(0)
    expect([steps.value, isBusy.value, isLong.value, progress.value, changed.value]).toEqual([[group], false, false, null, 0])
    expect(told).toEqual([])
  })

  it('makes a change all the same where one goes away meanwhile, and none of a table that is not looked at any more', async () => {
    const table = ref('made')
    const kept = served([group])
    const answer = answers.get('/api/data/made/steps')!
    let release = () => {}
    const signals: AbortSignal[] = []
    answers.set('/api/data/made/steps', async options => {
      if (options.method === 'PUT') {
        signals.push((options as { signal: AbortSignal }).signal)
        await new Promise<void>(resolve => (release = resolve))
      }
      return answer(options)
    })
    const other: Step[] = [{ kind: 'order', column: 'riders', way: 'up' }]
    answers.set('/api/data/other/steps', () => ({ from: 'base', columns, rows: 5, tables: [], steps: other, runs: [], look: null }))
    const desk = inPage(() =>
      useStepsDesk(
        () => table.value,
        () => {},
      ),
    )
    await settle()
    const [first, second] = [desk.skip(0), desk.add(wrong)]
    await settle()
    table.value = 'other'
    leaveAll()
    release()
    expect(await Promise.all([first, second])).toEqual([false, false])
    expect([signals.map(({ aborted }) => aborted), kept.puts]).toEqual([[false], [[{ ...group, skipped: true }]]])
  })

  it('begins a change with what the one before it left', async () => {
    const { kept, add, skip, choose, steps } = await desk([group])
    choose(-1)
    await Promise.all([add({ kind: 'order', column: 'riders', way: 'up' }), skip(0)])
    expect(kept.puts).toHaveLength(2)
    expect(steps.value).toEqual([
      { kind: 'order', column: 'riders', way: 'up' },
      { ...group, skipped: true },
    ])
  })

  it('says why steps cannot be had', async () => {
    answers.set('/api/data/made/steps', () => {
      throw Object.assign(new Error('no'), { statusCode: 409, data: { message: 'The table that these steps work on is gone.' } })
    })
    const { lacking, detail } = inPage(() =>
      useStepsDesk(
        () => 'made',
        () => {},
      ),
    )
    await settle()
    expect([lacking.value, detail.value]).toEqual(['The table that these steps work on is gone.', null])
  })
})
