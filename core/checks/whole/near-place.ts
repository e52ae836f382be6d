import { setRecord, slidesOf, elementsOf, type Element } from '../../model'
import { placeholdersOf } from '../../resolved'
import type { Box } from '../../values'
import type { Finding } from '../finding'
import type { WholeRule } from './rule'

/** Parts that stand off by less than this, px of deck space, were meant to stand alike. */
const near = 14

const off = (a: Box, b: Box) =>
  Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y), Math.abs(a.width - b.width), Math.abs(a.height - b.height))
const words = (a: Box, b: Box) => {
  const moved = [
    [Math.round(a.x - b.x), 'right', 'left'],
    [Math.round(a.y - b.y), 'down', 'up'],
  ] as const
  const parts = moved.filter(([by]) => by !== 0).map(([by, more, less]) => `${Math.abs(by)} px ${by > 0 ? more : less}`)
  return parts.length ? parts.join(' and ') : 'a little larger or smaller'
}

/** Parts that nearly stand where their layout has them, or where parts of the same name stand on other slides. */
export const nearPlace: WholeRule = deck => {
  const findings: Finding[] = []
  const named = new Map<string, Element[]>()
  for (const slide of slidesOf(deck)) {
    const places = placeholdersOf(deck, slide)
    for (const element of elementsOf(deck, slide.id)) {
      if (!element.box) continue
      const place = element.placeholder ? places.get(element.placeholder)?.box : undefined
      if (place) {
        const by = off(element.box, place)
        if (by > 0 && by <= near) {
          findings.push({
            rule: 'near-place',
            slide: slide.id,
            beat: null,
            element: element.id,
            together: 'layout',
            message: `“${element.name}” stands ${words(element.box, place)} of where its layout has it.`,
            remedy: {
              label: 'Put it where the layout has it',
              changes: () => [setRecord('elements', element.id, { box: undefined })],
            },
          })
        }
        continue
      }
      const key = `${element.kind}|${element.name}`
      named.set(key, [...(named.get(key) ?? []), element])
    }
  }
  for (const alike of named.values()) {
    if (new Set(alike.map(element => element.owner)).size < 3) continue
    const counts = new Map<string, number>()
    for (const { box } of alike) counts.set(JSON.stringify(box), (counts.get(JSON.stringify(box)) ?? 0) + 1)
    const [most, count] = [...counts].sort((a, b) => b[1] - a[1])[0]!
    if (count < 2) continue
    const usual = JSON.parse(most) as Box
    for (const element of alike) {
      const by = off(element.box!, usual)
      if (by === 0 || by > near) continue
      findings.push({
        rule: 'near-place',
        slide: element.owner,
        beat: null,
        element: element.id,
        together: element.name,
        message: `“${element.name}” stands ${words(element.box!, usual)} of where it stands on ${count} other slides.`,
        remedy: {
          label: 'Put it where the others stand',
          changes: () => [setRecord('elements', element.id, { box: usual })],
        },
      })
    }
  }
  return findings
}
