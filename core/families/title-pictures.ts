import { framing, picturePlace, shapePlace, textPlace, type Frame, type LayoutFamily, type LayoutRoom, type Place } from './family'

/** Where a title’s picture lies. */
type Placing = 'whole' | 'left' | 'right' | 'top' | 'bottom'

interface Halves {
  picture: Frame
  words: Frame
}
/** The picture’s part of the slide, and what is left to the words within the margin. */
function halvesOf(placing: Placing, { size: { width, height }, theme: { margin } }: LayoutRoom): Halves {
  const [third, band] = [Math.round(width / 3), Math.round(height * 0.46)]
  const all = { x: 0, y: 0, width, height }
  const within = { x: margin, y: margin, width: width - 2 * margin, height: height - 2 * margin }
  if (placing === 'left')
    return { picture: { ...all, width: third }, words: { ...within, x: third + margin * 0.8, width: width - third - margin * 1.8 } }
  if (placing === 'right')
    return { picture: { ...all, x: width - third, width: third }, words: { ...within, width: width - third - margin * 1.8 } }
  if (placing === 'top')
    return { picture: { ...all, height: band }, words: { ...within, y: band + margin * 0.5, height: height - band - margin * 1.3 } }
  if (placing === 'bottom')
    return { picture: { ...all, y: height - band, height: band }, words: { ...within, height: height - band - margin * 1.4 } }
  return { picture: all, words: { ...within, y: height * 0.4, height: height * 0.6 - margin } }
}

function placesOf(placing: Placing, room: LayoutRoom): Place[] {
  const { picture, words } = halvesOf(placing, room)
  const { margin } = room.theme
  const foot = Math.min(margin * 0.6, words.height * 0.12)
  const [title, body] = [
    { ...words, height: (words.height - foot) * 0.6 },
    { ...words, y: words.y + (words.height - foot) * 0.63, height: (words.height - foot) * 0.33 },
  ]
  const last = { ...words, y: words.y + words.height - foot, height: foot }
  const veil = {
    fill: {
      kind: 'linear' as const,
      angle: 180,
      stops: [
        { color: { role: 'ground' as const, alpha: 0 }, at: 0 },
        // Solid by where a title of two lines begins.
        { color: { role: 'ground' as const, alpha: 0.88 }, at: 0.24 },
        { color: { role: 'ground' as const, alpha: 0.96 }, at: 1 },
      ],
    },
  }
  return [
    picturePlace('picture', 'Picture', picture),
    ...(placing === 'whole'
      ? [shapePlace(framing('veil'), 'Veil', 'rectangle', { ...picture, y: words.y * 0.6, height: picture.height - words.y * 0.6 }, veil)]
      : []),
    textPlace('title', 'Title', 'title', title, { vertical: 'bottom', prompt: 'What the deck is called' }),
    textPlace('body', 'Subtitle', 'subtitle', body, { prompt: 'Who speaks, at what' }),
    textPlace('', 'Date', 'small', { ...last, width: last.width * 0.6 }, { field: 'date', vertical: 'bottom' }),
    {
      kind: 'picture',
      placeholder: '',
      name: 'Logo',
      logo: true,
      box: { ...last, x: last.x + last.width * 0.64, width: last.width * 0.36, angle: 0 },
    },
  ]
}

const titleWith = (placing: Placing, label: string, finds: string): LayoutFamily => ({
  name: `title-${placing}`,
  label,
  senses: ['opening', 'chapter', 'next'],
  finds: `opening cover chapter closing picture photo presenter date event logo ${finds}`,
  bare: true,
  content: 'lines',
  best: [0, 2],
  closesTo: 'title',
  places: room => placesOf(placing, room),
})

/** Titles, chapters and closings with a picture in five places, and room for who speaks, the date and the logo. */
export const titlesWithPicture: readonly LayoutFamily[] = [
  titleWith('whole', 'Title on a picture', 'whole full background'),
  titleWith('left', 'Title, picture at the left', 'left third'),
  titleWith('right', 'Title, picture at the right', 'right third'),
  titleWith('top', 'Title, picture above', 'top above upper half'),
  titleWith('bottom', 'Title, picture below', 'bottom below lower half'),
]
