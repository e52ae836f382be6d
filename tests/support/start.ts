import { cutDatabase, kill, startAll } from './server'

export default async function start() {
  await startAll()
  return async () => {
    await kill('SIGTERM')
    cutDatabase()
  }
}
