export { slidesToBoard } from './to-board'
export { boardToSlides } from './to-slides'
export { goInBeat, makeBoard, removeView, tourViews, unmakeBoard, viewAround } from './views'
