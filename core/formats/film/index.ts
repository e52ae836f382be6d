/**
 * What a film is ordered with.
 *
 * @example
 * import { filmSize } from 'core/formats/film'
 * import { freshDeck } from 'core/testing'
 *
 * filmSize(freshDeck(), { shape: 'own', side: 720 }) // → { width: 1280, height: 720 }
 */
import { infoOf, setRecord, applyChanges, slidesOf, type Change, type Deck } from '../../model'
import { z } from 'zod'
import { onlyVariant } from '../../resolved'
import { idSchema } from '../../values'
import { refit, shapes, sizeOfShape, type Shape } from '../../layouts'

export const filmFormats = ['mp4', 'webm', 'gif', 'webp', 'stills'] as const
export const filmRates = [24, 25, 30, 50, 60] as const
const shapeNames = ['own', ...Object.keys(shapes)] as ['own', ...Shape[]]

/** What film is wanted of a deck. */
export const filmOrderSchema = z.object({
  format: z.enum(filmFormats),
  /** Frames a second. */
  rate: z.union(filmRates.map(rate => z.literal(rate)) as [z.ZodLiteral<24>, z.ZodLiteral<25>, ...z.ZodLiteral<30 | 50 | 60>[]]),
  shape: z.enum(shapeNames),
  /** Length of the picture's shorter side, px. */
  side: z.int().min(120).max(2160),
  captions: z.enum(['none', 'beside', 'picture']),
  /** First and last slide; null for the deck's own. */
  from: idSchema.nullable(),
  until: idSchema.nullable(),
  variant: idSchema.nullable(),
  /** A slide that is there for rows: each of its rows becomes a film of its own, of that slide alone. Absent is one film. */
  each: idSchema.nullable().optional(),
})
export type FilmOrder = z.infer<typeof filmOrderSchema>

/** The picture of a film in px: of the deck's or the wished shape, even in both directions, as encoders want it. */
export function filmSize(deck: Deck, order: Pick<FilmOrder, 'shape' | 'side'>): { width: number; height: number } {
  const own = infoOf(deck).size
  const { width, height } = order.shape === 'own' ? own : sizeOfShape(own, order.shape)
  const scale = order.side / Math.min(width, height)
  const even = (value: number) => Math.max(2, Math.round((value * scale) / 2) * 2)
  return { width: even(width), height: even(height) }
}

/** The deck that a film shows: in its variant, at its shape, and of its slides those that are wanted. */
export function filmDeck(deck: Deck, order: FilmOrder): Deck {
  const shown = order.variant && deck.variants[order.variant] ? onlyVariant(deck, order.variant) : deck
  const fitted = order.shape === 'own' ? shown : refit(shown, sizeOfShape(infoOf(shown).size, order.shape))
  const slides = slidesOf(fitted)
  const at = (id: string | null, otherwise: number) => {
    const found = slides.findIndex(slide => slide.id === id)
    return found < 0 ? otherwise : found
  }
  const [first, last] = [at(order.from, 0), at(order.until, slides.length - 1)]
  const skipped = slides.filter((slide, index) => (index < Math.min(first, last) || index > Math.max(first, last)) && !slide.skipped)
  return applyChanges(
    fitted,
    skipped.map((slide): Change => setRecord('slides', slide.id, { skipped: true })),
  )
}

/** Files whose length is bounded: what is held in memory as a whole to find its colours, or is passed on as a picture. Seconds. */
export const longestAnimation = 90
/** What a film is called in files and words. */
export const formatWords: Readonly<Record<FilmOrder['format'], { label: string; extension: string; type: string }>> = {
  mp4: { label: 'MP4 film', extension: 'mp4', type: 'video/mp4' },
  webm: { label: 'WebM film', extension: 'webm', type: 'video/webm' },
  gif: { label: 'GIF animation', extension: 'gif', type: 'image/gif' },
  webp: { label: 'WebP animation', extension: 'webp', type: 'image/webp' },
  stills: { label: 'Still pictures by beat', extension: 'zip', type: 'application/zip' },
}
