import { createHash } from 'node:crypto'
import { fileTypeFromBuffer } from 'file-type'
import sharp from 'sharp'
import { failed, type Outcome, numberWords } from '../../core/values'
import { shapeOfXml } from '../../core/formats/xml'
import { apart, TooHeavy } from '../apart'
import type { MediaRow } from '../database/media'
import { checkClip, clipTypes } from './clip'
import { damageOf, pixelLimit } from './picture'

export const pictureByteLimit = 64 * 1024 * 1024
const frameLimit = 1000
/** An SVG may have so many elements, in so many levels: more is a drawing that no browser draws fluently. */
const nodeLimit = 50_000
const depthLimit = 250

const pictures: Readonly<Record<string, string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/avif': 'avif',
  'image/gif': 'gif',
}

const looksLikeSvg = (bytes: Uint8Array) =>
  /^\s*(<\?xml[\s\S]*?\?>\s*)?(<!--[\s\S]*?-->\s*)*(<!DOCTYPE svg[\s\S]*?>\s*)?<svg[\s>]/i.test(
    Buffer.from(bytes.subarray(0, 4096))
      .toString('utf8')
      .replace(/^\ufeff/, ''),
  )

/** Looks into a file for Media, whatever it is called: a picture, film or sound, or a sentence. */
export async function checkUpload(bytes: Uint8Array, name: string) {
  const type = looksLikeSvg(bytes) ? '' : ((await fileTypeFromBuffer(bytes))?.mime ?? '')
  return clipTypes[type] ? checkClip(bytes, name, type) : checkPicture(bytes, name)
}

/**
 * Looks into an uploaded file, whatever it is called: a picture of a known kind that can be decoded, or a sentence. SVG comes back made
 * harmless.
 */
export async function checkPicture(bytes: Uint8Array, name: string): Promise<Outcome<{ row: MediaRow; content: Uint8Array }>> {
  const called = `“${name.slice(0, 120)}”`
  if (!bytes.length) return failed(`${called} is empty. Choose the file once more.`)
  if (bytes.length > pictureByteLimit)
    return failed(
      `${called} has ${Math.round(bytes.length / 1048576)} MB; a picture may have 64 MB at most. Save it smaller, then drop it again.`,
    )
  let content = bytes
  let type: string
  if (looksLikeSvg(bytes)) {
    const text = Buffer.from(bytes).toString('utf8')
    const { elements, depth } = shapeOfXml(text)
    if (elements > nodeLimit)
      return failed(
        `${called} has ${numberWords(elements)} elements; a drawing may have ${numberWords(nodeLimit)}. Save ` + 'it simpler, or as PNG.',
      )
    if (depth > depthLimit)
      return failed(
        `${called} nests ${numberWords(depth)} levels deep; a drawing may ${depthLimit}. Save it with its groups taken ` +
          'apart, or as PNG.',
      )
    const clean = await apart('svg', text, { seconds: 15, what: called })
    if (!clean) return failed(`${called} holds no drawing that can be shown. Save it as plain SVG, or as PNG.`)
    content = Buffer.from(clean)
    type = 'image/svg+xml'
  } else {
    type = (await fileTypeFromBuffer(bytes))?.mime ?? ''
    if (!pictures[type])
      return failed(
        `${called} is no picture that can be read here${type ? ` (it holds ${type})` : ''}. JPEG, PNG, WebP, AVIF, GIF and SVG can.`,
      )
  }
  try {
    const image = sharp(content, { limitInputPixels: pixelLimit, failOn: 'error', animated: false }).timeout({ seconds: 30 })
    const meta = await image.metadata()
    // Decoded once, so that a picture that breaks off halfway is found now and not on the wall.
    const damage = type === 'image/svg+xml' ? null : await damageOf(content)
    if (damage !== null) throw new Error(damage)
    if ((meta.pages ?? 1) > frameLimit)
      return failed(
        `${called} has ${numberWords(meta.pages!)} frames; an animation may have ${numberWords(frameLimit)}. ` +
          'Save it shorter, or as a film.',
      )
    const turned = (meta.orientation ?? 1) >= 5
    const [width, height] = turned ? [meta.height, meta.width] : [meta.width, meta.height]
    const hash = createHash('sha256').update(content).digest('hex')
    const extension = pictures[type] ?? 'svg'
    return {
      ok: true,
      value: {
        content,
        row: { hash, name: name.slice(0, 200), type, extension, bytes: content.length, width: width ?? null, height: height ?? null },
      },
    }
  } catch (error) {
    if (error instanceof TooHeavy || !(error instanceof Error)) throw error
    if (/pixel limit/i.test(error.message)) return failed(`${called} has more than 150 megapixels. Save it smaller, then drop it again.`)
    return failed(`${called} is damaged and cannot be decoded. Open it where it comes from and save it anew.`)
  }
}
