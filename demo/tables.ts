import type { DataTable } from '../core/data'
import { seeded } from '../core/values'

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const season = [0.32, 0.36, 0.48, 0.62, 0.78, 0.95, 1.25, 1.42, 1.02, 0.7, 0.45, 0.38]
const routes = [
  ['Astrel', 21_400],
  ['Quill', 14_900],
  ['Low Sands', 9_300],
  ['Port Harrow', 17_800],
] as const

/** Passengers by month and route over ten seasons, as 480 rows. */
export function crossings(): DataTable {
  const random = seeded(2031)
  const rows = Array.from({ length: 10 }, (_, year) =>
    months.flatMap((month, index) =>
      routes.map(([route, base]) => {
        const growth = 1 + year * (route === 'Quill' ? 0.07 : route === 'Low Sands' ? 0.01 : 0.035)
        return {
          season: String(2022 + year),
          month,
          route,
          passengers: Math.round(base * season[index]! * growth * (0.94 + random() * 0.12)),
        }
      }),
    ),
  ).flat()
  return {
    id: 'demo-crossings',
    name: 'crossings.csv',
    columns: [
      { name: 'season', type: 'date', grain: 'year', values: rows.map(row => row.season) },
      { name: 'month', type: 'text', values: rows.map(row => row.month) },
      { name: 'route', type: 'text', values: rows.map(row => row.route) },
      { name: 'passengers', type: 'number', values: rows.map(row => row.passengers) },
    ],
  }
}

export function punctuality(): DataTable {
  return {
    id: 'demo-punctuality',
    name: 'punctuality.csv',
    columns: [
      { name: 'route', type: 'text', values: routes.map(([route]) => route) },
      { name: 'on time', type: 'number', values: [0.962, 0.941, 0.987, 0.918] },
    ],
  }
}

export function sailings(): DataTable {
  return {
    id: 'demo-sailings',
    name: 'sailings-today.csv',
    columns: [
      { name: 'route', type: 'text', values: routes.map(([route]) => route) },
      { name: 'sailings', type: 'number', values: [14, 9, 6, 11] },
    ],
  }
}
