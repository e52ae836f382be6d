interface JobNow {
  state: 'waiting' | 'working' | 'done' | 'failed' | 'cancelled'
  done: number
  total: number
  message: string
  result: string | null
}

export const isClipFile = (file: File) =>
  /^(video|audio)\//.test(file.type) ||
  /\.(mp4|m4v|mov|mkv|avi|webm|wmv|mpe?g|ts|ogv|3gp|mp3|wav|ogg|oga|opus|flac|m4a|aac|aiff?|wma)$/i.test(file.name)

/** Waits for a job to end, telling how far it is; what it made, or undefined with a sentence said. */
async function awaitJob(id: string, say: (words: string) => void, name: string): Promise<string | undefined> {
  for (;;) {
    const job = await asking(() => $fetch<JobNow>(`/api/jobs/${id}`))
    if (!job) return undefined
    if (job.state === 'done') return job.result ?? undefined
    if (job.state === 'failed') {
      useToast().add({ title: job.message, color: 'error', icon: 'i-lucide-circle-alert', duration: 9000 })
      return undefined
    }
    if (job.state === 'cancelled') return undefined
    say(`Making ${name} playable${job.total ? `, ${Math.round((job.done / job.total) * 100)} %` : ''}`)
    await new Promise(resolve => setTimeout(resolve, 600))
  }
}

/** Brings a film or sound of any kind into Media, made playable where it is not; says how far that is. */
export async function bringClip(file: Blob, name: string, say: (words: string) => void, folder = ''): Promise<string | undefined> {
  say(`Reading ${name}`)
  const answer = await asking(() =>
    $fetch<{ hash: string | null; job: string | null }>('/api/media/clip', {
      method: 'POST',
      query: { name, ...(folder ? { folder } : {}) },
      body: file,
      headers: { 'content-type': 'application/octet-stream' },
    }),
  )
  const hash = answer?.hash ?? (answer?.job ? await awaitJob(answer.job, say, name) : undefined)
  say('')
  return hash
}
