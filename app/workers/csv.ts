import { readCsv } from '#core/data'

/** Reads a file of data away from the page, so that a large one does not stop it. */
self.onmessage = (event: MessageEvent<{ bytes: ArrayBuffer; name: string }>) => {
  self.postMessage(readCsv(new Uint8Array(event.data.bytes), event.data.name, 'unkept'))
}
