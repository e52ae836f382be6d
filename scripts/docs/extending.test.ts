import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { newChart, type ChartKind } from '../../core/charts'
import type { CheckRoom, Rule } from '../../core/checks'
import { houseTheme } from '../../core/layouts'
import { applyChanges, elementsOf, setRecord, slidesOf, textOf, plainText } from '../../core/model'
import { isFault, sentenceWords, type StepKind } from '../../core/steps'
import { countingContext, freshDeck, seasons, timingContext } from '../../core/testing'
import { roughMeasurer } from '../../core/text'
import { restingPart, rundown, type Effect } from '../../core/timing'

const root = process.cwd()
const page = readFileSync('docs/extending.md', 'utf8')
/** The files that the page shows, by where they would stand. */
const files = new Map([...page.matchAll(/```ts file=(\S+)\n([\s\S]*?)```/g)].map(([, file, text]) => [path.join(root, file!), text!]))
const scratch = path.join(root, '.hailbank', 'extending')

/** Where each example is run from: its imports lead to where they would from its own place. */
function runnable(file: string, text: string): string {
  const made = path.join(scratch, path.basename(file))
  writeFileSync(
    made,
    text.replace(/from '(\.[^']*)'/g, (_, source: string) => `from '${path.resolve(path.dirname(file), source)}'`),
  )
  return made
}
const exampleIn = async (file: string): Promise<Record<string, unknown>> => {
  const text = files.get(path.join(root, file))
  if (text === undefined) throw new Error(`docs/extending.md does not show ${file} any more.`)
  return (await import(/* @vite-ignore */ runnable(path.join(root, file), text))) as Record<string, unknown>
}

beforeAll(() => void mkdirSync(scratch, { recursive: true }))
afterAll(() => rmSync(scratch, { recursive: true, force: true }))

describe('the worked examples of docs/extending.md', () => {
  it('compile where they would stand, by the house’s own settings', () => {
    const { config } = ts.readConfigFile('core/tsconfig.json', ts.sys.readFile) as { config: { compilerOptions: object } }
    const { options } = ts.convertCompilerOptionsFromJson(config.compilerOptions, path.join(root, 'core'))
    const host = ts.createCompilerHost(options)
    const { fileExists, readFile, getSourceFile } = host
    host.fileExists = file => files.has(file) || fileExists(file)
    host.readFile = file => files.get(file) ?? readFile(file)
    host.getSourceFile = (file, how, ...rest) => {
      const text = files.get(file)
      return text === undefined ? getSourceFile(file, how, ...rest) : ts.createSourceFile(file, text, how)
    }
    const program = ts.createProgram([...files.keys(), path.join(root, 'core/globals.d.ts')], { ...options, noEmit: true }, host)
    const said = ts
      .getPreEmitDiagnostics(program)
      .map(({ file, messageText }) => `${file?.fileName}: ${ts.flattenDiagnosticMessageText(messageText, ' ')}`)
    expect(files.size).toBe(4)
    expect(said).toEqual([])
  })

  it('show an effect that is gone at 0 and there at 1', async () => {
    const { topple } = (await exampleIn('core/timing/effects/topple.ts')) as { topple: Effect }
    const room = { box: { x: 0, y: 0, width: 10, height: 10, angle: 0 }, size: { width: 1920, height: 1080 }, lines: [] }
    const [gone, there] = [restingPart(), restingPart()]
    topple.apply(gone, 0, {}, room)
    topple.apply(there, 1, {}, room)
    expect([gone.opacity, gone.rotate]).toEqual([0, 90])
    expect([there.opacity, there.rotate]).toEqual([1, 0])
  })

  it('show a kind of charts whose dashes lie where bars would end', async () => {
    const { levels } = (await exampleIn('core/charts/kinds/levels.ts')) as { levels: ChartKind }
    const room = { width: 1200, height: 600, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
    const drawing = levels.draw({ ...newChart(seasons.id), labels: 'none' }, seasons, room)
    expect(drawing.parts).toBe(5)
    const base = drawing.rules.find(({ kind }) => kind === 'base')!.from.y
    const heights = drawing.marks.flatMap(mark => (mark.shape === 'cell' ? [base - (mark.y + mark.height / 2)] : []))
    expect(heights).toHaveLength(5)
    const crossings = seasons.columns[1]!.values as number[]
    heights.forEach((height, index) => expect(height / heights[0]!).toBeCloseTo(crossings[index]! / crossings[0]!, 6))
    expect(drawing.description).toBe('Level chart of crossings by season, 5 dashes. Highest: 2026, 5,230.')
  })

  it('show a step that keeps the first of rows that are alike', async () => {
    const { distinct } = (await exampleIn('core/steps/catalogue/distinct.ts')) as { distinct: StepKind }
    const sight = {
      columns: [
        { name: 'route', type: 'text' as const },
        { name: 'riders', type: 'number' as const },
      ],
      tables: [],
    }
    const begun = distinct.begins(sight)
    expect(distinct.schema.parse(begun)).toEqual({ kind: 'distinct', of: ['route'] })
    expect(sentenceWords(distinct.sentence(begun as never, sight))).toBe('Keep one row of each route')
    const work = distinct.work(begun as never, sight)
    expect(isFault(work) || work.sql('t1', String)).toBe(
      'select r as r, c0 as c0, c1 as c1 from t1 qualify row_number() over (partition by c0 order by r) = 1',
    )
  })

  it('show a check that finds a title in capitals, and puts it right', async () => {
    const { shouting } = (await exampleIn('core/checks/rules/shouting.ts')) as { shouting: Rule }
    const base = freshDeck()
    const slide = slidesOf(base)[0]!
    const title = elementsOf(base, slide.id).find(element => element.placeholder === 'title')!
    const titled = (words: string) => applyChanges(base, [setRecord('elements', title.id, { text: textOf([words]) })])
    const found = (words: string) => {
      const deck = titled(words)
      const plan = rundown(deck, 'talk', timingContext).slides.find(one => one.slide === slide.id)!
      return shouting({ deck, slide: plan, context: timingContext } satisfies CheckRoom)
    }
    expect(found('Boats at six')).toEqual([])
    const [finding] = found('BOATS AT SIX')
    const mended = applyChanges(titled('BOATS AT SIX'), finding!.remedy!.changes(base, countingContext()))
    const after = mended.elements[title.id]!
    expect(after.kind === 'text' && plainText(after.text)).toBe('Boats at six')
  })
})
