import { expected } from '#core/values'

/** How often a picture is asked for again whose address changed while it was decoded. */
const attempts = 20

/** Resolves once a picture can be drawn at once, or is broken: what shows instead of it is another matter. */
async function decoded(image: HTMLImageElement) {
  // What is decoded asynchronously may be drawn a frame late.
  image.decoding = 'sync'
  for (let attempt = 0; attempt < attempts; attempt++) {
    const stands = await image.decode().then(() => true, expected('EncodingError'))
    if (stands || (image.complete && !image.naturalWidth)) return
  }
}

/** Addresses of pictures that are painted by other than `img`: of patterns, and of backgrounds. */
function paintedIn(root: ParentNode): string[] {
  const patterns = Array.from(root.querySelectorAll('image'), image => image.getAttribute('href') ?? '')
  const grounds = Array.from(root.querySelectorAll<HTMLElement>('[style*="url("]'), node =>
    [...node.style.backgroundImage.matchAll(/url\("([^"]*)"\)/g)].map(([, address]) => address!),
  )
  return [...patterns, ...grounds.flat()].filter(address => address && !address.startsWith('data:image/svg'))
}

/**
 * Waits for pictures, so that the next drawing of the page shows all of them: a frame of a film is looked at once. What is answered for a
 * page resolves once every picture in it is decoded, or broken.
 */
export function openPictures() {
  /** Held as long as the page, so that the browser keeps them. */
  const painted = new Map<string, { image: HTMLImageElement; stands: Promise<void> }>()
  const held = (address: string) => {
    const known = painted.get(address)
    if (known) return known.stands
    const image = new Image()
    image.src = address
    const stands = decoded(image)
    painted.set(address, { image, stands })
    return stands
  }
  return async (root: ParentNode): Promise<void> => {
    await Promise.all([...Array.from(root.querySelectorAll('img'), decoded), ...paintedIn(root).map(held)])
  }
}
