import { closeDatabase } from '../database/connection'
import { keepAllRooms } from '../live/rooms'

/** Puts every snapshot on disk before an orderly end; the updates themselves are there already. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('close', async () => {
    await keepAllRooms().catch(() => {})
    await closeDatabase()
  })
})
