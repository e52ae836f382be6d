/** Preloaded into the processes that `npm start` runs: they end in order once it is gone, however it ended. */
process.once('disconnect', () => process.kill(process.pid, 'SIGTERM'))
