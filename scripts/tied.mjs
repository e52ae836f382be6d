import { isMainThread } from 'node:worker_threads'

/** Preloaded into the processes that `npm start` runs: they end in order once it is gone, however it ended. */
function end() {
  process.kill(process.pid, 'SIGTERM')
  // What does not end in order, whatever it waits for, is ended all the same.
  setTimeout(() => process.kill(process.pid, 'SIGKILL'), 8000).unref()
}
// Threads of such a process load this too, and are tied to it already. Whoever started it may be gone before anybody here could hear of
// that.
if (isMainThread) {
  if (process.connected) process.once('disconnect', end)
  else process.kill(process.pid, 'SIGKILL')
}
