import { createHash } from 'node:crypto'
import { mkdir } from 'node:fs/promises'
import path from 'node:path'
import { isKeptFont } from '../database/fonts'
import { bytesIn, filesIn, lackOf } from '../folder'
import { log } from '../log'
import { faultOf, keepGoing } from '../tables/follow'
import { fontByteLimit } from './check'
import { takeFont } from './take'

const isFontFile = (name: string) => /\.(?:woff2|ttf|otf)$/i.test(name)

/** Takes a file of the folder as a font of the team, unless it is one; answers with why it cannot be. */
async function takeFile(place: string): Promise<string | null> {
  try {
    const bytes = await bytesIn(place, fontByteLimit)
    if (typeof bytes === 'string') return bytes
    if (await isKeptFont(createHash('sha256').update(bytes).digest('hex'))) return null
    const taken = await takeFont(bytes, path.basename(place), null)
    return taken.ok ? null : taken.message
  } catch (error) {
    const fault = faultOf(error)
    if (fault === null) throw error
    return fault
  }
}

/**
 * Looks through a folder once: font files that have stayed the same since one last looked become fonts of the team. One that cannot be read
 * is named in the log, once. A font stays when its file goes.
 */
export async function lookForFonts(folder: string, seen: Map<string, string>, taken: Map<string, string>): Promise<void> {
  for (const { file, stamp } of await filesIn(folder, isFontFile)) {
    const isSettled = seen.get(file) === stamp
    seen.set(file, stamp)
    if (!isSettled || taken.get(file) === stamp) continue
    const fault = await takeFile(path.join(folder, file))
    taken.set(file, stamp)
    if (fault === null) log.info({ file }, 'a font of the folder is the team’s')
    else log.warn({ file, fault }, 'a file of the folder of fonts cannot be taken')
  }
}

/** How often one looks, ms. */
const every = 3000
let end = async () => {}
/** Takes what comes into the folder of fonts, where one is set, as long as this server runs. */
export function followFonts() {
  const folder = process.env.HAILBANK_FONTS
  if (!folder) return
  const [seen, taken] = [new Map<string, string>(), new Map<string, string>()]
  end = keepGoing(
    async () => {
      try {
        await mkdir(folder, { recursive: true })
        await lookForFonts(folder, seen, taken)
      } catch (error) {
        if (!lackOf(error)) throw error
        throw new Error('The server may not read the folder of fonts.')
      }
    },
    { every, what: 'the folder of fonts could not be looked through' },
  )
}
export const endFonts = () => end()
