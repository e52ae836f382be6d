/** Whether someone is writing where a key was pressed, so that it is a letter and no command. */
export const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

/** Hears keys on the page while the component that asks is there. */
export function onKeys(hear: (event: KeyboardEvent) => void) {
  onMounted(() => addEventListener('keydown', hear))
  onBeforeUnmount(() => removeEventListener('keydown', hear))
}
