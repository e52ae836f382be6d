import { cutDatabase, kill, killWorker, startAll } from './server'

export default async function start() {
  await startAll()
  return async () => {
    killWorker()
    await kill('SIGTERM')
    cutDatabase()
  }
}
