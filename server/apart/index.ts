import type * as tasks from './tasks'
import { Threads } from './threads'

export type Tasks = typeof tasks
export type { FaceWithBytes } from './tasks'
export { TooHeavy } from './threads'

const threads = new Threads<Tasks>('server/apart/tasks.ts', { least: 1, most: 2, idleSeconds: 60 })

/** Does one of the tasks in a thread of its own; see `Threads`. */
export const apart: Threads<Tasks>['do'] = (task, input, limits) => threads.do(task, input, limits)
/** Starts a thread ahead of the first task, which would wait until its program is read. */
export const readyThreads = () => threads.ready()
/** Ends the threads; for an orderly end. */
export const endThreads = () => threads.end()
