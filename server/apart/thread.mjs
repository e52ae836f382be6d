import { createJiti } from 'jiti'

/** The program of a thread: it does one of the tasks and answers. */
const tasks = await createJiti(import.meta.url).import('./tasks.ts')

export default ({ task, input }) => tasks[task](input)
