import { box, disc, filled, n, oval, path, ring, shadow, stroke, svg, times, within, H, W, type DrawnPicture } from './strokes'

const wheel = (x: number, y: number) =>
  ring(x, y, 126, '#2a3236', 16) +
  times(8, at => {
    const angle = (at * Math.PI) / 8
    return stroke(`M${x} ${y}l${n(118 * Math.cos(angle))} ${n(118 * Math.sin(angle))}`, '#2a323655', 3)
  })

/** Things on a table in the light of a window, drawn about the middle of their foot: 0 0, y upwards negative, some 400 px high. */
const things: Readonly<Record<string, { tags: string[]; wall: string; table: string; draw: string }>> = {
  Lifebuoy: {
    tags: ['lifebuoy', 'safety', 'rescue', 'ring'],
    wall: '#cfe0de',
    table: '#8fb3ae',
    draw:
      ring(0, -230, 180, '#f4f1e8', 96) +
      times(4, at => ring(0, -230, 180, '#c34d3b', 96, `stroke-dasharray="120 1011" transform="rotate(${at * 90 + 26} 0 -230)"`)),
  },
  Lantern: {
    tags: ['lantern', 'light', 'night', 'lamp'],
    wall: '#2b3a4e',
    table: '#1c2736',
    draw:
      disc(0, -200, 330, '#ffd98a33') +
      path('M-110 0H110L90 -40H-90Z', '#3a2f28') +
      path('M-84 -40H84L70 -300H-70Z', '#ffe9b0') +
      stroke('M-84 -40L-70 -300M84 -40L70 -300M0 -40V-300', '#3a2f28', 14) +
      path('M-96 -300H96L40 -380H-40Z', '#3a2f28') +
      stroke('M-50 -380C-60 -470 60 -470 50 -380', '#3a2f28', 12) +
      path('M-22 -90C-50 -150 0 -170 0 -230C30 -180 44 -140 22 -90Z', '#f0913c'),
  },
  'Ship’s bell': {
    tags: ['bell', 'signal', 'alarm', 'start'],
    wall: '#e6dcc6',
    table: '#b99a66',
    draw:
      stroke('M-190 0V-430H190V0', '#5a4430', 28) +
      path('M-110 -90C-100 -180 -90 -300 0 -330C90 -300 100 -180 110 -90L140 -60H-140Z', '#d6a53c') +
      path('M-40 -300C-80 -240 -80 -160 -84 -96H-50C-52 -170 -50 -250 -16 -316Z', '#f2d48a') +
      disc(0, -44, 28, '#8a6a20') +
      stroke('M0 -330V-420', '#8a6a20', 14),
  },
  'Cup of coffee': {
    tags: ['coffee', 'cup', 'break', 'pause', 'breakfast'],
    wall: '#efe0d2',
    table: '#c79a78',
    draw:
      path('M-230 -10C-230 20 230 20 230 -10C200 -44 -200 -44 -230 -10Z', '#f7f3ea') +
      path('M-150 -260H150C150 -110 110 -30 60 -24H-60C-110 -30 -150 -110 -150 -260Z', '#fbf8f0') +
      stroke('M150 -220C240 -220 240 -100 116 -100', '#fbf8f0', 30) +
      oval(0, -260, 150, 30, 'fill="#5a3a26"') +
      stroke('M-50 -320C-80 -370 -20 -390 -50 -450M30 -320C0 -370 60 -390 30 -450', '#ffffff99', 12),
  },
  'Rope and knot': {
    tags: ['rope', 'knot', 'mooring', 'bond', 'together'],
    wall: '#d5dfe2',
    table: '#6f8c92',
    draw:
      times(4, at => {
        const coil = (look: string) => oval(0, -40 - at * 52, 200 - at * 14, 54, `fill="none" ${look}`)
        return coil('stroke="#c8aa78" stroke-width="50"') + coil('stroke="#8f7044" stroke-width="42" stroke-dasharray="5 20"')
      }) +
      stroke('M120 -230C220 -330 60 -400 -20 -330S60 -240 140 -300S330 -360 380 -240', '#c8aa78', 44) +
      stroke('M120 -230C220 -330 60 -400 -20 -330S60 -240 140 -300S330 -360 380 -240', '#8f7044', 36, 'stroke-dasharray="5 20"'),
  },
  Tickets: {
    tags: ['ticket', 'tickets', 'fare', 'price', 'season ticket'],
    wall: '#dfe7d8',
    table: '#9db08c',
    draw: [-16, -4, 9]
      .map((turn, at) =>
        within(
          `rotate(${turn} 0 -60) translate(${at * 34 - 40} ${-at * 70})`,
          box(-210, -190, 420, 180, ['#e6a037', '#f4efe2', '#2f7f9a'][at]!, 14) +
            disc(-210, -100, 24, '#dfe7d8') +
            disc(210, -100, 24, '#dfe7d8') +
            stroke('M90 -180V-24', '#00000044', 4, 'stroke-dasharray="12 12"') +
            box(-160, -150, 170, 22, '#00000055', 6) +
            box(-160, -108, 210, 14, '#00000033', 6) +
            box(-160, -76, 130, 14, '#00000033', 6),
        ),
      )
      .join(''),
  },
  Bicycle: {
    tags: ['bicycle', 'bicycles', 'bike', 'cycling', 'traffic'],
    wall: '#e9e4d6',
    table: '#a9a48f',
    draw:
      wheel(-210, -130) +
      wheel(210, -130) +
      stroke('M-210 -130L-70 -330L150 -340L20 -140L-70 -330M20 -140H-210M210 -130L140 -390', '#c34d3b', 20) +
      stroke('M100 -400C140 -420 190 -400 200 -370M-110 -350H-30', '#2a3236', 20) +
      disc(20, -140, 34, '#2a3236'),
  },
  Compass: {
    tags: ['compass', 'direction', 'course', 'way', 'orientation'],
    wall: '#cdd8e0',
    table: '#5f7a8c',
    draw:
      disc(0, -220, 220, '#a9803a') +
      disc(0, -220, 190, '#f6f0de') +
      times(24, at => {
        const isMain = at % 6 === 0
        return stroke(
          `M0 -${isMain ? 404 : 398}V-${isMain ? 366 : 382}`,
          '#5a4a30',
          isMain ? 10 : 5,
          `transform="rotate(${at * 15} 0 -220)"`,
        )
      }) +
      path('M0 -370L34 -220H-34Z', '#c34d3b', 'transform="rotate(38 0 -220)"') +
      path('M0 -70L34 -220H-34Z', '#2f4a58', 'transform="rotate(38 0 -220)"') +
      disc(0, -220, 16, '#a9803a'),
  },
  Suitcase: {
    tags: ['suitcase', 'luggage', 'travel', 'holiday', 'guests'],
    wall: '#f0dfc9',
    table: '#c4996b',
    draw:
      stroke('M-80 -300V-380H80V-300', '#4a3222', 26) +
      box(-260, -310, 520, 300, '#8c4a32', 34) +
      box(-190, -310, 46, 300, '#5f2f20') +
      box(144, -310, 46, 300, '#5f2f20') +
      box(-200, -180, 66, 44, '#d6b25c', 8) +
      box(134, -180, 66, 44, '#d6b25c', 8) +
      disc(-30, -150, 54, '#2f7f9a') +
      box(10, -120, 100, 66, '#e6a037', 6),
  },
  Umbrella: {
    tags: ['umbrella', 'rain', 'weather', 'protection', 'shelter'],
    wall: '#b9c6cc',
    table: '#7c8d96',
    draw:
      stroke('M0 -420V-70C0 -10 90 -10 90 -70', '#3a2f28', 16) +
      path(
        'M-320 -210C-300 -380 -150 -440 0 -440S300 -380 320 -210C270 -250 210 -250 160 -210C110 -250 50 -250 0 -210' +
          'C-50 -250 -110 -250 -160 -210C-210 -250 -270 -250 -320 -210Z',
        '#e6a037',
      ) +
      path(
        'M-160 -210C-140 -330 -80 -410 0 -440C80 -410 140 -330 160 -210C110 -250 50 -250 0 -210C-50 -250 -110 -250 -160 -210Z',
        '#c9822a',
      ),
  },
  'Clock of the quay': {
    tags: ['clock', 'time', 'hour', 'timetable', 'punctual'],
    wall: '#dce6e4',
    table: '#7fa09b',
    draw:
      box(-22, -200, 44, 200, '#26413f') +
      box(-90, -20, 180, 20, '#26413f') +
      disc(0, -330, 190, '#26413f') +
      disc(0, -330, 160, '#fbfcfa') +
      times(12, at => stroke('M0 -476V-448', '#26413f', at % 3 ? 6 : 14, `transform="rotate(${at * 30} 0 -330)"`)) +
      stroke('M0 -330L-70 -370M0 -330L10 -450', '#26413f', 16) +
      disc(0, -330, 14, '#c34d3b'),
  },
  'Books and papers': {
    tags: ['books', 'paper', 'reading', 'report', 'study', 'rules'],
    wall: '#e8e2ee',
    table: '#9a8aa6',
    draw:
      [
        [-250, 500, '#2f7f9a', 0],
        [-220, 440, '#c34d3b', 74],
        [-240, 470, '#e6a037', 142],
        [-190, 400, '#12615c', 218],
      ]
        .map(
          ([x, width, color, up]) =>
            box(x as number, -70 - (up as number), width as number, 66, color as string, 8) +
            box((x as number) + 24, -58 - (up as number), (width as number) - 40, 42, '#f6f1e4', 4),
        )
        .join('') + path('M-120 -288L150 -330L190 -296L-70 -252Z', '#fbfcfa'),
  },
}
/** A thing in front of a wall that light from a window falls on. */
function still({ wall, table, draw }: (typeof things)[string], at: number): string {
  const x = [0.36, 0.62, 0.5][at % 3]! * W
  const light =
    '<radialGradient id="l" cx="0.3" cy="0.2" r="0.9"><stop stop-color="#fff" stop-opacity="0.55"/>' +
    '<stop offset="1" stop-color="#000" stop-opacity="0.22"/></radialGradient>'
  return svg(
    `<defs>${light}</defs>` +
      filled(wall) +
      path(`M180 0H520L820 ${H}H420Z`, '#fff', 'fill-opacity="0.16"') +
      path(`M600 0H760L1120 ${H}H920Z`, '#fff', 'fill-opacity="0.12"') +
      box(0, 720, W, 280, table) +
      box(0, 720, W, 8, '#fff', 0, 'fill-opacity="0.25"') +
      filled('url(#l)') +
      shadow(x + 70, 862, 300, 34) +
      within(`translate(${x} 860) scale(1.25)`, draw),
  )
}
export const stillLifes = (): DrawnPicture[] =>
  Object.entries(things).map(([name, thing], at) => ({ name, folder: 'Still lifes', tags: thing.tags, text: still(thing, at) }))
