import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { openPictures } from './pictures'

/** A picture that decodes as its plan says: an error each time, until there is none left. */
class FakeImage {
  static made: FakeImage[] = []
  decoding = 'async'
  complete = true
  naturalWidth = 100
  src = ''
  asked = 0
  constructor(readonly faults: Error[] = []) {
    FakeImage.made.push(this)
  }
  decode() {
    this.asked++
    const fault = this.faults.shift()
    return fault ? Promise.reject(fault) : Promise.resolve()
  }
}
const broken = () => new DOMException('cannot be decoded', 'EncodingError')
const page = (images: FakeImage[], { patterns = [] as string[], grounds = [] as string[] } = {}) =>
  ({
    querySelectorAll: (what: string) =>
      what === 'img'
        ? images
        : what === 'image'
          ? patterns.map(href => ({ getAttribute: () => href }))
          : grounds.map(backgroundImage => ({ style: { backgroundImage } })),
  }) as unknown as ParentNode

beforeEach(() => {
  FakeImage.made = []
  vi.stubGlobal('Image', FakeImage)
})
afterEach(() => vi.unstubAllGlobals())

it('waits for each picture to be decoded, those too that have been loaded, and lets none be drawn late', async () => {
  const image = new FakeImage()
  await openPictures()(page([image]))
  expect(image).toMatchObject({ asked: 1, decoding: 'sync' })
})

it('asks again where the address changed meanwhile, and leaves what is broken', async () => {
  const changed = new FakeImage([broken(), broken()])
  const gone = Object.assign(new FakeImage(Array.from({ length: 50 }, broken)), { naturalWidth: 0 })
  await openPictures()(page([changed, gone]))
  expect(changed.asked).toBe(3)
  expect(gone.asked).toBe(1)
})

it('does not go on for ever, and does not hide any other error', async () => {
  const restless = new FakeImage(Array.from({ length: 50 }, broken))
  await openPictures()(page([restless]))
  expect(restless.asked).toBe(20)
  await expect(openPictures()(page([new FakeImage([new TypeError('a fault')])]))).rejects.toThrow('a fault')
})

it('waits for pictures of patterns and backgrounds, each fetched once for all frames', async () => {
  const stand = openPictures()
  const look = page([], {
    patterns: ['/a.jpg', '/b.jpg'],
    grounds: ['url("/a.jpg")', 'linear-gradient(red, blue)', 'url("data:image/svg+xml,x")', 'url("/c.jpg"), url("/d.jpg")'],
  })
  await stand(look)
  await stand(look)
  expect(FakeImage.made.map(image => [image.src, image.asked])).toEqual([
    ['/a.jpg', 1],
    ['/b.jpg', 1],
    ['/c.jpg', 1],
    ['/d.jpg', 1],
  ])
})
