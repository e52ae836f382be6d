import type { Id } from '#core/values'

/** Looks for what belongs in the empty places of slides: the tables that they name, icons and pictures by the words beside them. */
export function useFurnishing() {
  const drawNamed = useNamedTables()
  const findIcons = useFoundIcons()
  const pictures = useFoundPictures()
  return async (slides: readonly Id[]) => {
    await Promise.all([drawNamed(slides), findIcons(slides), pictures.find(slides)])
  }
}
