/**
 * Does something once the menu that it was chosen from has closed and has given the cursor back: what opens a field from a menu would lose
 * it again.
 */
export function afterMenu(act: () => void) {
  const look = () => (document.querySelector('[role=menu]') ? requestAnimationFrame(look) : setTimeout(act))
  requestAnimationFrame(look)
}
