import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import type { FeatureCollection } from 'geojson'
import { feature } from 'topojson-client'
import type { Topology } from 'topojson-specification'
import type { DataTable } from '../../core/data'
import { countryNumbered, shippedMapOf, writeWkt, type Outline, type ShippedMap } from '../../core/maps'

/** The topology of a shipped map, from the package that brings it. Where that stands is known once the server has begun. */
const topologyOf = async ({ of, grain }: ShippedMap) =>
  JSON.parse(await readFile(createRequire(import.meta.url).resolve(`world-atlas/${of}-${grain}.json`), 'utf8')) as Topology

const english = new Intl.DisplayNames('en', { type: 'region', fallback: 'none' })
/** What a country is called in full; files shorten it. */
const nameOf = (code: { two: string } | undefined, name = 'Land') => (code && english.of(code.two)) ?? name

/** Land is one outline in the file, and one of each island here: a cell does not hold all of it. */
const partsOf = (outline: Outline, of: ShippedMap['of']): Outline[] =>
  of === 'land' && outline.type === 'MultiPolygon' ? outline.coordinates.map(coordinates => ({ type: 'Polygon', coordinates })) : [outline]

/** The places of a shipped map as a table: what they are called, their codes (ISO 3166-1), their outlines. */
async function tableOf(map: ShippedMap): Promise<DataTable> {
  const { id, label, of, decimals } = map
  const topology = await topologyOf(map)
  const { features } = feature(topology, topology.objects[of]!) as FeatureCollection<Outline | null, { name?: string } | null>
  const places = features.flatMap(one => (one.geometry ? partsOf(one.geometry, of).map(geometry => ({ ...one, geometry })) : []))
  const taken = new Set<string>()
  const codes = places.map(({ id: number }) => {
    const found = countryNumbered(String(number ?? ''))
    // Of places that share a number, as islands far off do with their country, the first is the country.
    if (!found || taken.has(found.two)) return undefined
    taken.add(found.two)
    return found
  })
  const outline = { name: 'outline', type: 'text' as const, kind: 'outline' as const }
  return {
    id,
    name: label,
    columns: [
      { name: 'name', type: 'text', kind: 'place', values: places.map(({ properties }, at) => nameOf(codes[at], properties?.name)) },
      ...(of === 'countries'
        ? [
            { name: 'code', type: 'text' as const, kind: 'code' as const, values: codes.map(code => code?.two ?? null) },
            { name: 'code of three', type: 'text' as const, kind: 'code' as const, values: codes.map(code => code?.three ?? null) },
          ]
        : []),
      { ...outline, values: places.map(({ geometry }) => writeWkt(geometry, decimals)) },
    ],
  }
}

const made = new Map<string, Promise<DataTable>>()

/** A map that ships with the application, as the table of its outlines; undefined where none has this id. */
export function shippedTable(id: string): Promise<DataTable> | undefined {
  const map = shippedMapOf(id)
  if (!map) return undefined
  let table = made.get(id)
  if (!table) made.set(id, (table = tableOf(map)))
  return table
}
