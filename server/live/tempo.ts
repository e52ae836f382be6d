/** What a person may send: so many bytes at once, and so many a second from then on. */
export interface Tempo {
  burst: number
  perSecond: number
}

/** A bucket that fills by itself; `wait` takes an amount and says how many milliseconds to wait until it was there. */
export interface Bucket {
  wait(amount: number, now: number): number
}

/** A token bucket, see RFC 2697: an amount over what it holds makes it owe, and whoever comes next waits until that is filled again. */
export function bucketOf({ burst, perSecond }: Tempo): Bucket {
  let held = burst
  let at = -Infinity
  return {
    wait(amount, now) {
      held = Math.min(burst, held + (Number.isFinite(at) ? ((now - at) / 1000) * perSecond : 0))
      at = now
      held -= amount
      return held >= 0 ? 0 : (-held / perSecond) * 1000
    },
  }
}

/** Buckets by key, such as a person; those that stood full for a while are forgotten. */
export function bucketsBy(tempo: Tempo) {
  const buckets = new Map<string, { bucket: Bucket; at: number }>()
  const fullAfter = (tempo.burst / tempo.perSecond) * 1000
  return (key: string, amount: number, now: number) => {
    if (buckets.size > 2000) for (const [name, { at }] of buckets) if (now - at > fullAfter) buckets.delete(name)
    const entry = buckets.get(key) ?? { bucket: bucketOf(tempo), at: now }
    buckets.set(key, entry)
    entry.at = now
    return entry.bucket.wait(amount, now)
  }
}
