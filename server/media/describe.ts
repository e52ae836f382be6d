import { dominantColors, likenessOf, likenessSide, type Dominant } from '../../core/color'
import { log } from '../log'
import { openPicture } from './picture'

/** What a picture is found by beside its name: its colours, and what pictures alike have in common. Nothing where it cannot be drawn. */
export async function describePicture(content: Uint8Array): Promise<{ colors: Dominant[]; likeness: string | null }> {
  try {
    const image = openPicture(content)
    const { data, info } = await image.clone().resize(48, 48, { fit: 'inside' }).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
    const grey = await image
      .clone()
      .flatten({ background: '#ffffff' })
      .resize(likenessSide, likenessSide, { fit: 'fill' })
      .greyscale()
      .raw()
      .toBuffer()
    return { colors: dominantColors({ width: info.width, height: info.height, data }), likeness: likenessOf(grey) }
  } catch (error) {
    log.warn({ err: error }, 'a picture’s colours could not be found')
    return { colors: [], likeness: null }
  }
}
