import { counted } from './features'
import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const where = wordsOf(
  'where|places?|locations?|sites?|map|stops?|stations?|berths?|piers?|quays?|directions|find us|wo|orte?|standorte?',
  'haltestellen?|karte|lageplan|anfahrt|stationen|anleger|où|lieux?|plan d.accès|arrêts?|carte|emplacements?|dónde|lugares?',
  'paradas?|mapa|dove|luoghi|fermate|mappa|onde|paragens|waar|plaatsen|haltes|kaart|var|platser|hållplatser|hvor|steder',
  'stoppesteder|gdzie|miejsca|przystanki',
)
const spots = wordsOf(
  'quay|pier|berth|hall|gate|street|road|square|harbour|island|bridge|station|school|north|south|east|west|floor|door|entrance',
  'car park|kai|anleger|halle|\\p{L}*tor|\\p{L}*straße|\\p{L}*platz|hafen|insel|brücke|bahnhof|nord|süd|ost|stock|eingang',
  'parkplatz|quai|jetée|porte|rue|place|port|île|pont|gare|sud|est|ouest|étage|entrée|parking|calle|plaza|puerta|muelle|estación',
  'puente|norte|sur|via|piazza|porta|molo|stazione|ponte|rua|praça|cais|estação|\\p{L}*straat|plein|\\p{L}*poort|brug',
  '\\p{L}*gatan?|torget|bron|\\p{L}*gade|plads|ulica|plac|brama|dworz\\p{L}+',
)

export const places: SenseReader = {
  sense: 'places',
  read: ({ count, title, top, under, dated, figured }) => {
    if (count < 2 || dated > 0.5) return null
    const spotted = top.filter((line, index) => spots.test(line) || under[index]!.some(sub => spots.test(sub))).length / count
    if (where.test(title) && spotted >= 0.4)
      return { score: 0.9, reason: `The title asks where, and ${counted(count, 'line', false)} name places.` }
    if (where.test(title) && figured < 0.5 && spotted > 0) return { score: 0.7, reason: 'The title asks where. The lines could be places.' }
    return spotted >= 0.75 ? { score: 0.6, reason: 'Most lines name a place.' } : null
  },
}
