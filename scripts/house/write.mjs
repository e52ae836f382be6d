import fs from 'node:fs'
import { drawHouse } from './draw.mjs'
import { readHouse } from './graph.mjs'

/** Draws the graph of rooms into docs/house.svg. */
fs.writeFileSync('docs/house.svg', drawHouse(readHouse(process.cwd())))
