import { refuse } from '../access'

/** Open to all: calls that there are not. */
export default defineEventHandler(event => refuse(404, `There is no call ${event.method} ${event.path.split('?')[0]!.slice(0, 200)}.`))
