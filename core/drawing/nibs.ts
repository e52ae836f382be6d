/** What a hand draws with, seen from above: its point lies at 0 0, it leans up to the right. */
export interface Nib {
  name: string
  label: string
  /** Outlines in px of deck space, from back to front, with the colours that fill them. */
  parts: readonly { d: string; fill: string }[]
}

const barrel = (from: number, to: number, half: number) => `M${from} ${-half}L${to} ${-half}L${to} ${half}L${from} ${half}Z`

/** Made along the level axis, then leant by the stage. */
const pencil = [
  { d: barrel(34, 190, 9), fill: '#2f7f9a' },
  { d: barrel(34, 190, 3), fill: '#4a9ab4' },
  { d: barrel(190, 204, 9), fill: '#c9d3d4' },
  { d: barrel(204, 218, 8), fill: '#d98b7c' },
  { d: 'M0 0L34 -9L34 9Z', fill: '#ecd2a4' },
  { d: 'M0 0L11 -3L11 3Z', fill: '#26333a' },
]
const pen = [
  { d: barrel(46, 210, 11), fill: '#1d2a2f' },
  { d: barrel(46, 58, 11), fill: '#c9a24a' },
  { d: 'M0 0C16 -3 30 -10 46 -9L46 9C30 10 16 3 0 0Z', fill: '#c9d3d4' },
  { d: 'M0 0L28 -0.8L28 0.8Z', fill: '#40555b' },
]
const brush = [
  { d: 'M62 -9C110 -15 170 -8 240 -3L240 3C170 8 110 15 62 9Z', fill: '#8a5a34' },
  { d: barrel(40, 64, 10), fill: '#c9d3d4' },
  { d: 'M0 0C10 -10 26 -12 42 -10L42 10C26 12 10 10 0 0Z', fill: '#3a2a22' },
]
const chalk = [
  { d: 'M2 -6L96 -11C102 -11 102 11 96 11L2 9C-3 6 -3 -3 2 -6Z', fill: '#f4f1e8' },
  { d: 'M60 -10L96 -11C102 -11 102 11 96 11L60 10Z', fill: '#e2dccb' },
]
const marker = [
  { d: barrel(52, 190, 17), fill: '#12615c' },
  { d: barrel(38, 52, 13), fill: '#0b4643' },
  { d: 'M0 -2L12 -9L38 -9L38 9L6 9Z', fill: '#40555b' },
]
/** A fist about a pencil: the sleeve, the back of the hand, the fingers that lie round the barrel, the thumb. */
const hand = [
  { d: 'M196 22C262 30 330 44 420 92L420 214C330 190 250 150 190 118Z', fill: '#12615c' },
  { d: 'M186 26C204 20 222 26 226 40C222 74 212 100 196 122C180 122 170 112 172 98Z', fill: '#fbfcfa' },
  ...pencil,
  { d: 'M66 14C84 6 116 -14 146 -16C178 -18 204 6 204 44C204 86 188 116 160 116C130 116 106 96 90 70C80 56 60 30 66 14Z', fill: '#d9a47c' },
  { d: 'M58 -4C74 -16 104 -22 116 -12C122 -4 112 6 98 10C82 16 62 18 56 10C52 4 52 0 58 -4Z', fill: '#e2b08a' },
  { d: 'M66 18C82 12 108 8 116 18C120 28 108 36 94 38C80 40 66 38 62 30C60 24 62 20 66 18Z', fill: '#cf9a72' },
  { d: 'M80 42C94 36 116 34 122 44C124 54 112 62 100 62C88 62 78 58 76 52C75 47 76 44 80 42Z', fill: '#c68f68' },
  { d: 'M98 66C108 62 124 60 128 68C130 76 122 84 112 84C102 84 95 78 94 74C94 70 95 68 98 66Z', fill: '#bd8660' },
]

/** What can be held, in the order in which it is offered. */
export const nibs: readonly Nib[] = [
  { name: 'none', label: 'Nothing', parts: [] },
  { name: 'hand', label: 'A hand with a pencil', parts: hand },
  { name: 'pencil', label: 'A pencil', parts: pencil },
  { name: 'pen', label: 'A fountain pen', parts: pen },
  { name: 'brush', label: 'A brush', parts: brush },
  { name: 'chalk', label: 'A piece of chalk', parts: chalk },
  { name: 'marker', label: 'A marker', parts: marker },
]

const byName = new Map(nibs.map(nib => [nib.name, nib]))

/** What a hand holds, by name; what this version does not know is nothing. */
export const nibNamed = (name: string): Nib => byName.get(name) ?? nibs[0]!
