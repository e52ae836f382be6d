export { default as SlideView } from './SlideView.vue'
export { default as StageView } from './StageView.vue'
export { stageHostKey, type StageHost } from './host'
export { browserMeasurer, fontStack, loadFonts } from './measurer'
