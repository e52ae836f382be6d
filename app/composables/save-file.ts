/** Hands a file to the reader's own folder for downloads. */
export function saveFile(content: Blob | Uint8Array | string, name: string) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(content instanceof Blob ? content : new Blob([content as BlobPart]))
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}
