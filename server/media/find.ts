import { colorDistance, likenessApart } from '../../core/color'
import { plainLetters } from '../../core/values'
import type { MediaItem } from '../database/media'

export type MediaKind = 'picture' | 'film' | 'sound'
export const kindOfMedia = (item: { type: string }): MediaKind =>
  item.type.startsWith('video/') ? 'film' : item.type.startsWith('audio/') ? 'sound' : 'picture'

export interface MediaFilter {
  find: string
  kind?: MediaKind
  folder?: string
  tag?: string
  /** #rrggbb */
  color?: string
}

/** Media that fit every asked word (by name, tags, folder, credit), kind, folder and tag; by colour, those that have it most first. */
export function findMedia(items: readonly MediaItem[], filter: MediaFilter): MediaItem[] {
  const words = plainLetters(filter.find).split(/\s+/).filter(Boolean)
  const fitting = items.filter(item => {
    if (filter.kind && kindOfMedia(item) !== filter.kind) return false
    if (filter.folder !== undefined && item.folder !== filter.folder && !item.folder.startsWith(`${filter.folder}/`)) return false
    if (filter.tag && !item.tags.includes(filter.tag)) return false
    const said = plainLetters(`${item.name} ${item.tags.join(' ')} ${item.folder} ${item.credit}`)
    return words.every(word => said.includes(word))
  })
  if (!filter.color) return fitting
  return fitting
    .map(item => ({ item, away: colorDistance(filter.color!, item.colors) }))
    .filter(entry => entry.away < 0.17)
    .sort((a, b) => a.away - b.away)
    .map(entry => entry.item)
}

/** Pictures that look alike though their files differ: groups of two or more. */
export function alikeMedia(items: readonly MediaItem[]): MediaItem[][] {
  const pictures = items.filter(item => item.likeness && !/^(0{16}|f{16})$/.test(item.likeness))
  const groups: MediaItem[][] = []
  const seen = new Set<string>()
  for (const [index, item] of pictures.entries()) {
    if (seen.has(item.hash)) continue
    const group = [
      item,
      ...pictures.slice(index + 1).filter(other => !seen.has(other.hash) && likenessApart(item.likeness!, other.likeness!) <= 8),
    ]
    if (group.length < 2) continue
    for (const one of group) seen.add(one.hash)
    groups.push(group)
  }
  return groups
}
