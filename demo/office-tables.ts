import type { Step } from '../core/steps'
import { cargo, harbourMap, seasonCards, stopPlaces } from './harbour-map'
import { seeded } from '../core/values'

/** A table as an office leaves it: a file with all that stands around and between its rows. */
export interface OfficeTable {
  id: string
  fileName: string
  text: string
}

const stops = [
  ['Quill Quay', '0041', '03/04/2031', '(1.240,50 €)', '96 %', '1:05', 'ja', '2 010'],
  ['Astrel North', '0042', '05/04/2031', '8.910,00 €', '94 %', '0:50', 'ja', '1 655'],
  ['Harrow Town', '0107', '05/04/2031', '12.402,25 €', '91 %', '1:40', 'ja', '1 790'],
  ['Saltworks', '0043', '11/04/2031', '6.180,00 €', '97 %', '0:35', 'nein', '1 405'],
  ['Lantern Pier', '0061', '05/04/2031', '7.344,50 €', '89 %', '1:25', 'nein', '1 290'],
  ['Cordmarket', '0044', '12/04/2031', '21.015,00 €', '93 %', '0:30', 'nein', '1 020'],
  ['Old Slip', '0062', '03/04/2031', '3.402,75 €', '..', '0:25', 'nein', '812'],
  ['Fairhaven Steps', '0045', '09/04/2031', '5.670,00 €', '92 %', '0:55', 'nein', '764'],
  ['Bellhouse', '0046', '10/04/2031', '4.112,50 €', '95 %', '0:45', 'nein', '690'],
  ['Sandgate', '0112', '05/04/2031', '(980,00 €)', '88 %', '1:10', 'nein', '455'],
  ['Marsh Landing', '0108', '08/04/2031', '2.316,00 €', '', '1:25', 'nein', '388'],
  ['Low Sands', '0113', '11/04/2031', '', '79 %', '1:15', 'nein', '361'],
] as const

const boardings = (without = -1) =>
  [
    'Boardings by stop, spring 2031;;;;;;;',
    'Source: quay desks, counted by hand;;;;;;;',
    ';;;;;;;Spring',
    'stop;code;first sailing;takings;on time;crossing;night boat;boardings',
    ...stops.map(cells => cells.join(';')),
    'Total;;;69.132,50 €;;;;12 640',
  ]
    .map(line => (without < 0 ? line : line.split(';').toSpliced(without, 1).join(';')))
    .join('\n')

/** Years across, with their sums both ways. */
function crossingsByYear(): string {
  const random = seeded(77)
  const years = [2026, 2027, 2028, 2029, 2030, 2031]
  const rows = ['Astrel', 'Quill', 'Low Sands', 'Port Harrow'].map((route, index) => {
    const amounts = years.map((_, year) => Math.round((4200 - index * 700) * (1 + 0.05 * year) * (0.96 + random() * 0.08)))
    return [route, ...amounts, amounts.reduce((sum, amount) => sum + amount, 0)]
  })
  const sums = ['Total', ...Array.from({ length: years.length + 1 }, (_, at) => rows.reduce((sum, row) => sum + Number(row[at + 1]), 0))]
  return [['route', ...years, 'Total'], ...rows, sums]
    .map(row => row.map(cell => (Number(cell) > 2100 ? `"${Number(cell).toLocaleString('en')}"` : cell)).join(','))
    .join('\n')
}

/** Passengers of each route by season; the night boat begins in 2025. */
const byRoute: Readonly<Record<string, readonly number[]>> = {
  Astrel: [34_210, 57_480, 64_120, 66_340, 65_870, 66_020, 65_110, 64_050, 62_930, 61_940],
  Quill: [24_060, 39_750, 47_310, 56_180, 62_490, 68_020, 72_260, 80_410, 89_130, 98_220],
  'Port Harrow': [21_330, 33_870, 38_920, 40_310, 42_760, 44_050, 45_180, 46_020, 46_840, 47_290],
  'Low Sands': [12_040, 18_660, 22_310, 29_740, 37_080, 40_120, 43_390, 50_260, 55_410, 60_170],
  'Night boat': [10_450, 18_930, 22_140, 25_320, 35_060, 44_280, 50_790],
}
const routesBySeason = [
  'Passengers by route and season,,',
  'season,route,passengers',
  ...Object.entries(byRoute).flatMap(([route, amounts]) => amounts.map((amount, at) => `${2032 - amounts.length + at},${route},${amount}`)),
].join('\n')

const fares = `Fares from 2 April 2031

ticket;zone;fare;valid from
Single;1;€2,40;02.04.2031
Single;2;€3,80;02.04.2031
Day ticket;1;€6,00;02.04.2031
Day ticket;2;€9,50;02.04.2031
Ten crossings;1;€19,00;15.04.2031
Ten crossings;2;€31,00;15.04.2031
Bicycle;1;€1,20;02.04.2031
Bicycle;2;€1,20;02.04.2031

* children under six travel free`

const punctuality = `month,sailings,on time (%),longest delay (min)
October 2030,"1,204",94.1,35
November 2030,"1,112",91.6,52
December 2030,"1,048",88.9,74
January 2031,"1,020",87.4,n/a
February 2031,996,90.2,41
March 2031,"1,150",93.8,38`

const sailings = `departure\tto\tpier\tvessel\tbicycles
06:15\tAstrel\tA\tSandpiper\tyes
06:40\tQuill\tB\tKittiwake\tyes
07:05\tLow Sands\tC\tTern\tno
07:30\tAstrel\tA\tGannet\tyes
08:10\tPort Harrow\tD\tCormorant\tyes
08:45\tQuill\tB\tKittiwake\tyes
17:40\tLow Sands\tC\tTern\tno`

const tides = `day,high water,height (m),low water,height (m)
2031-04-01,04:12,4.31,10:25,0.82
2031-04-02,04:58,4.46,11:10,0.71
2031-04-03,05:41,4.52,11:53,0.66
2031-04-04,06:22,4.49,12:34,0.69
2031-04-05,07:03,4.37,13:14,0.80`

const shores = ['west', 'west', 'north', 'west', 'east', 'west', 'east', 'west', 'west', 'north', 'north', 'north']
const stopsAndShores = ['stop,shore,piers', ...stops.map(([stop], at) => `${stop},${shores[at]} shore,${1 + ((at * 7) % 3)}`)].join('\n')

/** What the counters at the stops say of each day of two springs; one of them was broken for a while. */
function boardingsByDay(): string {
  const random = seeded(31)
  const lines = ['day;stop;boardings;waiting (min)']
  for (const year of [2030, 2031])
    for (let day = 0; day < 92; day++) {
      const at = new Date(Date.UTC(year, 2, 1 + day))
      const weekend = [0, 6].includes(at.getUTCDay()) ? 1.35 : 1
      for (const [index, [stop]] of stops.entries()) {
        const isBroken = stop === 'Old Slip' && year === 2031 && day > 40 && day < 47
        const riders = Math.round((190 - index * 13) * weekend * (1 + day / 260) * (year === 2031 ? 1.09 : 1) * (0.85 + random() * 0.3))
        lines.push(`${at.toISOString().slice(0, 10)};${stop};${isBroken ? 'n/a' : riders};${(2 + random() * 6).toFixed(1)}`)
      }
    }
  return lines.join('\n')
}

const survey = `Passenger survey, April 2031,,,,,
"How content are you with …",,,,,
,very,rather,neither,rather not,not at all
the crew,61%,29%,6%,3%,1%
punctuality,38%,34%,14%,10%,4%
the piers,27%,41%,18%,10%,4%
fares,14%,33%,26%,18%,9%
room for bicycles,19%,27%,21%,22%,11%`

const budget = `Budget 2031 (thousand €),,,,
,2030,,2031,
item,planned,spent,planned,spent
Vessels and fuel,"4,210","4,388","4,450","1,702"
Crew,"3,905","3,871","4,120","1,398"
Piers,"1,260","1,144","1,980",612
Tickets and fares,415,402,430,131
Night boat,0,36,610,204
Total,"9,790","9,841","11,590","4,047"`

const crewHours = `week,crew,hours,sick days
2031-W10,Sandpiper,162:30,2
2031-W10,Kittiwake,158:00,0
2031-W10,Tern,141:15,1
2031-W11,Sandpiper,159:45,0
2031-W11,Kittiwake,163:30,1
2031-W11,Tern,147:00,0
2031-W12,Sandpiper,166:00,0
2031-W12,Kittiwake,151:30,3
2031-W12,Tern,149:15,0`

/** The tables that the harbour's office keeps. */
export const officeTables = (): readonly OfficeTable[] => [
  { id: 'demo-boardings', fileName: 'boardings-2031.csv', text: boardings() },
  { id: 'demo-by-year', fileName: 'crossings-by-year.csv', text: crossingsByYear() },
  { id: 'demo-routes-by-season', fileName: 'routes-by-season.csv', text: routesBySeason },
  { id: 'demo-fares', fileName: 'fares.csv', text: fares },
  { id: 'demo-on-time', fileName: 'punctuality-by-month.csv', text: punctuality },
  { id: 'demo-departures', fileName: 'sailings-today.tsv', text: sailings },
  { id: 'demo-tides', fileName: 'tides.csv', text: tides },
  { id: 'demo-stops', fileName: 'stops-and-shores.csv', text: stopsAndShores },
  { id: 'demo-by-day', fileName: 'boardings-by-day.csv', text: boardingsByDay() },
  { id: 'demo-survey', fileName: 'survey-april.csv', text: survey },
  { id: 'demo-budget', fileName: 'budget-2031.csv', text: budget },
  { id: 'demo-crew', fileName: 'crew-hours.csv', text: crewHours },
  { id: 'demo-parishes', fileName: 'harbour-parishes.geojson', text: harbourMap() },
  { id: 'demo-cards', fileName: 'season-cards.csv', text: seasonCards },
  { id: 'demo-stop-places', fileName: 'stops-on-the-map.csv', text: stopPlaces },
  { id: 'demo-cargo', fileName: 'cargo-by-country.csv', text: cargo },
]

/** The next version of the boardings, in which somebody left a column out. */
export const boardingsWithoutStops = (): OfficeTable => ({ id: 'demo-boardings', fileName: 'boardings-2031-april.csv', text: boardings(0) })

/** How the boardings of each day become those of each shore and month. */
export const boardingsByShore: readonly Step[] = [
  { kind: 'keep', column: 'day', test: 'at-least', values: ['2031'] },
  { kind: 'join', table: 'demo-stops', by: 'stop', to: 'stop', add: ['shore'] },
  { kind: 'coarser', of: 'day', name: 'month', to: 'month' },
  { kind: 'group', by: ['shore', 'month'], measure: 'sum', of: ['boardings'] },
  { kind: 'share', of: 'boardings', name: 'share', each: ['month'] },
]
