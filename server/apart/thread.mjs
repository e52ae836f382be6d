import { createJiti } from 'jiti'

/** The program of a thread: it says that it begins, does one of the tasks and answers. */
const tasks = await createJiti(import.meta.url).import('./tasks.ts')

export default ({ task, input, says }) => {
  says.postMessage('begun')
  says.close()
  return tasks[task](input)
}
