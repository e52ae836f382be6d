import sharp from 'sharp'
import { dominantColors, likenessOf, likenessSide, type Dominant } from '../../core/color'

/** What a picture is found by beside its name: its colours, and what pictures alike have in common. Nothing where it cannot be drawn. */
export async function describePicture(content: Uint8Array): Promise<{ colors: Dominant[], likeness: string | null }> {
  try {
    const image = sharp(content, { limitInputPixels: 200_000_000, animated: false }).autoOrient()
    const { data, info } = await image.clone().resize(48, 48, { fit: 'inside' }).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
    const grey = await image.clone().flatten({ background: '#ffffff' }).resize(likenessSide, likenessSide, { fit: 'fill' }).greyscale().raw().toBuffer()
    return { colors: dominantColors({ width: info.width, height: info.height, data }), likeness: likenessOf(grey) }
  } catch {
    return { colors: [], likeness: null }
  }
}
