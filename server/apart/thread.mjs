import { createJiti } from 'jiti'
import { workerData } from 'piscina'

/** The program of a thread: it says that it begins, does one of the tasks of its module and answers. */
const tasks = await createJiti(import.meta.url).import(workerData.tasks)

export default ({ task, input, says }) => {
  says.postMessage('begun')
  says.close()
  return tasks[task](input)
}
