import { decodeMessage, encodeMessage, type LiveMessage } from '#core/live'

/** The other end of a line to the server, in the hands of a test: in place of the browser's WebSocket. */
export class Line {
  static readonly OPEN = 1
  /** All that were opened in a test, the last one last. */
  static all: Line[] = []
  readyState = 0
  binaryType = ''
  sent: LiveMessage[] = []
  onopen?: () => void
  onmessage?: (event: { data: ArrayBuffer }) => void
  onclose?: (event: { code: number; reason: string }) => void
  constructor(readonly url: string) {
    Line.all.push(this)
  }
  send(bytes: Uint8Array) {
    this.sent.push(decodeMessage(bytes)!)
  }
  /** The server takes it. */
  open() {
    this.readyState = 1
    this.onopen?.()
  }
  /** The server says something. */
  say(message: LiveMessage) {
    this.onmessage?.({ data: new Uint8Array(encodeMessage(message)).buffer })
  }
  /** Either end closes it. */
  close(code = 1000, reason = '') {
    if (this.readyState === 3) return
    this.readyState = 3
    this.onclose?.({ code, reason })
  }
  updates = () => this.sent.filter(message => message.kind === 'update')
}
