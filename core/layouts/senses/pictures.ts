import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const file = /\.(?:jpe?g|png|webp|avif|gif|svg)\b/
const seen = wordsOf(
  'photos?|photographs?|pictures?|images?|gallery|views? (?:of|from)|seen from|impressions (?:of|from)|fotos?|bilder?|aufnahmen?',
  'ansichten|eindrücke|galerie|vues? (?:de|du|depuis).*|imágenes|vistas de.*|immagini|foto|imagens|beelden|foto.s|foton|billeder',
  'zdjęcia',
)

export const pictures: SenseReader = {
  sense: 'pictures',
  read: ({ all, title, count }) => {
    if (file.test(all)) return { score: 0.95, reason: 'A picture is named. It has a place there.' }
    if (seen.test(title)) return { score: count <= 6 ? 0.88 : 0.6, reason: 'The title speaks of pictures. They have places there.' }
    return seen.test(all) ? { score: 0.6, reason: 'A picture is spoken of. It has a place there.' } : null
  },
}
