import { infoOf } from '#core/model'
import { createApp, h, ref } from 'vue'
import type { PlayerBundle } from '../bundle'
import FilmStage from '../FilmStage.vue'
import PlayerView from '../PlayerView.vue'
import '../../stage/stage.css'
import './alone.css'

/** A page of its own: plays the bundle that stands in it, with nothing to fetch and nobody to ask. */
const bundle = JSON.parse(document.getElementById('bundle')!.textContent!) as PlayerBundle
const player = ref<{ forward(): void; back(): void; pause(): void }>()
document.title = infoOf(bundle.deck).title

createApp({
  render: () =>
    bundle.film ? h(FilmStage, { bundle, ...bundle.film }) : h(PlayerView, { ref: player, bundle, onClick: () => player.value?.forward() }),
}).mount('#player')

const keys: Record<string, () => void> = {}
for (const key of [' ', 'ArrowRight', 'ArrowDown', 'PageDown', 'Enter']) keys[key] = () => player.value?.forward()
for (const key of ['ArrowLeft', 'ArrowUp', 'PageUp', 'Backspace']) keys[key] = () => player.value?.back()
keys.p = () => player.value?.pause()
keys.f = () => void (document.fullscreenElement ? document.exitFullscreen() : document.documentElement.requestFullscreen())
addEventListener('keydown', event => {
  if (event.ctrlKey || event.metaKey || event.altKey || !keys[event.key]) return
  event.preventDefault()
  keys[event.key]!()
})
addEventListener('contextmenu', event => {
  event.preventDefault()
  player.value?.back()
})
