import { cutDatabase, kill, killWorker, places, startAll } from './server'

export default async function start() {
  for (const place of places) await startAll(place)
  return async () => {
    for (const place of places) {
      killWorker(place)
      await kill('SIGTERM', place)
      cutDatabase(place)
    }
  }
}
