import type { DataTable } from '#core/data'
import type { Outcome } from '#core/values'

/** Reads a file of data in a worker. */
function readInWorker(file: File): Promise<Outcome<DataTable>> {
  return new Promise(resolve => {
    const worker = new Worker(new URL('../workers/csv.ts', import.meta.url), { type: 'module' })
    const done = (outcome: Outcome<DataTable>) => {
      worker.terminate()
      resolve(outcome)
    }
    worker.onmessage = event => done(event.data)
    worker.onerror = () => done({ ok: false, message: `“${file.name}” could not be read. Save it as CSV, then drop it again.` })
    void file.arrayBuffer().then(bytes => worker.postMessage({ bytes, name: file.name }, [bytes]))
  })
}

const failedWith = (message: string) => {
  useToast().add({ title: message, color: 'error', icon: 'i-lucide-circle-alert', duration: 9000 })
  return undefined
}

/** Reads a CSV file and keeps it as a table; tells what is wrong with it otherwise. */
export async function uploadTable(file: File): Promise<DataTable | undefined> {
  const read = await readInWorker(file)
  if (!read.ok) return failedWith(read.message)
  const kept = await asking(() => $fetch('/api/tables', { method: 'POST', body: read.value }))
  return kept && { ...read.value, id: kept.id }
}

/** Keeps a picture; tells what is wrong with it otherwise. */
export const uploadPicture = (file: File) =>
  asking(() =>
    $fetch('/api/media', {
      method: 'POST',
      query: { name: file.name },
      body: file,
      headers: { 'content-type': 'application/octet-stream' },
    }),
  )

/** Keeps a picture, film or sound in Media, in a folder; tells what is wrong with it otherwise. */
export const uploadMedia = (file: File, folder = '') =>
  asking(() =>
    $fetch<{ hash: string }>('/api/media', {
      method: 'POST',
      query: { name: file.name, any: '', ...(folder ? { folder } : {}) },
      body: file,
      headers: { 'content-type': 'application/octet-stream' },
    }),
  )

export const isTableFile = (file: File) => /\.(csv|tsv|txt)$/i.test(file.name) || file.type === 'text/csv'
