/** Whether someone is writing where a key was pressed, so that it is a letter and no command. */
export const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

/** What lies open over the page; a list of choices is one only while it is. */
const open = '[role=dialog], [role=alertdialog], [role=menu], [role=listbox][data-state=open]'
/** What takes letters and arrows by itself. */
const takesKeys = '[role=dialog], [role=menu], [role=combobox]'

/** Whether something open over the page has the keys, or what they were pressed on takes them by itself. */
export const hasOwnKeys = (target: EventTarget | null) =>
  document.querySelector(open) !== null || (target instanceof Element && target.closest(takesKeys) !== null)

/**
 * Hears keys on the page while the component that asks is there: none that something open over the page has, and none that something else
 * has taken. `first`: before all others hear them. `everywhere`: those too that something open has, as what undoes what was done in it.
 */
export function onKeys(hear: (event: KeyboardEvent) => void, { first = false, everywhere = false } = {}) {
  const heard = (event: KeyboardEvent) => {
    if (!event.defaultPrevented && (everywhere || !hasOwnKeys(event.target))) hear(event)
  }
  onMounted(() => addEventListener('keydown', heard, first))
  onBeforeUnmount(() => removeEventListener('keydown', heard, first))
}
