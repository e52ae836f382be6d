import { watchedFolder, watchFolder } from '../tables/watched'

/** Tables follow the files of a folder, where one is set. */
export default defineNitroPlugin(nitro => {
  const folder = watchedFolder()
  if (!folder) return
  const stop = watchFolder(folder)
  nitro.hooks.hook('close', stop)
})
