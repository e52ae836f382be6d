import { bone, ink, polygon, shift, type FigurePart, type Sitter } from './outlines'

type Held = NonNullable<Sitter['pose']['holds']>

/** A closed outline about a point, by what each corner lies off it. */
const corners = (about: { x: number; y: number }, ...offsets: (readonly [number, number])[]) =>
  polygon(offsets.map(([x, y]) => shift(about, x, y)))

const things: Readonly<Record<Held, (sitter: Sitter) => FigurePart[]>> = {
  box(sitter) {
    const [mean, accent] = [betweenHands(sitter), accentOf(sitter)]
    return [
      { name: 'box', d: corners(mean, [-6, -11], [9, -11], [9, 2], [-6, 2]), fill: accent },
      { name: 'band', d: corners(mean, [0.4, -11], [2.6, -11], [2.6, 2], [0.4, 2]), fill: sitter.darker(accent, 0.25) },
    ]
  },
  phone({ joints: { hands } }) {
    return [{ name: 'phone', d: bone(shift(hands.front, -0.6, 1.6), shift(hands.front, 0.8, -3.6), 1, 1), fill: ink }]
  },
  book(sitter) {
    const [mean, accent] = [betweenHands(sitter), accentOf(sitter)]
    return [
      { name: 'book', d: corners(mean, [-4.4, -5], [0.4, -3.4], [0.4, 2.4], [-4.4, 0.8]), fill: accent },
      { name: 'book', d: corners(mean, [0.4, -3.4], [5.2, -5], [5.2, 0.8], [0.4, 2.4]), fill: sitter.darker(accent, 0.18) },
    ]
  },
  cup(sitter) {
    const { front } = sitter.joints.hands
    return [{ name: 'cup', d: corners(front, [-1.6, -3.6], [2.6, -3.6], [2.1, 1.6], [-1.1, 1.6]), fill: accentOf(sitter) }]
  },
  sign(sitter) {
    const d = corners(betweenHands(sitter), [-13, 0], [13, 0], [13, 17], [-13, 17])
    return [{ name: 'sign', d, fill: '#fbfcfa', stroke: { color: sitter.darker(accentOf(sitter), 0.2), width: 0.9 } }]
  },
}
const accentOf = ({ hex }: Sitter) => hex({ role: 'accent2' })
function betweenHands({ joints: { hands } }: Sitter) {
  return { x: (hands.back.x + hands.front.x) / 2, y: (hands.back.y + hands.front.y) / 2 }
}

/** What is held in the hands. */
export const heldParts = (sitter: Sitter): FigurePart[] => (sitter.pose.holds ? things[sitter.pose.holds](sitter) : [])

/** What is sat on. */
export function seatParts({ pose, joints: { hip }, body, hex, darker }: Sitter): FigurePart[] {
  if (!pose.sits) return []
  const wood = hex({ role: 'accent5' })
  return [
    {
      name: 'seat top',
      d: bone(shift(hip, -body.hip, body.leg * 1.5), shift(hip, body.hip * 0.9, body.leg * 1.5), 1.3, 1.3),
      fill: darker(wood, 0.1),
    },
    {
      name: 'seat leg',
      d: polygon([shift(hip, -1, body.leg * 1.6), shift(hip, 1, body.leg * 1.6), { x: hip.x + 1.6, y: 0 }, { x: hip.x - 1.6, y: 0 }]),
      fill: darker(wood, 0.25),
    },
  ]
}
