import { describe, expect, it } from 'vitest'
import type { DataTable } from '../../core/data'
import { stepOffers, type Step } from '../../core/steps'
import { keepTable, orderedRows, run, type StepsAnswer, type StepsProgress } from './tasks'

const harbour: DataTable = {
  id: 'harbour',
  name: 'Harbour',
  columns: [
    { name: 'route', type: 'text', values: ['Astrel', 'Astrel', 'Quill', 'Quill', 'Marsh'] },
    { name: 'year', type: 'date', grain: 'year', values: ['2030', '2031', '2030', '2031', '2031'] },
    { name: 'riders', type: 'number', unit: '€', kind: 'money', values: [10, 30, 20, null, 40] },
  ],
}
const shores: DataTable = {
  id: 'shores',
  name: 'Shores',
  columns: [
    { name: 'route', type: 'text', values: ['ASTREL ', 'Quill', 'Quill'] },
    { name: 'shore', type: 'text', values: ['east', 'west', 'north'] },
  ],
}
const bare = ({ columns }: DataTable) => columns.map(({ values: _, ...column }) => column)
const quiet = { say: () => {}, stopped: new AbortController().signal }
let versions = 0
async function done(steps: Step[], table = harbour, others = [shores]): Promise<StepsAnswer & { table: Record<string, unknown[]> | null }> {
  const version = `v${++versions}`
  await keepTable({ version, text: JSON.stringify(table) })
  const beside = []
  for (const other of others) {
    const theirs = `v${++versions}`
    await keepTable({ version: theirs, text: JSON.stringify(other) })
    beside.push({ id: other.id, name: other.name, columns: bare(other), version: theirs })
  }
  const asked = { steps, at: steps.length - 1, whole: { id: 'x', name: 'X' } }
  const answer = await run({ from: { version, columns: bare(table) }, others: beside, ...asked }, quiet)
  if (!answer || answer === 'stopped') throw new Error('these steps were not done')
  const made = answer.text === null ? null : (JSON.parse(answer.text) as DataTable)
  return { ...answer, table: made && Object.fromEntries(made.columns.map(({ name, values }) => [name, values])) }
}
const tableOf = async (steps: Step[], table?: DataTable) => {
  const { table: made, runs } = await done(steps, table)
  expect(runs.find(({ fault }) => fault)?.fault).toBeUndefined()
  return made!
}

describe('steps on a table', () => {
  it('keep rows of which something is true', async () => {
    const kept = async (column: string, test: string, ...values: string[]) =>
      (await tableOf([{ kind: 'keep', column, test, values } as Step])).riders
    expect(await kept('route', 'is', 'Astrel', 'Marsh')).toEqual([10, 30, 40])
    expect(await kept('route', 'is-not', 'Astrel')).toEqual([20, null, 40])
    expect(await kept('route', 'holds', 'RS')).toEqual([40])
    expect(await kept('riders', 'at-least', '20')).toEqual([30, 20, 40])
    expect(await kept('riders', 'between', '30', '15')).toEqual([30, 20])
    expect(await kept('riders', 'missing')).toEqual([null])
    expect(await kept('year', 'at-most', '2030')).toEqual([10, 20])
  })

  it('keep moments by the year or month that they are in', async () => {
    const days: DataTable = {
      ...harbour,
      columns: [{ name: 'day', type: 'date', grain: 'day', values: ['2031-03-31', '2031-04-01', '2031-04-30', '2031-05-01'] }],
    }
    const kept = async (test: string, ...values: string[]) =>
      (await tableOf([{ kind: 'keep', column: 'day', test, values } as Step], days)).day
    expect(await kept('is', '2031-04')).toEqual(['2031-04-01', '2031-04-30'])
    expect(await kept('at-most', '2031-04')).toEqual(['2031-03-31', '2031-04-01', '2031-04-30'])
    expect(await kept('between', '2031-04', '2031-05')).toEqual(['2031-04-01', '2031-04-30', '2031-05-01'])
    expect(await kept('is', 'April 2031')).toEqual(['2031-04-01', '2031-04-30'])
    expect(await kept('at-least', '30 April 2031')).toEqual(['2031-04-30', '2031-05-01'])
  })

  it('keep shares and lengths of time as people write them', async () => {
    const table: DataTable = {
      ...harbour,
      columns: [
        { name: 'on time', type: 'number', kind: 'percent', values: [0.94, 0.29, null] },
        { name: 'crossing', type: 'number', kind: 'duration', unit: 's', values: [3900, 3000, 2100] },
      ],
    }
    const kept = async (column: string, test: string, ...values: string[]) =>
      (await tableOf([{ kind: 'keep', column, test, values } as Step], table)).crossing
    expect([await kept('on time', 'at-least', '90'), await kept('on time', 'is', '29%')]).toEqual([[3900], [3000]])
    expect(await kept('crossing', 'at-most', '0:50')).toEqual([3000, 2100])
  })

  it('group to sums, means, medians and counts; missing amounts are left out, not taken for zero', async () => {
    const by = (measure: string) => tableOf([{ kind: 'group', by: ['year'], measure, of: measure === 'count' ? [] : ['riders'] } as Step])
    expect(await by('sum')).toEqual({ year: ['2030', '2031'], riders: [30, 70] })
    expect(await by('mean')).toEqual({ year: ['2030', '2031'], 'riders, mean': [15, 35] })
    expect(await by('median')).toEqual({ year: ['2030', '2031'], 'riders, median': [15, 35] })
    expect(await by('count')).toEqual({ year: ['2030', '2031'], rows: [2, 3] })
    expect(await tableOf([{ kind: 'group', by: [], measure: 'greatest', of: ['riders'] }])).toEqual({ 'riders, greatest': [40] })
  })

  it('order, and keep the greatest with the rest in one row', async () => {
    expect((await tableOf([{ kind: 'order', column: 'riders', way: 'down' }])).riders).toEqual([40, 30, 20, 10, null])
    const top: Step = { kind: 'top', count: 2, way: 'greatest', column: 'riders', rest: 'gather', says: 'route', name: 'All others' }
    expect(await tableOf([top])).toEqual({ route: ['Astrel', 'Marsh', 'All others'], year: ['2031', '2031', null], riders: [30, 40, 30] })
    expect((await tableOf([{ ...top, count: 9 }])).route).toHaveLength(5)
  })

  it('reckon shares, ranks, changes, sums so far, rolling means and an index', async () => {
    const with1 = async (step: object, name: string) =>
      (await tableOf([{ name, of: 'riders', each: ['route'], along: 'year', ...step } as Step]))[name]
    expect(await with1({ kind: 'share', each: [] }, 'share')).toEqual([0.1, 0.3, 0.2, null, 0.4])
    expect(await with1({ kind: 'rank', each: ['year'], way: 'greatest' }, 'rank')).toEqual([2, 2, 1, null, 1])
    expect(await with1({ kind: 'difference', as: 'amount' }, 'change')).toEqual([null, 20, null, null, null])
    expect(await with1({ kind: 'difference', as: 'percent' }, 'change')).toEqual([null, 2, null, null, null])
    expect(await with1({ kind: 'cumulate' }, 'so far')).toEqual([10, 40, 20, 20, 40])
    expect(await with1({ kind: 'rolling', count: 2 }, 'mean')).toEqual([null, 20, null, 20, null])
    expect(await with1({ kind: 'index', base: 100 }, 'index')).toEqual([100, 300, 100, null, 100])
  })

  it('gather columns into rows and spread them again to what they were', async () => {
    const wide: DataTable = {
      ...harbour,
      columns: [
        { name: 'route', type: 'text', values: ['Astrel', 'Quill'] },
        { name: '2030', type: 'number', values: [1, 2] },
        { name: '2031', type: 'number', values: [3, null] },
      ],
    }
    const gather: Step = { kind: 'gather', columns: ['2030', '2031'], into: 'year', amount: 'riders' }
    expect(await tableOf([gather], wide)).toEqual({
      route: ['Astrel', 'Astrel', 'Quill', 'Quill'],
      year: ['2030', '2031', '2030', '2031'],
      riders: [1, 3, 2, null],
    })
    expect(await tableOf([gather, { kind: 'spread', names: 'year', amount: 'riders' }], wide)).toEqual({
      route: ['Astrel', 'Quill'],
      '2030': [1, 2],
      '2031': [3, null],
    })
  })

  it('join another table by name, whatever its letters; no row becomes two, and what fits nothing is said', async () => {
    const { table, runs } = await done([{ kind: 'join', table: 'shores', by: 'route', to: 'route', add: ['shore'] }])
    expect(table!.shore).toEqual(['east', 'east', 'west', 'west', null])
    expect(runs[0]!.note).toBe('One name fits nothing there: “Marsh”.')
    const many: DataTable = {
      ...harbour,
      columns: [{ name: 'route', type: 'text', values: ['Quill', ...'gfedcba', 'g'] }],
    }
    const { runs: told } = await done([{ kind: 'join', table: 'shores', by: 'route', to: 'route', add: ['shore'] }], many)
    expect(told[0]!.note).toBe('7 names fit nothing there: “a”, “b”, “c”, “d”, “e” and 2 more.')
  })

  it('fill gaps in time: as missing, with zero, the one before, or in a straight line', async () => {
    const gaps: DataTable = {
      ...harbour,
      columns: [
        { name: 'month', type: 'date', grain: 'month', values: ['2030-11', '2031-02', '2031-01'] },
        { name: 'riders', type: 'number', values: [10, 40, 30] },
      ],
    }
    const filled = async (way: string) => tableOf([{ kind: 'fill', column: 'month', each: [], way } as Step], gaps)
    expect(await filled('missing')).toEqual({ month: ['2030-11', '2030-12', '2031-01', '2031-02'], riders: [10, null, 30, 40] })
    expect((await filled('zero')).riders).toEqual([10, 0, 30, 40])
    expect((await filled('before')).riders).toEqual([10, 10, 30, 40])
    // 30 of the 61 days between the first of November and the first of January.
    expect((await filled('straight')).riders![1]).toBeCloseTo(10 + (20 * 30) / 61, 9)
  })

  it('lose no row that has no name or moment, or say that they do', async () => {
    const table: DataTable = {
      ...harbour,
      columns: [
        { name: 'month', type: 'date', grain: 'month', values: ['2031-01', null, '2031-03'] },
        { name: 'riders', type: 'number', values: [1, 2, 3] },
      ],
    }
    const filled = await tableOf([{ kind: 'fill', column: 'month', each: [], way: 'zero' }], table)
    expect(filled).toEqual({ month: ['2031-01', '2031-02', '2031-03', null], riders: [1, 0, 3, 2] })
    const { runs } = await done([{ kind: 'spread', names: 'month', amount: 'riders' }], table)
    expect(runs[0]!.note).toBe('One row has no “month”, and stands in no column.')
  })

  it('join by numbers as they are written', async () => {
    const piers: DataTable = { ...shores, columns: [{ name: 'pier', type: 'text', values: ['10', '20'] }, shores.columns[1]!] }
    piers.columns[1] = { ...piers.columns[1]!, values: ['east', 'west'] }
    const { table } = await done([{ kind: 'join', table: 'shores', by: 'riders', to: 'pier', add: ['shore'] }], harbour, [piers])
    expect(table!.shore).toEqual(['east', null, 'west', null, null])
  })

  it.each([
    ['year', ['2028', '2030'], '2029'],
    ['quarter', ['2030-Q4', '2031-Q2'], '2031-Q1'],
    ['week', ['2030-W52', '2031-W02'], '2031-W01'],
    ['day', ['2032-02-28', '2032-03-01'], '2032-02-29'],
  ] as const)('fill a gap of a %s', async (grain, [first, last], between) => {
    const table: DataTable = { ...harbour, columns: [{ name: 'when', type: 'date', grain, values: [first, last] }] }
    expect((await tableOf([{ kind: 'fill', column: 'when', each: [], way: 'missing' }], table)).when).toEqual([first, between, last])
  })

  it.each([
    ['year', ['2031', '2031', '2032']],
    ['quarter', ['2031-Q1', '2031-Q4', '2032-Q1']],
    ['month', ['2031-01', '2031-12', '2032-01']],
    // 29 December 2031 is in the first ISO week of 2032.
    ['week', ['2031-W01', '2032-W01', '2032-W01']],
  ] as const)('take days together by %s', async (to, made) => {
    const table: DataTable = {
      ...harbour,
      columns: [{ name: 'day', type: 'date', grain: 'day', values: ['2031-01-01', '2031-12-29', '2032-01-04'] }],
    }
    expect((await tableOf([{ kind: 'coarser', of: 'day', name: 'in', to }], table)).in).toEqual(made)
  })

  it('reckon formulas; what is divided by nothing is missing', async () => {
    const of = async (formula: string) => (await tableOf([{ kind: 'formula', name: 'x', formula, shows: 'number' }])).x
    expect(await of('riders / total(riders)')).toEqual([0.1, 0.3, 0.2, null, 0.4])
    expect(await of('1 + 2 * 3 ^ 2 - -1')).toEqual([20, 20, 20, 20, 20])
    expect(await of('riders / (riders - 20)')).toEqual([-1, 3, null, null, 2])
    expect(await of('if(riders > 15 and not route = "Marsh", "busy", "calm")')).toEqual(['calm', 'busy', 'busy', 'calm', 'calm'])
    expect(await of('upper(left(route, 2)) & " " & year(year)')).toEqual(['AS 2030', 'AS 2031', 'QU 2030', 'QU 2031', 'MA 2031'])
    expect(await of('instead(riders, 0) - instead(previous(riders), 0)')).toEqual([10, 20, -10, -20, 40])
    expect(await of('missing(riders)')).toEqual(['no', 'no', 'no', 'yes', 'no'])
    expect(await of('root(riders - 20)')).toEqual([null, Math.sqrt(10), 0, null, Math.sqrt(20)])
    expect(await of('10 ^ 400')).toEqual([null, null, null, null, null])
  })

  it('words of a user never become part of a statement', async () => {
    const evil = `'; drop table t1; -- "`
    const table: DataTable = {
      ...harbour,
      columns: [
        { name: evil, type: 'text', values: [evil, 'x'] },
        { name: 'riders', type: 'number', values: [1, 2] },
      ],
    }
    expect((await tableOf([{ kind: 'keep', column: evil, test: 'is', values: [evil] }], table)).riders).toEqual([1])
    expect((await tableOf([{ kind: 'spread', names: evil, amount: 'riders' }], table))[evil]).toEqual([1])
    expect((await tableOf([{ kind: 'formula', name: 'x', formula: `[${evil}] & "'; drop"`, shows: 'number' }], table)).x).toEqual([
      `${evil}'; drop`,
      `x'; drop`,
    ])
  })

  it('stop at the one that cannot be done, with why; a skipped one changes nothing', async () => {
    const { runs, text } = await done([
      { kind: 'leave', columns: ['year'] },
      { kind: 'order', column: 'riders', way: 'up', skipped: true },
      { kind: 'group', by: ['year'], measure: 'sum', of: ['riders'] },
      { kind: 'rename', column: 'riders', name: 'people' },
    ])
    expect(runs.map(({ rows, fault }) => [rows, fault?.message ?? null])).toEqual([
      [5, null],
      [5, null],
      [5, 'There is no column “year” here.'],
    ])
    expect(text).toBeNull()
  })

  it('tell the sums before and after, and show rows of both', async () => {
    const { look } = await done([{ kind: 'group', by: ['route'], measure: 'sum', of: ['riders'] }])
    expect(look).toEqual({
      before: harbour.columns.map(({ values }) => values),
      after: [
        ['Astrel', 'Quill', 'Marsh'],
        [40, 20, 40],
      ],
      sums: [{ column: 'riders', before: 100, after: 100 }],
    })
  })

  it('keep what they need until they are answered, however little room there is', async () => {
    const { keeping } = await import('./tables')
    const { rows } = keeping
    keeping.rows = 1
    const join: Step = { kind: 'join', table: 'shores', by: 'route', to: 'route', add: ['shore'] }
    const { table, runs } = await done([{ kind: 'order', column: 'riders', way: 'up' }, { kind: 'leave', columns: ['year'] }, join])
    keeping.rows = rows
    expect([runs.map(({ fault }) => fault), table!.shore]).toEqual([
      [null, null, null],
      ['east', 'west', 'east', null, 'west'],
    ])
  })

  it('begin for every kind with a step that can be done, on a table that has what it needs', async () => {
    const sight = { columns: bare(harbour), tables: [{ id: shores.id, name: shores.name, columns: bare(shores) }] }
    for (const { kind, step, needs } of stepOffers(sight)) {
      if (kind === 'gather') expect(needs).toBe('two columns of numbers')
      else if (kind === 'coarser') expect(needs).toBe('a column of days or months')
      else expect((await done([step!])).runs[0]!.fault, kind).toBeNull()
    }
  })

  it('has no way to files, network or settings', async () => {
    const { engine } = await import('./tables')
    const connection = await engine()
    for (const statement of [
      `select * from read_csv('/etc/passwd')`,
      `copy (select 1) to '/tmp/steps-out.csv'`,
      `attach '/tmp/steps.db'`,
      `set enable_external_access = true`,
      `set memory_limit = '8GB'`,
      `install httpfs`,
    ])
      await expect(connection.run(statement), statement).rejects.toThrow()
  })
})

describe('rows in the order of a column', () => {
  const ordered = (by: number, way: 'up' | 'down', from = 0, count = 10) =>
    orderedRows({ version: 'in order', columns: bare(harbour), by, way, from, count })

  it('come with which row of the table each is, missing ones last; words whatever their letters', async () => {
    expect(await ordered(2, 'up')).toBeNull()
    await keepTable({ version: 'in order', text: JSON.stringify(harbour) })
    expect(await ordered(2, 'down')).toEqual({
      rows: [4, 1, 2, 0, 3],
      columns: [
        ['Marsh', 'Astrel', 'Quill', 'Astrel', 'Quill'],
        ['2031', '2031', '2030', '2030', '2031'],
        [40, 30, 20, 10, null],
      ],
    })
    expect((await ordered(2, 'up'))!.rows).toEqual([0, 2, 1, 4, 3])
    expect((await ordered(0, 'up', 1, 2))!.rows).toEqual([1, 4])
    expect((await ordered(0, 'up', 7, 2))!.rows).toEqual([])
  })
})

describe('a step that takes long', () => {
  const rows = 400_000
  const large: DataTable = {
    id: 'large',
    name: 'Large',
    columns: [
      { name: 'n', type: 'number', values: Array.from({ length: rows }, (_, index) => (index * 7919) % rows) },
      { name: 'at', type: 'text', values: Array.from({ length: rows }, (_, index) => `place ${(index * 104_729) % rows}`) },
    ],
  }
  const slow: Step[] = Array.from({ length: 6 }, (_, index) => ({ kind: 'order', column: index % 2 ? 'n' : 'at', way: 'up' }))
  const asked = { from: { version: 'large', columns: bare(large) }, others: [], steps: slow }

  it('says how far it is, and ends when it is stopped; asked once more it is done', async () => {
    await keepTable({ version: 'large', text: JSON.stringify(large) })
    const stop = new AbortController()
    const told: StepsProgress[] = []
    const say = (progress: unknown) => {
      told.push(progress as StepsProgress)
      stop.abort()
    }
    expect(await run(asked, { say, stopped: stop.signal })).toBe('stopped')
    expect(told[0]!.of).toBeGreaterThanOrEqual(rows)
    expect(told[0]!.done).toBeLessThanOrEqual(told[0]!.of)
    expect(await run(asked, quiet)).toMatchObject({ runs: Array(6).fill({ rows, fault: null }) })
  })
})
