import { followFonts } from '../fonts/folder'

/** What comes into the folder of fonts becomes the team's, where one is set. */
export default defineNitroPlugin(followFonts)
