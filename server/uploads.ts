const uploads = /^\/api\/(?:decks\/file|themes\/file|media(?:\/clip|\/voice)?|fonts|icons|data(?:\/[^/]+\/versions)?)$/

/** Whether a call reads its bytes itself, up to a limit of its own (`readBytes`); all others are bounded before they are read. */
export const readsItsBytes = (path: string) => uploads.test(path.split('?')[0]!)
