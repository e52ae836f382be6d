import { drawFigure, usualLook } from '../../core/figures'
import { houseTheme } from '../../core/layouts'
import type { FigureLook } from '../../core/model'
import { seeded } from '../../core/values'
import { box, disc, fade, filled, n, path, pick, ring, shadow, stroke, svg, times, within, W, type DrawnPicture } from './strokes'

type Dressed = Partial<FigureLook> & { pose: string; at: number }
const crewTops = ['#26506b', '#c34d3b', '#12615c', '#e6a037', '#7d4a78', '#2b3a55']
const hairs = ['#1c1512', '#4a2c1c', '#a5622a', '#8a8f94', '#6e665c'] as const
const skins = ['#e3b58f', '#c98f68', '#8a5a3c', '#f0c9a8'] as const
const styles = ['short', 'bob', 'cap', 'bun', 'curls', 'side', 'long'] as const
const works: readonly {
  name: string
  tags: string[]
  poses: readonly string[]
  ground: readonly [string, string, string]
  room: string
}[] = [
  {
    name: 'Crew at the ramp',
    tags: ['crew', 'work', 'ramp', 'team'],
    poses: ['point', 'carry', 'stand'],
    ground: ['#cfe2ea', '#a9c6d2', '#6f8c96'],
    room: times(5, at => box(at * 340 - 60, 560, 300, 26, '#8aa6b0')),
  },
  {
    name: 'In the ticket hall',
    tags: ['tickets', 'hall', 'service', 'counter', 'riders'],
    poses: ['present', 'phone', 'walk'],
    ground: ['#f2e6d2', '#e2cda9', '#b99a6a'],
    room: box(980, 300, 520, 460, '#8c5a3c', 20) + box(1020, 340, 440, 190, '#fff6dc', 10),
  },
  {
    name: 'Meeting at the office',
    tags: ['meeting', 'office', 'discussion', 'plan', 'council'],
    poses: ['think', 'present', 'arms-folded'],
    ground: ['#e4e8ee', '#ccd4de', '#8c98a8'],
    room: box(180, 160, 700, 400, '#fbfcfa', 12) + stroke('M260 480L420 380L560 420L760 260', '#c34d3b', 14),
  },
  {
    name: 'Questions from the hall',
    tags: ['questions', 'audience', 'citizens', 'hall'],
    poses: ['point-up', 'wave', 'sit', 'stand'],
    ground: ['#e8dff0', '#cfc0dc', '#8c78a0'],
    room: '',
  },
  {
    name: 'Cheers on the quay',
    tags: ['celebration', 'success', 'thanks', 'opening', 'people'],
    poses: ['cheer', 'applaud', 'cheer', 'wave'],
    ground: ['#ffe3c2', '#f6c08a', '#c9834e'],
    room: times(9, at => path(`M${at * 190 - 20} 90l60 10l-34 60Z`, ['#c34d3b', '#2f7f9a', '#12615c'][at % 3]!)),
  },
  {
    name: 'Training aboard',
    tags: ['training', 'course', 'learning', 'safety'],
    poses: ['kneel', 'point', 'read'],
    ground: ['#d9e8e0', '#b4d0c2', '#6f9a88'],
    room: ring(1240, 300, 120, '#c34d3b', 60),
  },
  {
    name: 'Loading freight',
    tags: ['freight', 'loading', 'goods', 'logistics'],
    poses: ['carry', 'lean', 'carry'],
    ground: ['#e9e2d6', '#d0c2ac', '#9a8a70'],
    room: times(6, at =>
      box(880 + (at % 3) * 210, 420 + Math.floor(at / 3) * 190, 196, 176, ['#c17a2c', '#2f7f9a', '#8c4a32'][at % 3]!, 6),
    ),
  },
  {
    name: 'Morning shift',
    tags: ['shift', 'early', 'workers', 'morning', 'commuters'],
    poses: ['walk', 'cup', 'walk', 'phone'],
    ground: ['#f6d9b4', '#e0b48c', '#8f7a6a'],
    room: disc(300, 320, 130, '#fff1cf'),
  },
]
function atWork({ poses, ground, room }: (typeof works)[number], seed: number): string {
  const random = seeded(seed)
  const people: Dressed[] = poses.map((pose, at) => ({
    pose,
    at: (W / (poses.length + 1)) * (at + 1),
    body: pick(random, ['slim', 'medium', 'broad'] as const),
    skin: { hex: pick(random, skins) },
    hair: { style: pick(random, styles), color: { hex: pick(random, hairs) } },
    top: { style: pick(random, ['shirt', 'jacket', 'vest', 'coat'] as const), color: { hex: pick(random, crewTops) } },
    bottom: { style: 'trousers', color: { hex: pick(random, ['#2f3a42', '#5a4a3c', '#3c4a66', '#6a6455']) } },
  }))
  const drawn = people.map(({ pose, at, ...look }) => {
    const { parts } = drawFigure({ look: { ...usualLook, ...look }, pose }, houseTheme.palette)
    const paths = parts.map(part =>
      path(part.d, part.fill, `stroke="${part.stroke?.color ?? 'none'}" stroke-width="${part.stroke?.width ?? 0}" stroke-linecap="round"`),
    )
    return shadow(at, 886, 120, 18) + within(`translate(${n(at)} 880) scale(8)`, paths.join(''))
  })
  return svg(`<defs>${fade('g', ground[0], ground[1])}</defs>` + filled('url(#g)') + room + box(0, 800, W, 200, ground[2]) + drawn.join(''))
}
/** People at their work, as figures. */
export const peopleAtWork = (): DrawnPicture[] =>
  works.map((one, at) => ({ name: one.name, folder: 'People at work', tags: one.tags, text: atWork(one, 1200 + at * 17) }))
