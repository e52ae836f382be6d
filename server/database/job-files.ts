import { open } from 'node:fs/promises'
import { database } from './connection'
import { chunkSize } from './media'

/** Keeps the file that a job is about, until the job is done. */
export async function keepJobFile(job: string, file: string) {
  const sql = database()
  const handle = await open(file)
  try {
    const content = Buffer.alloc(chunkSize)
    for (let part = 0; ; part++) {
      const { bytesRead } = await handle.read(content, 0, chunkSize, part * chunkSize)
      if (!bytesRead) return
      await sql`insert into job_files (job, part, content) values (${job}, ${part}, ${Buffer.from(content.subarray(0, bytesRead))})`
    }
  } finally {
    await handle.close()
  }
}

/** Writes that file to this machine; false where there is none. */
export async function writeJobFile(job: string, file: string): Promise<boolean> {
  const sql = database()
  const handle = await open(file, 'w')
  try {
    for (let part = 0; ; part++) {
      const [row] = await sql<{ content: Buffer }[]>`select content from job_files where job = ${job} and part = ${part}`
      if (!row) return part > 0
      await handle.write(row.content)
    }
  } finally {
    await handle.close()
  }
}

export const dropJobFile = (job: string) => database()`delete from job_files where job = ${job}`
