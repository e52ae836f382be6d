import type { Palette } from './palette'
import { heldPalette } from './readable'

/** A palette that ships: its name, what it is called, and whether its ground is light or dark. */
export interface Scheme {
  name: string
  label: string
  ground: 'light' | 'dark'
  palette: Palette
}

/** Name, label, then ground, ink and the six accents (#rrggbb without #); the link follows from the first accent. */
const rows: readonly (readonly [name: string, label: string, colors: string])[] = [
  ['quayside', 'Quayside', 'f4f7f5 15262b 1f5f6b e6a037 12615c 7d4a78 8b8a2c c34d3b'],
  ['lighthouse', 'Lighthouse', 'fbf7f2 2a1f1d b23a2e f0b84a 1f4e63 6f7f3a d97a4a 5b4a6f'],
  ['night-boat', 'Night boat', '0e1a2b e9eef6 5aa9e6 f2b84b 7fd1c7 c79be0 e8836b b7c95a'],
  ['lantern', 'Lantern', '1d1410 f7ead8 f0a43c e4683f d9c27a 8fb59a c98bb0 7aa5c9'],
  ['chart-room', 'Chart room', 'f6f1e4 23303a 2c5f7c b8743a 4f7a5b 8a4b57 c9a23f 5d5a86'],
  ['morning-mist', 'Morning mist', 'eef2f4 243038 4d7c8a c98b6b 7a9e87 8f7aa8 d2b45a b0606a'],
  ['signal-flags', 'Signal flags', 'ffffff 14181f c8102e 0b57a4 f2b705 117a4b e8590c 5f3d8c'],
  ['driftwood', 'Driftwood', 'f3eee7 33291f 7a5c3e a9824f 5f7161 94554a c3a76d 516478'],
  ['blueprint', 'Blueprint', '10305a eaf2fb 8fc4ff ffd166 7ee0c3 ff9e7a c7b3ff d6e36b'],
  ['storm-warning', 'Storm warning', '1c1f26 f4f5f7 ff7a45 ffd23f 6fb7d9 e0556a a7c957 b99cf0'],
  ['low-tide', 'Low tide', 'f1f4ec 2a332b 5e7d5a c2a24a 3f6f78 9a6b4c 8b9d3f 7c5a78'],
  ['high-tide', 'High tide', 'eaf4f6 0f2c3a 0f6e8c f08a4b 1f8a70 6a5acd d9b43a b8475c'],
  ['fog-horn', 'Fog horn', 'ececea 26282b 5a6169 c7762e 7d8a6a 8c5f6a b59a4a 4a6f8a'],
  ['red-buoy', 'Red buoy', 'fff8f5 2b1614 c6322b 2f6f8f e3a12f 4d7d4e 8b4a8a 6b5b4b'],
  ['green-buoy', 'Green buoy', 'f5faf5 13261a 1e7a46 e09b2d 2b6c8c a34a3e 6f5fa6 8f8a2f'],
  ['salt', 'Salt', 'ffffff 1b1f24 1f4f7a d1495b edae49 00798c 66a182 6b4e71'],
  ['tar', 'Tar', '161616 f2f0ec e3b23c cf5c36 7fa99b 8ea4d2 c98ca7 a3b18a'],
  ['rope', 'Rope', 'f7f0e3 2f2618 9a6b2f 4b6f6b b5523b 7b7f3a d1a85a 5f557a'],
  ['kelp', 'Kelp', 'eef3ea 1d2b20 2f6b4f a3b04a c88a3d 2a6f7f 8a5a3f 6d4f7c'],
  ['mussel', 'Mussel', 'f2f2f7 1e2036 3d3f7a 8f6bb0 c8a04f 3f7f8c b25a72 6f8a4a'],
  ['oyster', 'Oyster', 'f5f3ef 2d2c2e 7a7480 a08c6f 5f8a8b b06f6a 8f9a5b 6a6fa0'],
  ['copper-hull', 'Copper hull', 'fbf4ee 2b1f19 a4532a 2f7a6f d99b45 4f5f8a 8a3f52 7d8a3c'],
  ['iron-bridge', 'Iron bridge', 'eff1f3 1f262d 38495a b5502f d7a13a 4d7f73 7a5a83 5f8ab0'],
  ['sail-cloth', 'Sail cloth', 'fcfaf4 242a33 26547c ef476f ffd166 06a77d 7c6a9c c46d3b'],
  ['spinnaker', 'Spinnaker', 'fffdfa 1a1a2e e4572e 17bebb ffc914 76b041 5b3b8c 2e6fb7'],
  ['midnight-watch', 'Midnight watch', '0a0f1f e6ebf7 7aa2ff ff9e64 9ece6a bb9af7 e0af68 73daca'],
  ['engine-room', 'Engine room', '20201d f3f1e8 f29f05 d95204 8fb8a8 b9c06a d98e8e 8fa8d0'],
  ['bell-tower', 'Bell tower', 'f8f4ef 30231f 7f3b2c c58b3b 3f5f52 5a4f7c a86a4a 4d7f99'],
  ['orchard', 'Orchard', 'fbf9f0 26301f 5c7a2e c2452d e0a83a 3f6f8a 8f5a86 a0763f'],
  ['meadow', 'Meadow', 'f6faee 22301f 4f8a3c e3b23c d96a4a 3a7ca5 9a5fa0 7d6a3a'],
  ['heather', 'Heather', 'f7f3f8 2a2233 7a4f8f b57ba6 5f7f6a d09a4a 4f6fa0 a84f5f'],
  ['gorse', 'Gorse', 'fdfaeb 2b2a16 b08900 5f7a2f c4572f 2f6f78 7a5a8f 8f6a3c'],
  ['slate-roof', 'Slate roof', 'eef0f2 20262e 465a6f 8a9bb0 c07f3f 5f8a7a a0525f 7f7aa8'],
  ['brick-quay', 'Brick quay', 'fbf3ef 2c1d19 9c4030 cf8a5a 4f6a6f 7f8a4a 5f4f7f d0a850'],
  ['ice-breaker', 'Icebreaker', 'eef6fb 0f2433 0b6fa4 4fb3bf e07a3f 5f6fb0 9ab83f b0486a'],
  ['aurora', 'Aurora', '0c1822 e8f3f1 5fe0b0 8f9bff ffcb6b ff8fa3 6fc3ff c3e88d'],
  ['polar-night', 'Polar night', '131a26 e9edf4 88c0d0 ebcb8b a3be8c d08770 b48ead 81a1c1'],
  ['sun-deck', 'Sun deck', 'fffaf0 2e241a e07b1f 1f7a8c f2b632 c2413b 6f8f3a 7a5590'],
  ['terrace', 'Terrace', 'faf5f0 302620 b8623f 6f8a6a d9a860 4f6f8f 8f4f60 a08a3f'],
  ['market', 'Market', 'fffcf5 231f20 d7263d f46036 2e8b57 1b6ca8 f0c808 7b4b94'],
  ['paper-boat', 'Paper boat', 'ffffff 22252a 3a6ea5 f28482 84a98c f6bd60 6d597a 457b9d'],
  ['ink-well', 'Inkwell', 'fbfbf8 111418 22333b 5e503f a9927d 7f9172 a44a3f 3f6c88'],
  ['chalk', 'Chalk', '24302b f2f4ec f4d35e ee964b 9ad1c5 d8a7c9 c5d86d 8fb8de'],
  ['black-board', 'Blackboard', '1e2622 eef1ea e9c46a f4a261 a7c4a0 e5989b 90b8d8 d6c9a0'],
  ['museum', 'Museum', 'f4f2ee 1f1d1b 5b3a29 94703f 39595a 7b3f4a 8a8a55 4a4f73'],
  ['clinic', 'Clinic', 'f7fbfc 12303a 007c89 4cae9e f29f58 5573b5 c8566b 93a83c'],
  ['school', 'School', 'fffdf4 1f2a44 2b59c3 f9a03f d36582 4f9d69 8e5ea2 c9b037'],
  ['library', 'Library', 'f8f3ea 2a2119 6b2d2a 34546b a9803f 52704f 7a5c7f b56a45'],
  ['playground', 'Playground', 'ffffff 1d2233 ff5a5f 2aa9b8 ffc145 5b8c3a 8367c7 f07f3c'],
  ['council', 'Council', 'f8f9fb 182433 1d3f72 8a1c32 b58a2e 2f6f5e 5a4a8a 6d7783'],
  ['railway', 'Railway', 'f6f4f0 201f24 8c1c13 1f4a5f d7a021 3f6b4a 5f4b66 a5673f'],
  ['theatre', 'Theatre', '1b1016 f6ebe6 e0a96d c8455a 8fa6cb b8c48a d68fb3 7fc0b0'],
  ['observatory', 'Observatory', '101425 eceef8 9db4ff f7c873 ff9aa2 8fe0d0 c9a7f5 d9e076'],
  ['greenhouse', 'Greenhouse', 'f3f8f1 17281c 2d6a4f 74a57f d8a047 bc4b51 5b7bb0 8a6b9a'],
  ['ferry-stripe', 'Ferry stripe', 'fcfcfb 17242b 184e57 8c3028 e2983a 3f7a9a 6f8a3c 7a527c'],
  ['plain', 'Plain', 'ffffff 1c1c1c 404040 7a7a7a a67c00 00696f 8a2f2f 3d4f8a'],
]

const luminance = (hex: string) => [1, 3, 5].reduce((sum, at) => sum + Number.parseInt(hex.slice(at, at + 2), 16), 0)

/** The schemes that ship, each held so that its text can be read. */
export const schemes: readonly Scheme[] = rows.map(([name, label, colors]) => {
  const [ground, ink, accent1, accent2, accent3, accent4, accent5, accent6] = colors.split(' ').map(color => `#${color}`) as [
    string,
    string,
    string,
    string,
    string,
    string,
    string,
    string,
  ]
  return {
    name,
    label,
    ground: luminance(ground) > luminance(ink) ? 'light' : 'dark',
    palette: heldPalette({ ground, ink, accent1, accent2, accent3, accent4, accent5, accent6, link: accent1 }),
  }
})

export const schemeNamed = (name: string) => schemes.find(scheme => scheme.name === name)
