import { keepFocusGoneOn } from '../composables/focus-given-back'

export default defineNuxtPlugin(() => {
  keepFocusGoneOn(document)
})
