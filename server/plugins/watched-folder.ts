import { followFolder } from '../tables/watched'

/** Tables follow the files of a folder, where one is set. */
export default defineNitroPlugin(followFolder)
