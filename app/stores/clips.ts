/** How long films and sounds are and how loud, fetched when something first asks for one. A file never changes. */
export const useClips = defineStore('clips', () => {
  const known = shallowReactive(new Map<string, { seconds: number | null; peaks: Uint8Array | null }>())
  const asked = new Set<string>()

  function facts(hash: string) {
    const found = known.get(hash)
    if (found || asked.has(hash)) return found
    asked.add(hash)
    void $fetch<{ seconds: number | null; peaks: string | null }>(`/api/media/${hash}/sound`)
      .then(({ seconds, peaks }) =>
        known.set(hash, { seconds, peaks: peaks === null ? null : Uint8Array.from(atob(peaks), sign => sign.charCodeAt(0)) }),
      )
      .catch(askAgain(() => asked.delete(hash)))
    return undefined
  }
  const length = (hash: string) => facts(hash)?.seconds ?? undefined
  const peaks = (hash: string) => facts(hash)?.peaks ?? null
  /** All lengths that are known so far, by hash. */
  const lengths = computed(() =>
    Object.fromEntries([...known].flatMap(([hash, { seconds }]) => (seconds === null ? [] : [[hash, seconds]]))),
  )
  return { length, peaks, lengths }
})
