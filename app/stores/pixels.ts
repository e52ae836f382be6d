import type { Raster } from '#core/color'

/** So wide are the copies that contrast is measured on, px. */
const width = 240
/** So many are kept. */
const most = 160
/** Of a film these shares of its length are looked at. */
const momentsOfFilms = [0.08, 0.5, 0.92]

/** The pixels of pictures and films, small, fetched when something first asks for them. */
export const usePixels = defineStore('pixels', () => {
  const clips = useClips()
  const known = new Map<string, readonly Raster[] | null>()
  const asked = new Set<string>()
  const version = ref(0)
  const coming = ref(0)

  async function rasterAt(address: string): Promise<Raster> {
    const image = new Image()
    image.src = address
    await image.decode()
    const height = Math.max(1, Math.round((image.naturalHeight / Math.max(1, image.naturalWidth)) * width))
    const canvas = new OffscreenCanvas(width, Math.min(2000, height))
    const context = canvas.getContext('2d', { willReadFrequently: true })!
    context.drawImage(image, 0, 0, canvas.width, canvas.height)
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height)
    return { width: canvas.width, height: canvas.height, data }
  }

  async function fetchAll(media: string, film: boolean): Promise<readonly Raster[] | null> {
    try {
      if (!film) return [await rasterAt(`/api/media/${media}?width=320`)]
      const length = clips.length(media) ?? 0
      const made: Raster[] = []
      for (const share of momentsOfFilms) made.push(await rasterAt(`/api/media/${media}?width=320&at=${(length * share).toFixed(2)}`))
      return made
    } catch (error) {
      // What cannot be decoded has no pixels; whoever asked says that it was not looked at.
      if (!(error instanceof DOMException)) throw error
      return null
    }
  }

  /** Undefined while they are on their way, null where there are none to be had. */
  function pixels(media: string, film: boolean): readonly Raster[] | null | undefined {
    if (film && clips.length(media) === undefined) return undefined
    const found = known.get(media)
    if (found !== undefined || asked.has(media)) return found
    asked.add(media)
    coming.value++
    void fetchAll(media, film)
      .then(rasters => {
        if (known.size >= most)
          for (const old of [...known.keys()].slice(0, most / 4)) {
            known.delete(old)
            asked.delete(old)
          }
        known.set(media, rasters)
      })
      .finally(() => {
        coming.value--
        version.value++
      })
    return undefined
  }
  return { pixels, version, coming }
})
