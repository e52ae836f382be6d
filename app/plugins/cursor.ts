import type { Directive } from 'vue'

/** `v-cursor` on a field that somebody has just asked for: the cursor stands in it, and what is there already is selected. */
const cursor: Directive<HTMLElement> = {
  mounted(element) {
    const field = element.matches('input, textarea') ? element : element.querySelector('input, textarea')
    if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement)) throw new Error('v-cursor stands on no field')
    field.focus()
    field.select()
  },
}

export default defineNuxtPlugin(app => {
  app.vueApp.directive('cursor', cursor)
})

declare module 'vue' {
  interface GlobalDirectives {
    vCursor: typeof cursor
  }
}
