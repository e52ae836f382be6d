import { hexOf, hexOver, type Palette } from '../color'
import type { FigureElement, FigureLook, Theme } from '../model'
import type { Color } from '../values'
import { poseNamed } from './poses'
import { restingFace, type Face } from './face'
import { bodies, solve, type Body, type Joints, type Point, type Pose } from './skeleton'

/** A part of a drawn figure: its outline in px, and the colour it is filled with (#rrggbb). */
export interface FigurePart {
  name: string
  d: string
  fill: string
  stroke?: { color: string; width: number }
}

const n = (value: number) => Math.round(value * 100) / 100 + 0
const at = (point: Point) => `${n(point.x)} ${n(point.y)}`
const shift = (point: Point, x: number, y: number): Point => ({ x: point.x + x, y: point.y + y })
/** A bone with a roundness at both ends. */
function bone(from: Point, to: Point, r1: number, r2: number): string {
  const angle = Math.atan2(to.y - from.y, to.x - from.x)
  const [x, y] = [-Math.sin(angle), Math.cos(angle)]
  return (
    `M${at(shift(from, x * r1, y * r1))}L${at(shift(to, x * r2, y * r2))}A${n(r2)} ${n(r2)} 0 0 0 ` +
    `${at(shift(to, -x * r2, -y * r2))}L${at(shift(from, -x * r1, -y * r1))}A${n(r1)} ${n(r1)} 0 0 0 ` +
    `${at(shift(from, x * r1, y * r1))}Z`
  )
}
const disc = (center: Point, rx: number, ry = rx) =>
  `M${at(shift(center, -rx, 0))}A${n(rx)} ${n(ry)} 0 1 1 ${at(shift(center, rx, 0))}A${n(rx)} ${n(ry)} 0 1 1 ${at(shift(center, -rx, 0))}Z`
const polygon = (points: readonly Point[]) => `M${points.map(at).join('L')}Z`
/** A closed curve through points (Catmull-Rom as cubic curves). */
function smooth(points: readonly Point[]): string {
  const get = (index: number) => points[(index + points.length) % points.length]!
  return `M${at(points[0]!)}${points
    .map((from, index) => {
      const [before, to, after] = [get(index - 1), get(index + 1), get(index + 2)]
      return (
        `C${at({ x: from.x + (to.x - before.x) / 6, y: from.y + (to.y - before.y) / 6 })} ` +
        `${at({ x: to.x - (after.x - from.x) / 6, y: to.y - (after.y - from.y) / 6 })} ${at(to)}`
      )
    })
    .join('')}Z`
}

/** Turns a place given about the head (x the way it faces, y down) with the head. */
function aboutHead(joints: Joints): (x: number, y: number) => Point {
  const turn = ((joints.lean + joints.nod) * Math.PI) / 180
  return (x, y) => ({
    x: joints.head.x + x * Math.cos(turn) - y * Math.sin(turn),
    y: joints.head.y + x * Math.sin(turn) + y * Math.cos(turn),
  })
}

/** Points of the trunk given as shares of its height from hip to neck and px aside. */
function aboutTrunk(joints: Joints): (up: number, aside: number) => Point {
  const turn = (joints.lean * Math.PI) / 180
  return (up, aside) => ({
    x: joints.hip.x + (joints.neck.x - joints.hip.x) * up + Math.cos(turn) * aside,
    y: joints.hip.y + (joints.neck.y - joints.hip.y) * up + Math.sin(turn) * aside,
  })
}

function hairParts(look: FigureLook, joints: Joints, body: Body, color: string): { behind: FigurePart[]; over: FigurePart[] } {
  const place = aboutHead(joints)
  const r = body.head
  const curve = (points: readonly (readonly [number, number])[]) => smooth(points.map(([x, y]) => place(x * r, y * r)))
  const crown = [
    [-1.06, 0.1],
    [-1.05, -0.55],
    [-0.5, -1.12],
    [0.3, -1.14],
    [0.95, -0.62],
    [0.86, -0.3],
    [0.2, -0.62],
    [-0.45, -0.5],
    [-0.66, 0.02],
  ] as const
  const part = (name: string, d: string): FigurePart => ({ name, d, fill: color })
  const { style } = look.hair
  if (style === 'none') return { behind: [], over: [] }
  if (style === 'short') return { behind: [], over: [part('hair', curve(crown))] }
  if (style === 'side')
    return {
      behind: [],
      over: [
        part(
          'hair',
          curve([
            [-1.06, 0.2],
            [-1.06, -0.6],
            [-0.4, -1.2],
            [0.6, -1.22],
            [1.12, -0.5],
            [0.9, -0.16],
            [0.62, -0.62],
            [-0.3, -0.66],
            [-0.7, -0.1],
          ]),
        ),
      ],
    }
  if (style === 'cap')
    return {
      behind: [],
      over: [
        part(
          'cap',
          `${polygon([place(-1.06 * r, -0.22 * r), place(1.06 * r, -0.22 * r), place(1.72 * r, -0.1 * r), place(1.68 * r, -0.36 * r), place(1.02 * r, -0.46 * r)])}${curve(
            [
              [-1.08, -0.22],
              [-0.98, -0.82],
              [-0.1, -1.2],
              [0.8, -0.9],
              [1.06, -0.24],
            ],
          )}`,
        ),
      ],
    }
  if (style === 'curls')
    return {
      behind: [
        part(
          'curls',
          [
            [-0.9, -0.1],
            [-0.95, 0.4],
            [0.85, 0.1],
          ]
            .map(([x, y]) => disc(place(x! * r, y! * r), r * 0.44))
            .join(''),
        ),
      ],
      over: [
        part(
          'curls',
          [
            [-0.86, -0.55],
            [-0.42, -0.98],
            [0.14, -1.08],
            [0.66, -0.82],
            [0.94, -0.4],
            [-1, -0.1],
          ]
            .map(([x, y]) => disc(place(x! * r, y! * r), r * 0.4))
            .join(''),
        ),
      ],
    }
  if (style === 'scarf')
    return {
      behind: [
        part(
          'scarf',
          curve([
            [-1.16, -0.2],
            [-0.7, -1.08],
            [0.2, -1.2],
            [0.98, -0.8],
            [1.06, 0.2],
            [0.8, 1.16],
            [0.3, 1.5],
            [-0.9, 1.5],
            [-1.24, 0.7],
          ]),
        ),
      ],
      over: [
        part(
          'scarf',
          `${curve([
            [-1.1, 0.3],
            [-1.1, -0.6],
            [-0.4, -1.16],
            [0.4, -1.16],
            [1, -0.66],
            [0.92, -0.4],
            [0.2, -0.72],
            [-0.44, -0.5],
            [-0.6, 0.4],
            [-0.3, 0.96],
            [0.3, 1.02],
            [0.3, 1.4],
            [-0.7, 1.36],
          ])}`,
        ),
      ],
    }
  const long = style === 'long'
  const behind = curve(
    long
      ? [
          [-1.1, -0.2],
          [-0.5, -1.1],
          [0.4, -1.1],
          [1, -0.3],
          [0.7, 0.5],
          [-0.1, 1.9],
          [-1.3, 2],
          [-1.32, 0.8],
        ]
      : [
          [-1.12, -0.1],
          [-0.5, -1.1],
          [0.4, -1.12],
          [1.04, -0.3],
          [0.92, 0.6],
          [0.4, 0.94],
          [-0.9, 0.98],
          [-1.2, 0.6],
        ],
  )
  return {
    behind: style === 'bun' ? [part('bun', disc(place(-0.78 * r, -0.98 * r), r * 0.48))] : [part('hair behind', behind)],
    over: [part('hair', curve(crown))],
  }
}

function faceParts(
  face: 'smile' | 'open' | 'flat',
  moved: Face,
  look: FigureLook,
  joints: Joints,
  body: Body,
  ink: string,
  hair: string,
): FigurePart[] {
  const place = aboutHead(joints)
  const r = body.head
  const line = { color: ink, width: r * 0.1 }
  const up = 0.1 * moved.brows
  const spoken = moved.mouth > 0.04
  const mouth = spoken
    ? { d: disc(place(0.42 * r, 0.47 * r), r * (0.2 - 0.05 * moved.mouth), r * (0.03 + 0.17 * moved.mouth)), fill: ink }
    : face === 'open'
      ? { d: disc(place(0.42 * r, 0.46 * r), r * 0.17, r * 0.14), fill: ink }
      : {
          d:
            `M${at(place(0.16 * r, 0.42 * r))}Q${at(place(0.44 * r, face === 'smile' ? 0.66 * r : 0.46 * r))} ` +
            `${at(place(0.7 * r, 0.38 * r))}`,
          fill: 'none',
          stroke: line,
        }
  const eye = (x: number): FigurePart => ({
    name: 'eye',
    d: disc(place(x * r, -0.06 * r), r * 0.085, r * Math.max(0.015, 0.11 * moved.eyes)),
    fill: ink,
  })
  return [
    ...(look.beard
      ? [
          {
            name: 'beard',
            d: smooth(
              [
                [-0.5, 0.3],
                [-0.2, 0.94],
                [0.4, 1.1],
                [0.86, 0.7],
                [0.92, 0.2],
                [0.62, 0.3],
                [0.4, 0.26],
                [0, 0.3],
              ].map(([x, y]) => place(x! * r, y! * r)),
            ),
            fill: hair,
          },
        ]
      : []),
    eye(0.18),
    eye(0.68),
    { name: 'mouth', ...mouth },
    {
      name: 'brow',
      d: `M${at(place(0.04 * r, (-0.3 - up) * r))}L${at(place(0.3 * r, (-0.34 - up) * r))}M${at(place(0.56 * r, (-0.34 - up) * r))}L${at(place(0.82 * r, (-0.28 - up) * r))}`,
      fill: 'none',
      stroke: { color: ink, width: r * 0.075 },
    },
    ...(look.glasses
      ? [
          {
            name: 'glasses',
            d: `${disc(place(0.16 * r, -0.04 * r), r * 0.22)}${disc(place(0.7 * r, -0.04 * r), r * 0.22)}M${at(place(0.38 * r, -0.06 * r))}L${at(place(0.48 * r, -0.06 * r))}M${at(place(-0.06 * r, -0.06 * r))}L${at(place(-0.8 * r, -0.12 * r))}`,
            fill: 'none',
            stroke: { color: ink, width: r * 0.08 },
          },
        ]
      : []),
  ]
}

/** A drawn person in units of the body, feet at y 0: parts from back to front. */
function partsOf(look: FigureLook, pose: Pose, face: Face, palette: Palette): FigurePart[] {
  const body = bodies[look.body]
  const joints = solve(pose, body)
  const hex = (color: Color) => hexOf(color, palette)
  const darker = (color: string, by = 0.18) => hexOver({ hex: '#10191c', alpha: by }, color, palette)
  const [skin, hair, top, bottom, shoes] = [
    hex(look.skin),
    hex(look.hair.color),
    hex(look.top.color),
    hex(look.bottom.color),
    hex(look.shoes),
  ]
  const under = hex(look.under ?? { role: 'ground' })
  const ink = '#1d2a2f'
  const trunk = aboutTrunk(joints)
  const long = look.top.style !== 'short sleeves' && look.top.style !== 'vest' && look.top.style !== 'dress'

  const leg = (side: 'back' | 'front'): FigurePart[] => {
    const shade = side === 'back' ? 0.14 : 0
    const [hip, knee, foot] = [joints.hips[side], joints.knees[side], joints.feet[side]]
    const bare = look.bottom.style !== 'trousers' || look.top.style === 'dress'
    const cloth = darker(bottom, shade)
    const flesh = darker(skin, shade)
    const turn = Math.atan2(foot.y - knee.y, foot.x - knee.x)
    // A foot stands flat where the shin comes down, and hangs where it does not.
    const flat = Math.sin(turn) > 0.5
    const toe = flat
      ? shift(foot, body.leg * 1.7, 0)
      : shift(foot, Math.cos(turn - 1.2) * body.leg * 1.7, Math.sin(turn - 1.2) * body.leg * 1.7)
    return [
      { name: `${side} shin`, d: bone(knee, foot, body.leg * 0.86, body.leg * 0.58), fill: bare ? flesh : cloth },
      {
        name: `${side} thigh`,
        d: bone(hip, knee, body.leg * 1.14, body.leg * 0.86),
        fill: look.bottom.style === 'skirt' || look.top.style === 'dress' ? flesh : cloth,
      },
      {
        name: `${side} shoe`,
        d: bone(shift(foot, 0, flat ? -body.leg * 0.2 : 0), shift(toe, 0, flat ? -body.leg * 0.2 : 0), body.leg * 0.72, body.leg * 0.56),
        fill: darker(shoes, shade),
      },
    ]
  }
  const arm = (side: 'back' | 'front'): FigurePart[] => {
    const shade = side === 'back' ? 0.14 : 0
    const [shoulder, elbow, hand] = [joints.shoulders[side], joints.elbows[side], joints.hands[side]]
    const sleeve = darker(look.top.style === 'vest' ? under : top, shade)
    const cuff = { x: elbow.x + (hand.x - elbow.x) * 0.82, y: elbow.y + (hand.y - elbow.y) * 0.82 }
    const half = { x: shoulder.x + (elbow.x - shoulder.x) * 0.62, y: shoulder.y + (elbow.y - shoulder.y) * 0.62 }
    const flesh = darker(skin, shade)
    return [
      { name: `${side} hand`, d: disc(hand, body.arm * 0.95), fill: flesh },
      {
        name: `${side} forearm`,
        d: bone(elbow, long || look.top.style === 'vest' ? cuff : hand, body.arm * 0.9, body.arm * 0.72),
        fill: long || look.top.style === 'vest' ? sleeve : flesh,
      },
      ...(long || look.top.style === 'vest'
        ? []
        : [{ name: `${side} arm`, d: bone(shoulder, elbow, body.arm, body.arm * 0.9), fill: flesh }]),
      {
        name: `${side} sleeve`,
        d: bone(shoulder, long || look.top.style === 'vest' ? elbow : half, body.arm * 1.14, body.arm * (long ? 0.96 : 1.08)),
        fill: sleeve,
      },
    ]
  }
  const { shoulder: sw, waist: ww, hip: hw } = body
  const torso = smooth([
    trunk(1, -sw * 0.42),
    trunk(0.93, -sw * 0.98),
    trunk(0.5, -ww),
    trunk(-0.02, -hw),
    trunk(-0.05, 0),
    trunk(-0.02, hw),
    trunk(0.5, ww),
    trunk(0.93, sw * 0.98),
    trunk(1, sw * 0.42),
  ])
  const skirtLength = look.top.style === 'dress' ? 0.62 : 0.5
  const knees = (['back', 'front'] as const).map(side => {
    const [hip, knee] = [joints.hips[side], joints.knees[side]]
    return { x: hip.x + (knee.x - hip.x) * skirtLength * 1.6, y: hip.y + (knee.y - hip.y) * skirtLength * 1.6 }
  })
  const skirt = smooth([
    trunk(0.16, -ww * 0.96),
    trunk(-0.02, -hw * 1.02),
    shift(knees[0]!, -body.leg * 1.5, 0),
    shift(knees[1]!, body.leg * 1.5, 0),
    trunk(-0.02, hw * 1.02),
    trunk(0.16, ww * 0.96),
  ])
  const coatTail = smooth([
    trunk(0.3, -ww),
    trunk(-0.05, -hw * 1.1),
    trunk(-0.42, -hw * 1.12),
    trunk(-0.42, hw * 1.12),
    trunk(-0.05, hw * 1.1),
    trunk(0.3, ww),
  ])
  const clothes: FigurePart[] = [
    ...(look.bottom.style === 'skirt' || look.top.style === 'dress'
      ? [{ name: 'skirt', d: skirt, fill: look.top.style === 'dress' ? top : bottom }]
      : [
          {
            name: 'seat',
            d: smooth([trunk(0.2, -ww * 0.9), trunk(-0.04, -hw * 0.98), trunk(-0.12, 0), trunk(-0.04, hw * 0.98), trunk(0.2, ww * 0.9)]),
            fill: bottom,
          },
        ]),
    ...(look.top.style === 'coat' ? [{ name: 'coat tail', d: coatTail, fill: top }] : []),
    { name: 'torso', d: torso, fill: top },
    ...(look.top.style === 'jacket' || look.top.style === 'coat' || look.top.style === 'vest'
      ? [
          { name: 'shirt front', d: polygon([trunk(1, -sw * 0.3), trunk(1, sw * 0.5), trunk(0.42, sw * 0.16)]), fill: under },
          {
            name: 'seam',
            d: `M${at(trunk(0.42, sw * 0.16))}L${at(trunk(0.02, sw * 0.14))}`,
            fill: 'none',
            stroke: { color: darker(top, 0.35), width: body.arm * 0.16 },
          },
        ]
      : [{ name: 'collar', d: smooth([trunk(1.02, -sw * 0.3), trunk(0.9, sw * 0.1), trunk(1.02, sw * 0.46)]), fill: darker(skin, 0.06) }]),
  ]
  const { behind, over } = hairParts(look, joints, body, hair)
  const head: FigurePart[] = [
    { name: 'neck', d: bone(trunk(0.95, sw * 0.04), joints.head, body.neck * 0.72, body.neck * 0.72), fill: darker(skin, 0.08) },
    { name: 'head', d: disc(joints.head, body.head, body.head * 1.06), fill: skin },
    {
      name: 'ear',
      d: disc(aboutHead(joints)(-0.36 * body.head, 0.12 * body.head), body.head * 0.17, body.head * 0.22),
      fill: darker(skin, 0.1),
    },
    ...faceParts(pose.face ?? 'smile', face, look, joints, body, ink, hair),
  ]
  const [a, b] = [joints.hands.back, joints.hands.front]
  const mean = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
  const accent = hex({ role: 'accent2' })
  const held: Readonly<Record<NonNullable<typeof pose.holds>, FigurePart[]>> = {
    box: [
      { name: 'box', d: polygon([shift(mean, -6, -11), shift(mean, 9, -11), shift(mean, 9, 2), shift(mean, -6, 2)]), fill: accent },
      {
        name: 'band',
        d: polygon([shift(mean, 0.4, -11), shift(mean, 2.6, -11), shift(mean, 2.6, 2), shift(mean, 0.4, 2)]),
        fill: darker(accent, 0.25),
      },
    ],
    phone: [{ name: 'phone', d: bone(shift(b, -0.6, 1.6), shift(b, 0.8, -3.6), 1, 1), fill: ink }],
    book: [
      {
        name: 'book',
        d: polygon([shift(mean, -4.4, -5), shift(mean, 0.4, -3.4), shift(mean, 0.4, 2.4), shift(mean, -4.4, 0.8)]),
        fill: accent,
      },
      {
        name: 'book',
        d: polygon([shift(mean, 0.4, -3.4), shift(mean, 5.2, -5), shift(mean, 5.2, 0.8), shift(mean, 0.4, 2.4)]),
        fill: darker(accent, 0.18),
      },
    ],
    cup: [{ name: 'cup', d: polygon([shift(b, -1.6, -3.6), shift(b, 2.6, -3.6), shift(b, 2.1, 1.6), shift(b, -1.1, 1.6)]), fill: accent }],
    sign: [
      {
        name: 'sign',
        d: polygon([shift(mean, -13, 0), shift(mean, 13, 0), shift(mean, 13, 17), shift(mean, -13, 17)]),
        fill: '#fbfcfa',
        stroke: { color: darker(accent, 0.2), width: 0.9 },
      },
    ],
  }
  const seat: FigurePart[] = pose.sits
    ? [
        {
          name: 'seat top',
          d: bone(shift(joints.hip, -hw, body.leg * 1.5), shift(joints.hip, hw * 0.9, body.leg * 1.5), 1.3, 1.3),
          fill: darker(hex({ role: 'accent5' }), 0.1),
        },
        {
          name: 'seat leg',
          d: polygon([
            shift(joints.hip, -1, body.leg * 1.6),
            shift(joints.hip, 1, body.leg * 1.6),
            { x: joints.hip.x + 1.6, y: 0 },
            { x: joints.hip.x - 1.6, y: 0 },
          ]),
          fill: darker(hex({ role: 'accent5' }), 0.25),
        },
      ]
    : []
  const front = arm('front')
  return [
    ...seat,
    ...behind,
    ...arm('back'),
    ...leg('back'),
    ...leg('front'),
    ...clothes,
    ...head,
    ...over,
    ...(pose.holds ? held[pose.holds] : []),
    ...front,
  ]
}

/** The look of a figure element: of the speaker, as the deck says; else its own, over the usual one. */
export const figureLook = (element: Pick<FigureElement, 'look' | 'speaker'>, theme: Pick<Theme, 'speaker'>): FigureLook =>
  element.speaker ? (theme.speaker ?? usualLook) : (element.look ?? usualLook)

export interface FigureDrawing {
  parts: FigurePart[]
  /** The part of the plane that the drawing takes up: x, y, width, height. */
  view: readonly [number, number, number, number]
}

/** How far the drawing of a pose reaches, so that poses of one figure stand in one scale. */
const reach = { left: -49, top: -119, width: 98, height: 122 }

/** A drawn person as parts in a view of their own, facing right; all poses of all bodies stand in the same view, on the same ground. */
export function drawFigure(
  wish: { look: FigureLook; /** By name, or on its way. */ pose: string | Pose; face?: Face },
  palette: Palette,
): FigureDrawing {
  return {
    parts: partsOf(wish.look, typeof wish.pose === 'string' ? poseNamed(wish.pose) : wish.pose, wish.face ?? restingFace, palette),
    view: [reach.left, reach.top, reach.width, reach.height],
  }
}

/** The look of a figure that nobody has dressed yet. */
export const usualLook: FigureLook = {
  body: 'medium',
  skin: { hex: '#d9a47c' },
  hair: { style: 'short', color: { hex: '#3a2a22' } },
  top: { style: 'jacket', color: { role: 'accent1' } },
  under: { hex: '#fbfcfa' },
  bottom: { style: 'trousers', color: { role: 'accent5' } },
  shoes: { hex: '#26313a' },
}
