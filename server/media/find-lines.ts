import { buffer } from 'node:stream/consumers'
import sharp from 'sharp'
import { tracePicture } from '../../core/drawing'

/** A process of its own: a picture comes in, the lines found in it go out as JSON. */
const longest = 480
const { data, info } = await sharp(await buffer(process.stdin), { limitInputPixels: 100_000_000 }).autoOrient().resize({ width: longest, height: longest, fit: 'inside' }).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
process.stdout.write(JSON.stringify(tracePicture({ width: info.width, height: info.height, data })))
