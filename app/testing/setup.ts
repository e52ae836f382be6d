import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, vi } from 'vitest'
import { Line } from './line'
import { forgetNuxt } from './nuxt'
import { leaveAll } from './open-deck'

// What jsdom does not have: letters half as wide as they are high, and fonts that are here at once.
HTMLCanvasElement.prototype.getContext = (() => ({
  font: '16px sans-serif',
  measureText(text: string) {
    const size = Number(/([\d.]+)px/.exec(this.font)?.[1] ?? 16)
    return { width: text.length * size * 0.5, fontBoundingBoxAscent: size * 0.8, fontBoundingBoxDescent: size * 0.2 }
  },
})) as unknown as typeof HTMLCanvasElement.prototype.getContext
// Nothing is laid out, so that what is selected has no place.
Range.prototype.getClientRects = () => [] as unknown as DOMRectList
Range.prototype.getBoundingClientRect = () => new DOMRect()
Object.defineProperty(document, 'fonts', { value: { load: () => Promise.resolve([]), add: () => {}, ready: Promise.resolve() } })
vi.stubGlobal(
  'FontFace',
  class {
    load = () => Promise.resolve(this)
  },
)

/** What requests are answered with, by their address; a test puts more in. */
export const answers = new Map<string, (options: { method?: string; body?: unknown; query?: unknown }) => unknown>()

beforeEach(() => {
  forgetNuxt()
  Line.all = []
  answers.clear()
  vi.stubGlobal('WebSocket', Line)
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('unreachable')))
  vi.stubGlobal('$fetch', async (address: string, options: object = {}) => {
    const answer = answers.get(address)
    if (!answer) throw Object.assign(new Error(`Nobody answers for ${address}.`), { statusCode: 404 })
    return await answer(options)
  })
  setActivePinia(createPinia())
})
afterEach(() => {
  leaveAll()
  vi.useRealTimers()
})
