import type { z } from 'zod'
import type { Column } from '../data'

/** A column without its values: all that the next step has to know. */
export type StepColumn = Omit<Column, 'values'>

/** A table that steps may bring columns from. */
export interface OtherTable {
  id: string
  name: string
  columns: readonly StepColumn[]
}

/** What a step finds: the columns that are there by then, the other tables of the team, and what it asked the rows before. */
export interface Sight {
  columns: readonly StepColumn[]
  tables: readonly OtherTable[]
  /** Answers to what the step `asks`, in their order; empty before it was asked. */
  answers?: readonly string[]
}

/** One field of a step told as a sentence: its name in the record, its value, and what may stand there. */
export type StepField = { field: string; label: string } & (
  | { as: 'column'; value: string; of: readonly StepColumn[] }
  | { as: 'columns'; value: readonly string[]; of: readonly StepColumn[]; none: string }
  | { as: 'choice'; value: string; of: readonly { value: string; label: string }[] }
  | { as: 'number'; value: number; min: number; max: number }
  | { as: 'name'; value: string }
  /** Values of a column, as they are kept. */
  | { as: 'values'; value: readonly string[]; of: StepColumn; most: number }
  | { as: 'table'; value: string; of: readonly OtherTable[] }
  | { as: 'formula'; value: string; of: readonly StepColumn[] }
)
export type StepPart = string | StepField

/** Why a step cannot be done: which field is at fault, from and to which letter of it, and one remedy. */
export interface StepFault {
  message: string
  field?: string
  at?: readonly [number, number]
  remedy?: { label: string; change: Readonly<Record<string, unknown>> }
}

/** What a step does: the columns after it, and the statement that makes its rows of those in `from`. */
export interface StepWork {
  columns: readonly StepColumn[]
  /**
   * Selects `r`, by which rows are in order, and `c0`, `c1`, … in the order of `columns`, from a relation that is named so; `other` names
   * that of another table.
   */
  sql(from: string, other: (table: string) => string): string
  /** Counts something worth a note, as the number of names that fit nothing, and says it. */
  note?: { sql(from: string, other: (table: string) => string): string; words(count: number, first: string): string }
}

/** What a kind of steps does with its records. */
export interface StepActs<Step> {
  /** What it is for, in the list of all, and words by which it is found there. */
  title: string
  explains: string
  words: readonly string[]
  /** A step of this kind to begin with, by the columns that are there; or what it needs. */
  begins(sight: Sight): Step | string
  sentence(step: Step, sight: Sight): readonly StepPart[]
  /** A record whose fields fit each other again after one of them was changed. */
  settled?(step: Step, sight: Sight): Step
  /** A statement on the rows before, whose answers (words) the work depends on. */
  asks?(step: Step, sight: Sight, from: string): string | null
  work(step: Step, sight: Sight): StepWork | StepFault
}
/** A kind of steps, a file each in the catalogue: the schema of its records, with `kind` and whether it is skipped, and what it does. */
export type StepKind<S extends z.ZodObject = z.ZodObject, Step = z.infer<S>> = { schema: S } & StepActs<Step>

/** Declares a kind: first its schema, by which the types of all else are known. */
export const stepKind =
  <S extends z.ZodObject>(schema: S) =>
  (acts: StepActs<z.infer<S>>): StepKind<S> => ({ schema, ...acts })

export const isFault = (work: StepWork | StepFault): work is StepFault => 'message' in work
