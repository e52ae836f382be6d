import { isTableFileName, tableEndings, type DataTable } from '#core/data'

const failedWith = (message: string) => {
  useToast().add({ title: message, color: 'error', icon: 'i-lucide-circle-alert', duration: 9000 })
  return undefined
}

const asBytes = { 'content-type': 'application/octet-stream' }
const mostMegabytes = 100

/** Sends a file of data: a new table, or the next version of one that is there. Tells what is wrong with it otherwise. */
export async function sendTable<T>(file: File, url: string): Promise<T | undefined> {
  if (file.size > mostMegabytes * 1024 * 1024)
    return failedWith(
      `“${file.name}” has ${numberWords(file.size / 1048576)} MB; at most ${mostMegabytes} can be read. Leave out rows or columns that are not needed.`,
    )
  return await asking(
    async () => (await $fetch<unknown>(url, { method: 'POST', query: { name: file.name }, body: file, headers: asBytes })) as T,
  )
}

/** Keeps a file of data as a table of the team; what was done to it is told, with the way to where that can be changed. */
export async function uploadTable(file: File): Promise<DataTable | undefined> {
  const kept = await sendTable<{ id: string; said: string[]; open: number }>(file, '/api/data')
  const table = kept && (await asking(() => $fetch<DataTable>(`/api/tables/${kept.id}`)))
  if (kept && table && (kept.open || kept.said.length)) tellReading(kept)
  return table
}

function tellReading({ id, said, open }: { id: string; said: string[]; open: number }) {
  const question = open === 1 ? 'One column of it can be read in two ways.' : `${numberWords(open)} columns of it can be read in two ways.`
  useToast().add({
    title: open ? question : said[0]!.replaceAll('*', ''),
    ...(said.length > 1 && !open ? { description: `and ${numberWords(said.length - 1)} more` } : {}),
    color: open ? 'warning' : 'neutral',
    duration: 9000,
    actions: [{ label: open ? 'Say which' : 'How it was read', onClick: () => void navigateTo({ path: '/data', query: { table: id } }) }],
  })
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

/** What a browser's window for choosing files of data offers. */
export const tableFiles = [...tableEndings.map(ending => `.${ending}`), 'text/csv', 'application/json'].join()
export const isTableFile = (file: File) => isTableFileName(file.name) || file.type === 'text/csv'
