import type { Directive } from 'vue'

/** `v-cursor` on a field that somebody has just asked for: the cursor stands in it, and what is there already is selected. */
const cursor: Directive<HTMLInputElement | HTMLTextAreaElement> = {
  mounted(field) {
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
