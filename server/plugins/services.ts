import { followServices } from '../tables/services'
import { startStandIn } from '../stand-in/service'

/** Tables follow the services that may be asked; a stand-in for one is started where a port is set for it. */
export default defineNitroPlugin(async () => {
  const port = Number(process.env.HAILBANK_STAND_IN)
  if (port) await startStandIn(port)
  followServices()
})
