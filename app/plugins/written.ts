import type { Directive } from 'vue'

const drafts = new WeakSet<Element>()
const words = (value: unknown) => (value === null || value === undefined ? '' : String(value))

/**
 * `v-written="value"` in place of `:value` on a field that is taken when it is left: what somebody is writing in it stays
 * while the view around it is drawn anew. A bound `:value` would write the old words over it.
 */
const written: Directive<HTMLInputElement | HTMLTextAreaElement, string | number | null | undefined> = {
  mounted(field, { value }) {
    field.value = words(value)
    field.addEventListener('input', () => drafts.add(field))
    for (const end of ['change', 'blur']) field.addEventListener(end, () => drafts.delete(field))
  },
  updated(field, { value }) {
    if (drafts.has(field) && document.activeElement === field) return
    if (field.value !== words(value)) field.value = words(value)
  },
}

export default defineNuxtPlugin(app => {
  app.vueApp.directive('written', written)
})

declare module 'vue' {
  interface GlobalDirectives {
    vWritten: typeof written
  }
}
