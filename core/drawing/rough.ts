import rough from 'roughjs'

const generator = rough.generator()

/** A number from 1 to 2³¹ − 1 that is always the same for the same words (FNV-1a). */
const seedOf = (words: string) =>
  Array.from(words).reduce((sum, letter) => Math.imul(sum ^ letter.codePointAt(0)!, 16_777_619), 2_166_136_261) >>> 1 || 1

/**
 * A path as a hand without a ruler draws it: each line twice, a little off. `amount` 0 to 1; the same words for `of` give
 * the same hand. SVG path data in, SVG path data out; what is not rough comes back as it is.
 */
export function roughPath(d: string, amount: number, of: string): string {
  if (amount <= 0) return d
  const drawn = generator.path(d, { roughness: amount * 4, bowing: amount * 2, seed: seedOf(of), preserveVertices: amount < 0.2 })
  return (
    drawn.sets
      .filter(set => set.type === 'path')
      .map(set => generator.opsToPath(set, 1))
      .join(' ') || d
  )
}
