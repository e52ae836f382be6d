import type { Directive } from 'vue'

/**
 * Holds the cursor in a field until all tasks that waited as it came have run: a menu that closed just before gives the focus back to
 * whatever had it before, a task later, and the letters that follow would go there.
 */
function holdCursor(field: HTMLInputElement | HTMLTextAreaElement) {
  const back = () =>
    queueMicrotask(() => {
      if (field.isConnected) field.focus()
    })
  field.addEventListener('blur', back)
  setTimeout(() => field.removeEventListener('blur', back))
}

/** `v-cursor` on a field that somebody has just asked for: the cursor stands in it, and what is there already is selected. */
const cursor: Directive<HTMLElement> = {
  mounted(element) {
    const field = element.matches('input, textarea') ? element : element.querySelector('input, textarea')
    if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement)) throw new Error('v-cursor stands on no field')
    field.focus()
    field.select()
    holdCursor(field)
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
