import { watchDebounced } from '@vueuse/core'
import { colorMatrix, hexOf, largeTextRatio, shadeFor, textRatio, treatmentOf, type RasterPlace, type Readability } from '#core/color'
import { backdropOf, groundOf, setFields, slideOrStandIn, styleOf, themeOf, type Change, type Element, type Role, type ShownElement, type TextElement } from '#core/deck'
import { boundsOf, boxOf, cropOf, overlap, viewOf } from '#core/place'
import { coversBox } from '#core/shapes'
import { layoutOfElement, linePlaces } from '#core/text'
import type { Layer, ReadableWish } from '../workers/readable'

/** Raster pixels per px of deck space. */
const grain = 0.2
const shrunk = (place: RasterPlace): RasterPlace => ({ x: place.x * grain, y: place.y * grain, width: place.width * grain, height: place.height * grain })

/** Something that would make words readable: shown while it is looked at, kept when it is chosen. */
export interface Remedy {
  name: string
  label: string
  says: string
  /** The fields tried out while it is looked at, by element; of the ground there are none. */
  tries: Readonly<Record<string, Partial<Element>>>
  changes: () => readonly Change[]
}

const bitmaps = new Map<string, Promise<ImageBitmap | null>>()
/** A small copy of a picture, drawn once. */
function bitmapOf(hash: string): Promise<ImageBitmap | null> {
  let made = bitmaps.get(hash)
  if (!made) {
    made = (async () => {
      const image = new Image()
      image.src = `/api/media/${hash}`
      await image.decode()
      const scale = Math.min(1, 480 / Math.max(image.naturalWidth, image.naturalHeight, 1))
      return await createImageBitmap(image, { resizeWidth: Math.max(1, Math.round(image.naturalWidth * scale)), resizeHeight: Math.max(1, Math.round(image.naturalHeight * scale)) })
    })().catch(() => null)
    if (bitmaps.size > 60) bitmaps.clear()
    bitmaps.set(hash, made)
  }
  return made
}

/** How a text can be read on the pictures beneath it, measured on their pixels in a worker, and what would help. */
export function useReadable(text: () => (TextElement & ShownElement) | null) {
  const store = useDeck()
  const stage = useStage()
  const host = useStageHost()
  const found = shallowRef<{ readability: Readability, needed: number, remedies: Remedy[] } | null>(null)
  let worker: Worker | undefined
  let turn = 0

  async function measure() {
    const element = text()
    const deck = stage.deck
    const owner = store.stageId
    const mine = ++turn
    const slide = deck && owner ? slideOrStandIn(deck, owner) : undefined
    if (!element || !deck || !slide) {
      found.value = null
      return
    }
    const under = stage.elements.slice(0, stage.elements.findIndex(other => other.id === element.id))
    const bounds = boundsOf(element.box)
    const pictures = under.filter(other => other.kind === 'picture' && other.media && other.natural && !other.logo && overlap(boundsOf(other.box), bounds))
    const fill = backdropOf(deck, slide).fill
    const onGround = fill?.kind === 'picture'
    if (!pictures.length && !onGround) {
      found.value = null
      return
    }
    const theme = themeOf(deck, slide)
    const { palette } = theme
    const size = stage.size
    const whole = { x: 0, y: 0, width: size.width * grain, height: size.height * grain, angle: 0 }
    const layers: Layer[] = [{ kind: 'fill', color: hexOf(groundOf(deck, slide), palette), box: whole }]
    if (fill?.kind === 'picture') {
      const bitmap = await bitmapOf(fill.media)
      if (bitmap) layers.push({ kind: 'picture', bitmap, box: whole, crop: shrunk(cropOf(fill.natural, size, fill.view ?? { x: 0.5, y: 0.5, zoom: 1 })), matrix: colorMatrix({ colour: fill.colour }, palette), over: fill.veil ? [{ color: hexOf(fill.veil, palette), alpha: fill.veil.alpha ?? 1 }] : [] })
    }
    for (const other of under) {
      const box = { ...shrunk(other.box), angle: other.box.angle }
      if (other.kind === 'picture' && other.media && other.natural && !other.logo) {
        const bitmap = await bitmapOf(other.media)
        const look = treatmentOf(other.treatment, theme.pictures)
        const over = [...(look?.tint ? [{ color: hexOf(look.tint.color, palette), alpha: look.tint.strength }] : []), ...(look?.shade ? [{ color: hexOf(look.shade.color, palette), alpha: look.shade.color.alpha ?? 1, from: look.shade.side, share: look.shade.share }] : [])]
        if (bitmap) layers.push({ kind: 'picture', bitmap, box, crop: shrunk(cropOf(other.natural, other.box, viewOf(other))), matrix: colorMatrix(look, palette), over })
      } else if (other.kind === 'shape' && coversBox(other.shape) && other.fill && !('kind' in other.fill) && (other.fill.alpha ?? 1) > 0.9) layers.push({ kind: 'fill', color: hexOf(other.fill, palette), box })
    }
    const style = styleOf(deck, element)
    const color = hexOf(style.color, palette)
    const layout = layoutOfElement(deck, element, host.host.measurer)
    const needed = style.size * layout.scale >= 48 || (style.size * layout.scale >= 37 && style.weight >= 700) ? largeTextRatio : textRatio
    const panel = element.panel?.fill && !('kind' in element.panel.fill) ? element.panel.fill : null
    // A whole panel is the ground of the words; a half one lies over what is beneath.
    if (panel) layers.push({ kind: 'fill', color: `${hexOf(panel, palette)}${Math.round((panel.alpha ?? 1) * 255).toString(16).padStart(2, '0')}`, box: { ...shrunk(element.box), angle: element.box.angle } })
    const places = linePlaces(element, layout).map(place => ({ ...place, x: element.box.x + place.x, y: element.box.y + place.y }))
    if (!places.length) {
      found.value = null
      return
    }
    const [left, top] = [Math.min(...places.map(place => place.x)), Math.min(...places.map(place => place.y))]
    const words = { x: left, y: top, width: Math.max(...places.map(place => place.x + place.width)) - left, height: Math.max(...places.map(place => place.y + place.height)) - top }
    const picture = pictures.at(-1)
    const around = picture ? boxOf(boundsOf(picture.box)) : { x: 0, y: 0, ...size }
    const margin = Math.min(theme.margin, around.width / 8)
    const roles: Role[] = ['ink', 'ground']
    const wish: ReadableWish = {
      id: mine, width: Math.round(size.width * grain), height: Math.round(size.height * grain), layers, lines: places.map(shrunk), words: shrunk(words), color, needed, over: roles.map(role => palette[role]),
      room: shrunk({ x: around.x + margin, y: around.y + margin, width: around.width - 2 * margin, height: around.height - 2 * margin }),
      taken: stage.elements.filter(other => other.id !== element.id && other.kind === 'text' && !other.pinned).map(other => shrunk(boxOf(boundsOf(other.box)))),
    }
    worker ??= new Worker(new URL('../workers/readable.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<{ id: number, found: Readability | null, strengths: (number | null)[], calmest: RasterPlace | null }>) => {
      if (data.id !== turn) return
      found.value = data.found && { readability: data.found, needed, remedies: data.found.ratio >= needed ? [] : remediesOf(element, picture, data, words) }
    }
    worker.postMessage(wish)

    function remediesOf(own: TextElement & ShownElement, beneath: ShownElement | undefined, data: { strengths: (number | null)[], calmest: RasterPlace | null }, lines: RasterPlace): Remedy[] {
      const made: Remedy[] = []
      const index = data.strengths.findIndex(strength => strength !== null)
      const set = (id: string, fields: Partial<Element>) => setFields(store.deck!, { table: 'elements', id, fields })
      if (index >= 0) {
        const role = roles[index]!
        const strength = Math.min(1, data.strengths[index]! + 0.05)
        const percent = `${Math.round(strength * 100)} %`
        const panelled: Partial<TextElement> = { panel: { padding: own.panel?.padding ?? 20, radius: own.panel?.radius ?? 10, ...(own.panel?.border ? { border: own.panel.border } : {}), fill: { role, alpha: strength } } }
        made.push({ name: 'panel', label: 'A panel behind it', says: `${role}, ${percent} solid`, tries: { [own.id]: panelled as Partial<Element> }, changes: () => set(own.id, panelled as Partial<Element>) })
        if (beneath?.kind === 'picture') {
          const tinted = { treatment: { ...beneath.treatment, tint: { color: { role }, strength } } } as Partial<Element>
          made.push({ name: 'tint', label: 'A tint over the picture', says: `${role}, ${percent} strong`, tries: { [beneath.id]: tinted }, changes: () => set(beneath.id, tinted) })
          const shade = shadeFor(lines, beneath.box)
          const shaded = { treatment: { ...beneath.treatment, shade: { ...shade, color: { role, alpha: Math.min(1, strength + 0.15) } } } } as Partial<Element>
          made.push({ name: 'shade', label: `A shade from the ${shade.side}`, says: `${role}, over ${Math.round(shade.share * 100)} % of it`, tries: { [beneath.id]: shaded }, changes: () => set(beneath.id, shaded) })
        } else if (fill?.kind === 'picture') {
          const current = store.deck!.slides[owner!]
          if (current) made.push({ name: 'tint', label: 'A veil over the ground', says: `${role}, ${percent} strong`, tries: {}, changes: () => setFields(store.deck!, { table: 'slides', id: current.id, fields: { backdrop: { ...current.backdrop, fill: { ...fill, veil: { role, alpha: strength } } } } }) })
        }
      }
      if (data.calmest && !own.locked && !store.isForm) {
        const by = { x: data.calmest.x / grain - lines.x, y: data.calmest.y / grain - lines.y }
        const moved = { box: { ...own.box, x: Math.round(own.box.x + by.x), y: Math.round(own.box.y + by.y) } } as Partial<Element>
        if (Math.hypot(by.x, by.y) > 12) made.push({ name: 'calm', label: 'The calmest place', says: 'where the picture is quiet', tries: { [own.id]: moved }, changes: () => set(own.id, moved) })
      }
      return made
    }
  }
  watchDebounced([text, () => stage.deck, () => store.stageId, () => host.host], () => void measure(), { debounce: 160, immediate: true })
  onScopeDispose(() => worker?.terminate())
  return { found }
}
