/** Lets others be answered between two steps of what takes long. */
export const breath = () => new Promise(resolve => setImmediate(resolve))

/** Does something step by step, with others answered in between. */
export async function inSteps<T>(steps: Generator<void, T>): Promise<T> {
  let step = steps.next()
  for (; !step.done; step = steps.next()) await breath()
  return step.value
}
