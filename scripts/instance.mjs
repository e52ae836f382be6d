import fs from 'node:fs'
import path from 'node:path'

/** Notes which process runs a home, so that a second start finds the first, and `npm stop` knows whom to ask. */
const noteOf = home => path.resolve(home, 'running.json')

/** Whether a process is there and is one of ours; its number may have gone to somebody else since. */
function isOurs(pid) {
  try {
    return fs
      .readFileSync(`/proc/${pid}/cmdline`, 'utf8')
      .split('\0')
      .some(part => part.endsWith('start.mjs'))
  } catch (error) {
    if (error.code !== 'ENOENT' && error.code !== 'ESRCH') throw error
    return false
  }
}

/** Who runs this home: `{ pid, address }`, without an address while it is still starting; null where nobody does. */
export function runningInstance(home) {
  let note
  try {
    note = JSON.parse(fs.readFileSync(noteOf(home), 'utf8'))
  } catch (error) {
    // None there, or one cut off by a power cut: nobody to be found by it.
    if (error.code === 'ENOENT' || error instanceof SyntaxError) return null
    throw error
  }
  return isOurs(note.pid) ? note : null
}

/** Takes a home for this process; answers with who has it already, or null. */
export function claim(home) {
  fs.mkdirSync(home, { recursive: true })
  for (;;) {
    try {
      fs.writeFileSync(noteOf(home), JSON.stringify({ pid: process.pid }), { flag: 'wx' })
      return null
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
    }
    const other = runningInstance(home)
    if (other) return other
    fs.rmSync(noteOf(home), { force: true })
  }
}

/** Says under which address the home is served. */
export const noteAddress = (home, address) =>
  fs.writeFileSync(noteOf(home), JSON.stringify({ pid: process.pid, address, since: new Date().toISOString() }))

export const release = home => fs.rmSync(noteOf(home), { force: true })
