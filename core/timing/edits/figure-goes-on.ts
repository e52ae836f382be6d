import { putRecord, elementsOf, slidesOf, type Change, type Deck, type EditContext, type FigureElement } from '../../model'
import { shownElement } from '../../resolved'
import { orderLast, type Id } from '../../values'
import { poses } from '../../figures'
import { compileSlide } from '../compile'
import { frameAt, lastMoment } from '../frame'
import type { TimingContext } from '../context'

const round = (value: number) => Math.round(value * 10) / 10

/**
 * Puts a figure on the slide that follows, at the place and in the pose in which its own slide leaves it; it is there as that
 * slide opens. Nothing where no slide follows, or where it has gone out before. The figure's id is the first one asked for.
 */
export function figureGoesOn(deck: Deck, input: { figure: Id }, context: EditContext & TimingContext): Change[] {
  const figure = shownElement(deck, input.figure)
  const slides = slidesOf(deck).filter(slide => !slide.skipped)
  const next = figure && slides[slides.findIndex(slide => slide.id === figure.owner) + 1]
  if (figure?.kind !== 'figure' || !deck.slides[figure.owner] || !next) return []
  const score = compileSlide(deck, figure.owner, context)
  const frame = frameAt(score, lastMoment(score)).elements.get(figure.id)
  if (frame && !frame.whole.visible) return []
  const { box, pinned: _, placeholder: __, parent: ___, ...rest } = figure
  const { x = 0, y = 0, scaleX = 1, scaleY = 1, rotate = 0 } = frame?.whole ?? {}
  const [width, height] = [box.width * scaleX, box.height * scaleY]
  const pose = frame?.figure?.pose.name ?? figure.pose
  const record: FigureElement = {
    ...rest,
    id: context.id(),
    owner: next.id,
    order: orderLast(elementsOf(deck, next.id)),
    pose: poses.some(known => known.name === pose) ? pose : figure.pose,
    box: {
      x: round(box.x + x + (box.width - width) / 2),
      y: round(box.y + y + (box.height - height) / 2),
      width: round(width),
      height: round(height),
      angle: box.angle + rotate,
    },
  }
  return [putRecord('elements', record)]
}
