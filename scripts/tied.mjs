/** Preloaded into the processes that `npm start` runs: they end in order once it is gone, however it ended. */
process.once('disconnect', () => {
  process.kill(process.pid, 'SIGTERM')
  // What does not end in order, whatever it waits for, is ended all the same.
  setTimeout(() => process.kill(process.pid, 'SIGKILL'), 8000).unref()
})
