import { z } from 'zod'
import { choosePictures } from '../../../core/pictures'
import { readAs, requireEditor } from '../../access'
import { allMedia } from '../../database/media'
import { englishFor } from '../../icons/shipped'
import { kindOfMedia } from '../../media/find'

const input = z.object({
  /** What is said beside each of several empty places, whether a portrait belongs there, and the place's width over its height. */
  places: z.array(z.object({ words: z.string().max(1000), person: z.boolean(), shape: z.number().min(0.01).max(100) })).max(120),
  language: z.string().max(35).default('en'),
})
/** So many are told of each place; pictures with a shorter side are too small for a slide. */
const [most, least] = [12, 200]

/** Pictures of the team for each place, by what is said beside it, best first; none where none says anything of it. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const { places, language } = readAs(input, await readBody(event))
  const library = (await allMedia()).flatMap(item => {
    const { hash, name, tags, folder, width, height } = item
    const isPicture = kindOfMedia(item) === 'picture' && width && height && Math.min(width, height) >= least
    return isPicture ? [{ hash, name, tags, folder, width, height }] : []
  })
  const found = choosePictures(library, places, await englishFor(language))
  return { places: found.map(list => list.slice(0, most).map(({ hash, name, width, height }) => ({ hash, name, width, height }))) }
})
