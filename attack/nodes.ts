import { putRecord } from '../core/model'
import postgres from 'postgres'
import { applyToDocument, liveTable } from '../core/live'
import { freePort } from '../scripts/postgres.mjs'
import { startServer } from '../scripts/serve.mjs'
import { editDeck } from '../tests/support/live'
import { databaseUrl, home, port } from '../tests/support/server'
import { makeDeck, pause, type Attack } from './attack'

export const nodes: Attack = {
  name: 'nodes',
  about: 'two servers on one database under load, while their connections are cut',
  async run(times) {
    const url = databaseUrl()
    const deck = await makeDeck('Two nodes')
    const second = await freePort(4870)
    const node = await startServer({ home, url, port: second, quiet: true })
    const failures: string[] = []
    const acknowledged: string[] = []
    try {
      const editors = await Promise.all([port, second].flatMap(at => [0, 1].map(() => editDeck(deck, { at }))))
      const sql = postgres(url, { max: 1, onnotice: () => {} })
      const until = Date.now() + times(60) * 1000
      const cutting = (async () => {
        while (Date.now() < until) {
          await pause(300)
          await sql`select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid()
            and backend_type = 'client backend' and random() < 0.5`
        }
        await sql.end()
      })()
      await Promise.all(
        editors.map(async (editor, index) => {
          for (let round = 0; Date.now() < until && round < 100; round++) {
            const id = `n${index}r${round}`
            if (
              (await editor.change(document => applyToDocument(document, [putRecord('variants', { id, order: 'a0', name: id })]))) === true
            )
              acknowledged.push(id)
            await pause(20)
          }
        }),
      )
      await cutting
      await pause(9000)
      for (const [index, editor] of editors.entries()) {
        const lacking = acknowledged.filter(id => !liveTable(editor.document, 'variants').has(id))
        if (lacking.length) failures.push(`editor ${index} lacks ${lacking.length}, such as ${lacking[0]}`)
        editor.leave()
      }
    } finally {
      node.child.kill('SIGTERM')
    }
    return { tried: acknowledged.length, failures }
  },
}
