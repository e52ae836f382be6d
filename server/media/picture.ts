import sharp from 'sharp'

/** A picture may have so many pixels; what shows it gets it made smaller. */
export const pixelLimit = 150_000_000

/** What decoders complain of though every pixel is there: bytes between two parts of a file, and headers that programs write loosely. */
const harmless = /extraneous bytes before marker|unknown JFIF|Invalid SOS parameters|iCCP|profile|sRGB|exif|metadata|EXIF|tag/i

/**
 * A picture that was let in, upright, its first frame. What stands in it is shown as far as it can be decoded; whether all can is
 * judged once, at entry, by `damageOf`.
 */
export const openPicture = (content: Uint8Array) =>
  sharp(content, { limitInputPixels: pixelLimit, failOn: 'none', animated: false }).autoOrient()

/** What keeps a picture from being decoded whole, every pixel of it; null where nothing does. */
export async function damageOf(content: Uint8Array): Promise<string | null> {
  // Smaller sizes would be read from a part of a JPEG's data alone, and what is broken in the rest not be found.
  const whole = (failOn: 'warning' | 'error') =>
    sharp(content, { limitInputPixels: pixelLimit, failOn, animated: false })
      .timeout({ seconds: 60 })
      .resize({ width: 64, fastShrinkOnLoad: false })
      .toBuffer()
  const said = async (failOn: 'warning' | 'error') =>
    await whole(failOn).then(
      () => null,
      (error: unknown) => (error instanceof Error ? error.message : String(error)),
    )
  const first = await said('warning')
  return first !== null && harmless.test(first) ? await said('error') : first
}
