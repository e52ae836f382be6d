import { createJiti } from 'jiti'

/**
 * The program of a thread: it says that it begins, does one of the tasks of the module that it is called with, and answers. A task is
 * given a line to whoever asked: to say how far it is, and to hear that it is not wanted any more.
 */
const tasks = await createJiti(import.meta.url).import(process.argv.at(-1))

export default async ({ task, input, says }) => {
  const stop = new AbortController()
  says.once('message', () => stop.abort())
  says.postMessage({ begun: true })
  try {
    return await tasks[task](input, { say: told => says.postMessage({ told }), stopped: stop.signal })
  } finally {
    says.close()
  }
}
