import { refuse } from '../access'

/**
 * Calls that there are not are told so; without this they would be answered with the page of the application. Not a file among the routes:
 * the types of all calls would then include it.
 */
export default defineNitroPlugin(nitro => {
  nitro.router.use(
    '/api/**',
    defineEventHandler(event => refuse(404, `There is no call ${event.method} ${event.path.split('?')[0]!.slice(0, 200)}.`)),
  )
})
