declare module 'fontkit' {
  export interface Font {
    unitsPerEm: number
    familyName: string
    italicAngle: number
    characterSet: number[]
    hasGlyphForCodePoint(codePoint: number): boolean
    ascent: number
    /** Below 0. */
    descent: number
    layout(text: string): {
      advanceWidth: number
      direction: 'ltr' | 'rtl'
      glyphs: { path: { toSVG(): string } }[]
      positions: { xAdvance: number; xOffset: number; yOffset: number }[]
    }
  }
  export function create(buffer: Uint8Array): Font
}
declare module 'wawoff2' {
  const wawoff2: { decompress(bytes: Uint8Array): Promise<Uint8Array>; compress(bytes: Uint8Array): Promise<Uint8Array> }
  export default wawoff2
}
