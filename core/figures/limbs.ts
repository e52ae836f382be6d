import { bone, disc, shift, type FigurePart, type Sitter } from './outlines'

type Side = 'back' | 'front'
/** What is farther away lies in the shade. */
const shadeOf = (side: Side) => (side === 'back' ? 0.14 : 0)
const along = (from: { x: number; y: number }, to: { x: number; y: number }, share: number) => ({
  x: from.x + (to.x - from.x) * share,
  y: from.y + (to.y - from.y) * share,
})

export function legParts({ look, joints, body, hex, darker }: Sitter, side: Side): FigurePart[] {
  const [hip, knee, foot] = [joints.hips[side], joints.knees[side], joints.feet[side]]
  const dress = look.top.style === 'dress'
  const cloth = darker(hex(look.bottom.color), shadeOf(side))
  const flesh = darker(hex(look.skin), shadeOf(side))
  const turn = Math.atan2(foot.y - knee.y, foot.x - knee.x)
  // A foot stands flat where the shin comes down, and hangs where it does not.
  const flat = Math.sin(turn) > 0.5
  const toe = flat
    ? shift(foot, body.leg * 1.7, 0)
    : shift(foot, Math.cos(turn - 1.2) * body.leg * 1.7, Math.sin(turn - 1.2) * body.leg * 1.7)
  const lift = flat ? -body.leg * 0.2 : 0
  return [
    {
      name: `${side} shin`,
      d: bone(knee, foot, body.leg * 0.86, body.leg * 0.58),
      fill: dress || look.bottom.style !== 'trousers' ? flesh : cloth,
    },
    {
      name: `${side} thigh`,
      d: bone(hip, knee, body.leg * 1.14, body.leg * 0.86),
      fill: dress || look.bottom.style === 'skirt' ? flesh : cloth,
    },
    {
      name: `${side} shoe`,
      d: bone(shift(foot, 0, lift), shift(toe, 0, lift), body.leg * 0.72, body.leg * 0.56),
      fill: darker(hex(look.shoes), shadeOf(side)),
    },
  ]
}

export function armParts({ look, joints, body, hex, darker }: Sitter, side: Side): FigurePart[] {
  const [shoulder, elbow, hand] = [joints.shoulders[side], joints.elbows[side], joints.hands[side]]
  const vest = look.top.style === 'vest'
  const long = !vest && look.top.style !== 'short sleeves' && look.top.style !== 'dress'
  const covered = long || vest
  const sleeve = darker(vest ? hex(look.under ?? { role: 'ground' }) : hex(look.top.color), shadeOf(side))
  const flesh = darker(hex(look.skin), shadeOf(side))
  return [
    { name: `${side} hand`, d: disc(hand, body.arm * 0.95), fill: flesh },
    {
      name: `${side} forearm`,
      d: bone(elbow, covered ? along(elbow, hand, 0.82) : hand, body.arm * 0.9, body.arm * 0.72),
      fill: covered ? sleeve : flesh,
    },
    ...(covered ? [] : [{ name: `${side} arm`, d: bone(shoulder, elbow, body.arm, body.arm * 0.9), fill: flesh }]),
    {
      name: `${side} sleeve`,
      d: bone(shoulder, covered ? elbow : along(shoulder, elbow, 0.62), body.arm * 1.14, body.arm * (long ? 0.96 : 1.08)),
      fill: sleeve,
    },
  ]
}
