/** What columns of targets are called. */
const aims = /\b(target|goal|plan|planned|budget|aim|quota|limit)\b/i

/** Whether a column, by its name, says where amounts are to come to. */
export const isAim = (name: string) => aims.test(name)
