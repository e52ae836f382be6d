import '#stage/stage.css'
import { createApp, h, provide } from 'vue'
import type { DataTable } from '#core/data'
import { readDeck, slidesOf, infoOf, type Deck } from '#core/model'
import { compileSlide, frameAt, lastMoment } from '#core/timing'
import { browserMeasurer, declareFamilies, loadFonts, SlideView, stageHostKey, type StageHost } from '#stage'

/** Draws all slides of decks as sheets: a row of slides for each deck, as wide as asked for. */
declare global {
  interface Window {
    drawSheet(decks: readonly unknown[], wide: number, columns: number, tables: readonly DataTable[]): Promise<void>
  }
}
window.drawSheet = async (given, wide, columns, tables) => {
  const decks = given.flatMap(one => {
    const read = readDeck(one)
    return read.ok ? [read.value.deck] : []
  })
  const families = new Set(decks.flatMap(deck => Object.values(deck.theme.theme!.fonts)))
  declareFamilies(families)
  await loadFonts([...families], [...new Set(JSON.stringify(decks))].join(''), [300, 400, 500, 600, 700, 800, 900])
  const host: StageHost = {
    measurer: browserMeasurer(),
    table: id => tables.find(table => table.id === id),
    mediaUrl: () => '/picture',
    mediaLength: () => undefined,
    stillsOnly: true,
  }
  const slideOf = (deck: Deck, slide: string) => {
    const { width, height } = infoOf(deck).size
    const scale = wide / width
    const score = compileSlide(deck, slide, host)
    return h('div', { style: { width: `${wide}px`, height: `${height * scale}px`, overflow: 'hidden', position: 'relative' } }, [
      h('div', { style: { transform: `scale(${scale})`, transformOrigin: '0 0', position: 'absolute', inset: 0 } }, [
        h(SlideView, { deck, slide, frame: frameAt(score, lastMoment(score)), scale }),
      ]),
    ])
  }
  const page = document.createElement('div')
  document.body.replaceChildren(page)
  createApp({
    setup() {
      provide(stageHostKey, () => host)
      return () =>
        h(
          'div',
          { style: { display: 'grid', gridTemplateColumns: `repeat(${columns}, ${wide}px)`, gap: '16px', padding: '16px' } },
          decks.flatMap(deck => slidesOf(deck).map(slide => slideOf(deck, slide.id))),
        )
    },
  }).mount(page)
  await document.fonts.ready
}
