import { describe, expect, it } from 'vitest'
import {
  columnInFormula,
  formulaFunctions,
  isFault,
  readFormula,
  sentenceOf,
  sentenceWords,
  stepOffers,
  stepSchema,
  stepsSaid,
  withField,
  workOf,
} from '.'
import type { Sight, Step, StepColumn } from '.'

const columns: StepColumn[] = [
  { name: 'route', type: 'text' },
  { name: 'season', type: 'date', grain: 'season' },
  { name: 'month', type: 'date', grain: 'month' },
  { name: 'riders', type: 'number', unit: '€', kind: 'money' },
  { name: 'share of cars', type: 'number', kind: 'percent' },
]
const sight: Sight = {
  columns,
  tables: [
    {
      id: 'shores',
      name: 'Shores',
      columns: [
        { name: 'route', type: 'text' },
        { name: 'shore', type: 'text' },
      ],
    },
  ],
}
const told = (step: Step) => sentenceWords(sentenceOf(step, sight))
const columnsAfter = (step: Step, answers: string[] = []) => {
  const work = workOf(step, { ...sight, answers })
  return isFault(work) ? work.message : work.columns
}
const faultOf = (step: Step) => {
  const work = workOf(step, sight)
  return isFault(work) ? work : null
}

describe('a kind of steps', () => {
  it('begins with a step that its own schema takes, and that is told without a gap', () => {
    for (const { kind, step } of stepOffers(sight)) {
      expect(step, kind).not.toBeNull()
      expect(stepSchema.parse(step)).toEqual(step)
      expect(told(step!)).not.toMatch(/undefined|\s{2}|\s[,:]/)
    }
  })

  it('begins on a table of hundreds of columns too', () => {
    const wide: Sight = { columns: Array.from({ length: 300 }, (_, at) => ({ name: `day ${at}`, type: 'number' as const })), tables: [] }
    for (const { kind, step } of stepOffers(wide)) if (step) expect(stepSchema.safeParse(step).success, kind).toBe(true)
  })

  it('says what it needs where a table has nothing for it, and comes last then', () => {
    const words: Sight = { columns: [{ name: 'route', type: 'text' }], tables: [] }
    const lacking = stepOffers(words).filter(({ needs }) => needs)
    expect(lacking.find(({ kind }) => kind === 'share')!.needs).toBe('a column of numbers')
    expect(lacking.find(({ kind }) => kind === 'join')!.needs).toBe('another table')
    expect(stepOffers(words).slice(-lacking.length)).toEqual(lacking)
  })

  it('is told as a sentence', () => {
    expect(told({ kind: 'group', by: ['route', 'month'], measure: 'median', of: ['riders'] })).toBe(
      'Group by route, month to the median of riders',
    )
    expect(told({ kind: 'keep', column: 'month', test: 'at-least', values: ['2031-04'] })).toBe(
      'Keep rows where month is in or after 2031-04',
    )
    expect(told({ kind: 'share', of: 'riders', name: 'part', each: [] })).toBe('Add part: the share of riders in the whole table')
  })

  it('knows what its columns are about afterwards', () => {
    const last = (step: Step) => (columnsAfter(step) as StepColumn[]).at(-1)
    expect(columnsAfter({ kind: 'group', by: ['route'], measure: 'mean', of: ['riders'] })).toEqual([
      { name: 'route', type: 'text' },
      { name: 'riders, mean', type: 'number', unit: '€', kind: 'money' },
    ])
    expect(last({ kind: 'share', of: 'riders', name: 'part', each: [] })).toEqual({ name: 'part', type: 'number', kind: 'percent' })
    expect(last({ kind: 'formula', name: 'busy', formula: 'riders > 5', shows: 'number' })).toEqual({
      name: 'busy',
      type: 'text',
      kind: 'yes-no',
    })
    const spread = columnsAfter({ kind: 'spread', names: 'route', amount: 'riders' }, ['Astrel', 'month'])
    expect((spread as StepColumn[]).map(({ name }) => name)).toEqual(['season', 'month', 'share of cars', 'Astrel', 'month 2'])
  })

  it('says which field is at fault', () => {
    expect(faultOf({ kind: 'group', by: ['shore'], measure: 'sum', of: ['riders'] })).toEqual({
      field: 'by',
      message: 'There is no column “shore” here.',
    })
    expect(faultOf({ kind: 'keep', column: 'riders', test: 'at-least', values: ['many'] })).toEqual({
      field: 'values',
      message: '“many” is no number.',
    })
    expect(faultOf({ kind: 'keep', column: 'riders', test: 'is', values: ['1,5'] })?.message).toBe('“1,5” is no number.')
    for (const words of ['spring', '2031-Q2', '03/04/2031'])
      expect(faultOf({ kind: 'keep', column: 'month', test: 'is', values: [words] })?.message, words).toContain(
        'is no moment that this column',
      )
    expect(faultOf({ kind: 'keep', column: 'riders', test: 'between', values: [] })?.message).toBe('Say between which two.')
    expect(faultOf({ kind: 'join', table: 'gone', by: 'route', to: 'route', add: ['x'] })?.message).toBe('There is no such table any more.')
    expect(faultOf({ kind: 'fill', column: 'season', each: [], way: 'zero' })?.message).toContain('holds no years, quarters')
    expect(faultOf({ kind: 'rename', column: 'route', name: 'month' })).toMatchObject({ remedy: { change: { name: 'month 2' } } })
    expect(faultOf({ kind: 'leave', columns: columns.map(({ name }) => name) })?.message).toBe('One column has to stay.')
    expect(faultOf({ kind: 'spread', names: 'route', amount: 'month' })?.message).toBe('“month” holds no numbers.')
    const open: Sight = { columns: [{ name: 'day', type: 'date', open: 'Which of two days?' }], tables: [] }
    expect(workOf({ kind: 'order', column: 'day', way: 'up' }, open)).toMatchObject({
      message: expect.stringContaining('leaves a question open'),
    })
    expect(
      workOf({ kind: 'spread', names: 'route', amount: 'riders' }, { ...sight, answers: Array.from({ length: 101 }, String) }),
    ).toMatchObject({
      message: expect.stringContaining('over 100 values'),
    })
  })

  it('keeps its fields fit for each other when one of them changes', () => {
    const keep: Step = { kind: 'keep', column: 'route', test: 'holds', values: ['Astrel'] }
    expect(withField(keep, sight, { column: 'riders' })).toEqual({ kind: 'keep', column: 'riders', test: 'is', values: [] })
    const join: Step = { kind: 'join', table: 'x', by: 'route', to: 'place', add: ['shore', 'gone'] }
    expect(withField(join, sight, { table: 'shores' })).toMatchObject({ to: 'route', add: ['shore'] })
    expect(() => withField(keep, sight, { test: 'like' })).toThrow()
  })
})

describe('what is said', () => {
  const first = (words: string) => {
    const [offer] = stepsSaid(words, sight)
    return offer?.step ? told(offer.step) : null
  }
  it('becomes a step with the columns and the number that are named in it', () => {
    expect(first('share of riders by month')).toBe('Add share: the share of riders in month')
    expect(first('top 10 by riders')).toBe('Keep the 10 greatest by riders and leave out the rest')
    expect(first('Sum riders per route and month')).toBe('Group by route, month to the sum of riders')
    expect(first('order by share of cars')).toBe('Order rows by share of cars, the greatest first')
    expect(first('rolling mean of riders over 7')).toBe('Add riders, rolling mean: the mean of riders over 7 rows along season for route')
    expect(first('leave out season')).toBe('Leave out season')
  })

  it('of which nothing is a step offers none; nothing said offers all', () => {
    expect(stepsSaid('sing a song', sight)).toEqual([])
    expect(stepsSaid(' ', sight)).toEqual(stepOffers(sight))
  })
})

describe('a formula', () => {
  const read = (formula: string) => readFormula(formula, sight, 'new')
  const fault = (formula: string) => {
    const found = read(formula)
    return 'message' in found ? found : null
  }

  it('is read by the rules of arithmetic, into functions that are listed', () => {
    const sqlOf = (formula: string) => (read(formula) as { sql: string }).sql
    expect(sqlOf('1 + 2 * 3')).toContain('((1) + ((2) * (3)))')
    expect(sqlOf('-2 ^ 2')).toContain('(- pow((2), (2)))')
    expect(sqlOf('riders > 5 or route = "it’s" and not missing(month)')).toContain(`((c3 > (5)) or ((c0 = 'it’s') and (not (c2 is null))))`)
    expect(sqlOf(`route & "o'clock"`)).toContain(`'o''clock'`)
    expect(sqlOf('[share of cars] * 12%')).toContain('(c4 * (0.12))')
    for (const name of ['sum', 'AVERAGE', 'Coalesce']) expect(fault(`${name}(riders${name === 'Coalesce' ? ', 0' : ''})`)).toBeNull()
  })

  it('says from and to which letter it is wrong, and what is likely meant', () => {
    expect(fault('riders / totl(riders)')).toEqual({ message: '“totl” is not a function.', at: [9, 13], instead: 'total' })
    expect(fault('rider * 2')).toEqual({ message: 'There is no column “rider” here.', at: [0, 5], instead: 'riders' })
    expect(fault('[share of car]')).toMatchObject({ instead: '[share of cars]' })
    expect(fault('riders × 2')).toMatchObject({ at: [7, 8], instead: '*' })
    expect(fault('new + 1')).toMatchObject({ message: '“new” is what this step makes: it cannot be used in itself.' })
    expect(fault('(riders + 1')).toMatchObject({ message: 'A bracket is open.' })
    expect(fault('riders +')).toMatchObject({ message: 'Something is missing at the end.' })
    expect(fault('riders 2')).toMatchObject({ message: '“2” is more than the formula needs.', at: [7, 8] })
    expect(fault('riders + route')).toMatchObject({ message: 'Here a number is needed, and this is words.', at: [9, 14] })
    expect(fault('riders > route')).toMatchObject({ message: 'a number and words cannot be compared.' })
    expect(fault('if(riders > 1, "a", 2)')?.message).toContain('both have to be the same')
    expect(fault('round()')).toMatchObject({ message: 'round takes 1 to 2, and here are 0.' })
    expect(fault('"open')?.message).toContain('quotation mark is open')
    expect(fault('')?.message).toContain('Write a formula')
  })

  it('that is endless ends with a sentence', () => {
    expect(fault('('.repeat(400) + '1' + ')'.repeat(400))?.message).toContain('nested more than')
    expect(fault('1e999')?.message).toContain('beyond all numbers')
    expect(fault('-'.repeat(500) + '1')?.message).toContain('nested more than')
    expect(fault('1+'.repeat(2000) + '1')?.message).toContain('parts at most')
  })

  it('grows no more than its own length, however it is nested', () => {
    const nested = (one: (inner: string) => string, inner: string) => Array.from({ length: 25 }).reduce<string>(one, inner)
    const sized = (formula: string) => {
      const found = read(formula)
      expect(found, formula.slice(0, 60)).not.toHaveProperty('message')
      return (found as { sql: string }).sql.length
    }
    for (const [name, { takes }] of Object.entries(formulaFunctions)) {
      const values = { number: 'riders', text: 'route', date: 'month', 'yes-no': 'riders > 1', any: 'riders' }
      const rest = takes.slice(1).map(type => values[type])
      if (takes[0] === 'number') expect(sized(nested(x => `${[`${name}(${x}`, ...rest].join(', ')})`, 'riders')), name).toBeLessThan(20_000)
      // Through what each gives, back to what it takes.
      if (takes[0] === 'text')
        expect(sized(nested(x => `${[`${name}(${x} & ""`, ...rest].join(', ')})`, 'route')), name).toBeLessThan(20_000)
      if (takes[0] === 'date') expect(sized(nested(x => `if(${name}(${x}) > 1, month, month)`, 'month')), name).toBeLessThan(20_000)
    }
    expect(sized(nested(x => `2 ^ (${x})`, 'riders'))).toBeLessThan(20_000)
  })

  it('names columns as it writes them', () => {
    expect(['riders', 'share of cars', 'and', '2031'].map(columnInFormula)).toEqual(['riders', '[share of cars]', '[and]', '[2031]'])
  })

  it('has no function that is not told what it takes', () => {
    for (const [name, { takes, sql }] of Object.entries(formulaFunctions))
      expect(sql(...takes.map((_, index) => `a${index}`)), name).not.toContain('undefined')
  })
})
