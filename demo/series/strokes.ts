/** What the demo's pictures are drawn with: SVG in a space of 1600 × 1000, numbers to a tenth. */
export type Random = () => number
export const [W, H] = [1600, 1000]

/** A picture as SVG, with what it is called and filed under. */
export interface DrawnPicture {
  name: string
  folder: string
  tags: string[]
  text: string
}

export const n = (value: number) => Math.round(value * 10) / 10
export const between = (random: Random, least: number, most: number) => least + random() * (most - least)
export const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!
export const times = (count: number, draw: (index: number) => string) => Array.from({ length: count }, (_, index) => draw(index)).join('')

export const svg = (inner: string, width = W, height = H) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${inner}</svg>`
/** A gradient by its id, from above to below. */
export const fade = (id: string, from: string, to: string) =>
  `<linearGradient id="${id}" x2="0" y2="1"><stop stop-color="${from}"/><stop offset="1" stop-color="${to}"/></linearGradient>`
/** All of the picture in a fill. */
export const filled = (fill: string) => `<rect width="${W}" height="${H}" fill="${fill}"/>`
export const path = (d: string, fill: string, more = '') => `<path d="${d}" fill="${fill}" ${more}/>`
export const stroke = (d: string, color: string, width: number, more = '') =>
  `<path d="${d}" stroke="${color}" stroke-width="${width}" fill="none" stroke-linecap="round" stroke-linejoin="round" ${more}/>`
export const disc = (x: number, y: number, r: number, fill: string, more = '') =>
  `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${fill}" ${more}/>`
export const ring = (x: number, y: number, r: number, color: string, width: number, more = '') =>
  `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="none" stroke="${color}" stroke-width="${width}" ${more}/>`
export const oval = (x: number, y: number, rx: number, ry: number, more: string) =>
  `<ellipse cx="${n(x)}" cy="${n(y)}" rx="${n(rx)}" ry="${n(ry)}" ${more}/>`
export const box = (x: number, y: number, width: number, height: number, fill: string, r = 0, more = '') =>
  `<rect x="${n(x)}" y="${n(y)}" width="${n(width)}" height="${n(height)}" rx="${r}" fill="${fill}" ${more}/>`
/** The shadow of what stands on a floor. */
export const shadow = (x: number, y: number, rx: number, ry: number) => oval(x, y, rx, ry, 'fill="#000" fill-opacity="0.2"')
export const within = (transform: string, inner: string) => `<g transform="${transform}">${inner}</g>`
