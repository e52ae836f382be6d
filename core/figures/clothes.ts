import { aboutTrunk, at, polygon, shift, smooth, type FigurePart, type Sitter } from './outlines'

/** What hangs from the waist: a skirt or dress to the knees, else the seat of the trousers. */
function lowerPart({ look, joints, body, hex }: Sitter): FigurePart {
  const trunk = aboutTrunk(joints)
  const { waist, hip } = body
  const dress = look.top.style === 'dress'
  if (!dress && look.bottom.style !== 'skirt')
    return {
      name: 'seat',
      d: smooth([trunk(0.2, -waist * 0.9), trunk(-0.04, -hip * 0.98), trunk(-0.12, 0), trunk(-0.04, hip * 0.98), trunk(0.2, waist * 0.9)]),
      fill: hex(look.bottom.color),
    }
  const length = (dress ? 0.62 : 0.5) * 1.6
  const hem = (side: 'back' | 'front') => {
    const [from, knee] = [joints.hips[side], joints.knees[side]]
    return { x: from.x + (knee.x - from.x) * length, y: from.y + (knee.y - from.y) * length }
  }
  const d = smooth([
    trunk(0.16, -waist * 0.96),
    trunk(-0.02, -hip * 1.02),
    shift(hem('back'), -body.leg * 1.5, 0),
    shift(hem('front'), body.leg * 1.5, 0),
    trunk(-0.02, hip * 1.02),
    trunk(0.16, waist * 0.96),
  ])
  return { name: 'skirt', d, fill: hex(dress ? look.top.color : look.bottom.color) }
}

function coatTail({ look, joints, body, hex }: Sitter): FigurePart {
  const trunk = aboutTrunk(joints)
  const { waist, hip } = body
  const d = smooth([
    trunk(0.3, -waist),
    trunk(-0.05, -hip * 1.1),
    trunk(-0.42, -hip * 1.12),
    trunk(-0.42, hip * 1.12),
    trunk(-0.05, hip * 1.1),
    trunk(0.3, waist),
  ])
  return { name: 'coat tail', d, fill: hex(look.top.color) }
}

function torso({ look, joints, body, hex }: Sitter): FigurePart {
  const trunk = aboutTrunk(joints)
  const { shoulder, waist, hip } = body
  const d = smooth([
    trunk(1, -shoulder * 0.42),
    trunk(0.93, -shoulder * 0.98),
    trunk(0.5, -waist),
    trunk(-0.02, -hip),
    trunk(-0.05, 0),
    trunk(-0.02, hip),
    trunk(0.5, waist),
    trunk(0.93, shoulder * 0.98),
    trunk(1, shoulder * 0.42),
  ])
  return { name: 'torso', d, fill: hex(look.top.color) }
}

/** What shows at the chest: what is worn under something open, else a collar. */
function chest({ look, joints, body, hex, darker }: Sitter): FigurePart[] {
  const trunk = aboutTrunk(joints)
  const { shoulder } = body
  const { style, color } = look.top
  if (style !== 'jacket' && style !== 'coat' && style !== 'vest') {
    const d = smooth([trunk(1.02, -shoulder * 0.3), trunk(0.9, shoulder * 0.1), trunk(1.02, shoulder * 0.46)])
    return [{ name: 'collar', d, fill: darker(hex(look.skin), 0.06) }]
  }
  return [
    {
      name: 'shirt front',
      d: polygon([trunk(1, -shoulder * 0.3), trunk(1, shoulder * 0.5), trunk(0.42, shoulder * 0.16)]),
      fill: hex(look.under ?? { role: 'ground' }),
    },
    {
      name: 'seam',
      d: `M${at(trunk(0.42, shoulder * 0.16))}L${at(trunk(0.02, shoulder * 0.14))}`,
      fill: 'none',
      stroke: { color: darker(hex(color), 0.35), width: body.arm * 0.16 },
    },
  ]
}

/** What is worn on the trunk, from back to front. */
export const clothesParts = (sitter: Sitter): FigurePart[] => [
  lowerPart(sitter),
  ...(sitter.look.top.style === 'coat' ? [coatTail(sitter)] : []),
  torso(sitter),
  ...chest(sitter),
]
