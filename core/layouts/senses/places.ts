import { counted } from './features'
import type { SenseReader } from './sense'

const where =
  /\b(?:where|places?|locations?|sites?|map|stops?|stations?|routes?|berths?|piers?|quays?|directions|find us|wo|orte?|standorte?|haltestellen?|karte|lageplan|anfahrt|stationen|où|lieux?|sites?|plan d.accès|arrêts?|carte|emplacements?)\b/
const spots =
  /\b(?:quay|pier|berth|hall|gate|street|road|square|harbour|island|bridge|station|north|south|east|west|floor|door|entrance|car park|kai|anleger|halle|tor|straße|platz|hafen|insel|brücke|bahnhof|nord|süd|ost|west|stock|eingang|parkplatz|quai|jetée|porte|rue|place|port|île|pont|gare|nord|sud|est|ouest|étage|entrée|parking)\b/i

export const places: SenseReader = {
  sense: 'places',
  read: ({ count, title, top, under, dated, figured }) => {
    if (count < 2 || dated > 0.5) return null
    const spotted = top.filter((line, index) => spots.test(line) || under[index]!.some(sub => spots.test(sub))).length / count
    if (where.test(title) && spotted >= 0.4)
      return { score: 0.9, reason: `The title asks where, and ${counted(count, 'line', false)} name places.` }
    if (where.test(title) && figured < 0.5) return { score: 0.7, reason: 'The title asks where. The lines could be places.' }
    return spotted >= 0.75 ? { score: 0.6, reason: 'Most lines name a place.' } : null
  },
}
