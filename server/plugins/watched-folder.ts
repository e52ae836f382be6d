import { watchFolder } from '../tables/watched'

/** Tables follow the files of a folder, where one is set. */
export default defineNitroPlugin(nitro => {
  const folder = process.env.HAILBANK_TABLES
  if (!folder) return
  const stop = watchFolder(folder)
  nitro.hooks.hook('close', stop)
})
