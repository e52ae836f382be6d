/** Maps that are there from the beginning (Natural Earth), by the ids of the tables that hold their outlines. */
export const shippedMaps = [
  { id: 'world-50', label: 'The world', of: 'countries', grain: '50m', decimals: 2 },
  { id: 'world-110', label: 'The world, plain outlines', of: 'countries', grain: '110m', decimals: 2 },
  { id: 'world-10', label: 'The world, fine outlines', of: 'countries', grain: '10m', decimals: 3 },
  { id: 'land-50', label: 'Land without borders', of: 'land', grain: '50m', decimals: 2 },
  { id: 'land-110', label: 'Land without borders, plain', of: 'land', grain: '110m', decimals: 2 },
  { id: 'land-10', label: 'Land without borders, fine', of: 'land', grain: '10m', decimals: 3 },
] as const
export type ShippedMap = (typeof shippedMaps)[number]

/** The map that a chart of countries begins with. */
export const usualMap = shippedMaps[0].id

export const shippedMapOf = (id: string): ShippedMap | undefined => shippedMaps.find(map => map.id === id)
