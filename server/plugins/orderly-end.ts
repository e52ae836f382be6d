import { closeDatabase } from '../database/connection'
import { closeAllRooms } from '../live/rooms'
import { endFonts } from '../fonts/folder'
import { endSteps } from '../steps'
import { endStandIn } from '../stand-in/service'
import { endServices } from '../tables/services'
import { endFollowing } from '../tables/watched'

/** An orderly end: who is connected is told, what was sent is put on disk, then the database is let go. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('close', async () => {
    await endServices()
    await endStandIn()
    await endFollowing()
    await endFonts()
    await closeAllRooms()
    await endSteps()
    await closeDatabase()
  })
})
