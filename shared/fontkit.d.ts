declare module 'fontkit' {
  export interface Font {
    unitsPerEm: number
    hasGlyphForCodePoint(codePoint: number): boolean
    layout(text: string): { advanceWidth: number }
  }
  export function create(buffer: Uint8Array): Font
}
