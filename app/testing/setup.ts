import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, vi } from 'vitest'
import { forgetNuxt } from './nuxt'

// What jsdom does not have: letters half as wide as they are high, and fonts that are here at once.
HTMLCanvasElement.prototype.getContext = (() => ({
  font: '16px sans-serif',
  measureText(text: string) {
    const size = Number(/([\d.]+)px/.exec(this.font)?.[1] ?? 16)
    return { width: text.length * size * 0.5, fontBoundingBoxAscent: size * 0.8, fontBoundingBoxDescent: size * 0.2 }
  },
})) as unknown as typeof HTMLCanvasElement.prototype.getContext
Object.defineProperty(document, 'fonts', { value: { load: () => Promise.resolve([]), add: () => {}, ready: Promise.resolve() } })
vi.stubGlobal(
  'FontFace',
  class {
    load = () => Promise.resolve(this)
  },
)

beforeEach(() => {
  forgetNuxt()
  setActivePinia(createPinia())
})
