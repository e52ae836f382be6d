/** What a person can do something about; said as it is. */
export class Refused extends Error {}

/** Says how far a job is, of how much, and what it is at; throws where nobody wants it any more. */
export type Progress = (done: number, total: number, words: string) => Promise<void>
