/**
 * Outlines on a map: read from files, kept as words, found by name and laid flat.
 *
 * @example
 * import { placeFinder, readWkt, writeWkt } from 'core/maps'
 *
 * writeWkt({ type: 'Point', coordinates: [-31.2, 47.05] }) // → 'POINT(-31.2 47.05)'
 * placeFinder([['Norway', 'NO'], ['Sweden', 'SE']]).find('Norwegen') // → 0
 */
export * from './camera'
export * from './countries'
export * from './geojson'
export * from './lookup'
export * from './plain-name'
export * from './plane'
export * from './positions'
export * from './projections'
export * from './shipped'
export * from './simplify'
export * from './wkt'
export * from './wound'
