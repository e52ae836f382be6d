import { createJiti } from 'jiti'

/** The program of a thread: it says that it begins, does one of the tasks of the module that it is called with, and answers. */
const tasks = await createJiti(import.meta.url).import(process.argv.at(-1))

export default ({ task, input, says }) => {
  says.postMessage('begun')
  says.close()
  return tasks[task](input)
}
