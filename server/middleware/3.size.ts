import { refuse } from '../access'
import { readsItsBytes } from '../uploads'

const kilobyte = 1024
const megabyte = 1024 * kilobyte

/** Calls whose answer is asked for with more words than others. */
const larger: readonly [RegExp, number][] = [
  [/^\/api\/pieces$/, 8 * megabyte],
  [/^\/api\/motions$/, megabyte],
  [/^\/api\/screen\/report$/, megabyte],
  [/^\/api\/fonts\/outlines$/, megabyte],
  [/^\/api\/media\/[^/]+\/replace$/, megabyte],
  [/^\/api\/(?:decks|loops|data)\//, megabyte],
]
const usual = 64 * kilobyte

/** Bounds what a request may bring before a byte of it is read: one that does not say how much it brings is not read at all. */
export default defineEventHandler(event => {
  if (['GET', 'HEAD', 'OPTIONS'].includes(event.method) || readsItsBytes(event.path)) return
  const { 'content-length': length, 'transfer-encoding': encoding } = event.node.req.headers
  if (encoding) refuse(411, 'Say with Content-Length how much the request brings.')
  const most = larger.find(([path]) => path.test(event.path))?.[1] ?? usual
  if (Number(length ?? 0) > most) refuse(413, `That is more than fits here: ${Math.round(most / kilobyte)} kB at most.`)
})
