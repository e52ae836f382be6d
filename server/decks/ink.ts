import type { DataTable } from '../../core/data'
import type { Deck } from '../../core/model'
import type { InkBook, Traced } from '../../core/drawing'
import { fontNeeds } from '../../core/themes'
import { apart, type FaceWithBytes } from '../apart'
import { mediaIfThere } from '../database/media'
import { linesOf } from '../media/lines'
import { drawnElements } from './ink-of'

/** The faces that a deck brings with it, with their files. */
export async function facesOfDeck(deck: Deck): Promise<FaceWithBytes[]> {
  const faces: FaceWithBytes[] = []
  for (const face of fontNeeds(deck).faces) {
    const bytes = await mediaIfThere(face.media)
    if (bytes) faces.push({ ...face, bytes })
  }
  return faces
}

/** The lines of the pictures that hands draw in a deck, found once and kept. */
export async function tracedIn(deck: Deck): Promise<Record<string, Traced>> {
  const traced: Record<string, Traced> = {}
  for (const hash of new Set(drawnElements(deck).flatMap(element => (element.kind === 'picture' ? (element.media ?? []) : [])))) {
    const found = await linesOf(hash)
    if (found) traced[hash] = found
  }
  return traced
}

/** All that hands need to know in a deck, as data: how words are written, and the lines of the pictures that they draw. */
export async function inkBookOf(deck: Deck, tables: readonly DataTable[], lengths: Readonly<Record<string, number>>): Promise<InkBook> {
  if (!drawnElements(deck).length) return { words: {}, traced: {} }
  return await apart(
    'inkBook',
    { deck, tables, lengths, faces: await facesOfDeck(deck), traced: await tracedIn(deck) },
    { seconds: 60, what: 'What is drawn by hand in this deck' },
  )
}
