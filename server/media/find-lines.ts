import { buffer } from 'node:stream/consumers'
import { tracePicture } from '../../core/drawing'
import { openPicture } from './picture'

/** A process of its own: a picture comes in, the lines found in it go out as JSON. */
const longest = 480
const { data, info } = await openPicture(await buffer(process.stdin))
  .resize({ width: longest, height: longest, fit: 'inside' })
  .ensureAlpha()
  .raw()
  .toBuffer({ resolveWithObject: true })
process.stdout.write(JSON.stringify(tracePicture({ width: info.width, height: info.height, data })))
