import { abstractPictures } from './abstract'
import { peopleAtWork } from './at-work'
import { stillLifes } from './still-lifes'
import type { DrawnPicture } from './strokes'
import { texturePictures } from './textures'
import { townViews } from './town'

/**
 * Series of pictures that are fit to be grounds of slides, drawn by computation and always the same: adding one is a file and a line.
 */
export const drawnSeries = (): DrawnPicture[] =>
  [stillLifes, townViews, peopleAtWork, abstractPictures, texturePictures].flatMap(series => series())
