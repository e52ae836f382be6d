/**
 * Steps that work on a table: records that are told as sentences, say what columns they leave, and become SQL.
 *
 * @example
 * import { sentenceOf, sentenceWords, stepOffers } from 'core/steps'
 *
 * const sight = { columns: [{ name: 'route', type: 'text' as const }, { name: 'riders', type: 'number' as const }], tables: [] }
 * const group = stepOffers(sight).find(({ kind }) => kind === 'group')!.step!
 * sentenceWords(sentenceOf(group, sight)) // → 'Group by route to the sum of riders'
 */
export { columnInFormula, formulaFunctions, readFormula, type FormulaFault } from './formula'
export * from './plan'
export * from './said'
export {
  isFault,
  type StepKind,
  type OtherTable,
  type Sight,
  type StepColumn,
  type StepFault,
  type StepField,
  type StepPart,
  type StepWork,
} from './step'
