import { startBrowser, type Browser } from './pipe'
import type { Caption } from '../../core/model'
import type { SoundPlan } from '../../core/timing'

/** What the page of a film says of it. */
export interface FilmOutline {
  frames: number
  /** A sign a frame: 1 where it shows the very picture of the frame before. */
  repeats: string
  sounds: SoundPlan
  captions: Caption[]
  /** The frame in which each beat has done what moves in it. */
  beats: { slide: number; beat: number; frame: number }[]
}

/** A page that shows any frame of a film, and takes pictures of it. */
export interface Captor {
  outline(): Promise<FilmOutline>
  /** A frame as JPEG, or without loss as PNG. */
  frame(index: number, format: 'jpeg' | 'png'): Promise<Buffer>
  close(): void
}

const patience = 60_000
const pause = (milliseconds: number) => new Promise(resolve => setTimeout(resolve, milliseconds))

/** Opens a page of a film in a browser of its own. */
export async function openCaptor(address: string, size: { width: number; height: number }, folder: string): Promise<Captor> {
  const browser = startBrowser(folder)
  try {
    const { targetId } = await browser.send<{ targetId: string }>('Target.createTarget', {
      url: 'about:blank',
      ...size,
      ...(browser.stepped ? { enableBeginFrameControl: true } : {}),
    })
    const { sessionId } = await browser.send<{ sessionId: string }>('Target.attachToTarget', { targetId, flatten: true })
    const page = new FilmPage(browser, sessionId)
    await page.open(address, size)
    return page
  } catch (error) {
    browser.close()
    throw error
  }
}

class FilmPage implements Captor {
  #ticks = 0

  constructor(
    readonly browser: Browser,
    readonly session: string,
  ) {}

  async open(address: string, size: { width: number; height: number }) {
    await this.#send('Emulation.setDeviceMetricsOverride', { ...size, deviceScaleFactor: 1, mobile: false })
    await this.#send('Page.enable')
    await this.#send('Page.navigate', { url: address })
    const until = Date.now() + patience
    while (!(await this.#evaluate<boolean>('!!window.hailbankFilm'))) {
      if (Date.now() > until) throw new Error('the page of the film did not open')
      if (this.browser.stepped) await this.#tick()
      else await pause(30)
    }
  }

  outline() {
    return this.#evaluate<FilmOutline>('window.hailbankFilm.outline()')
  }

  async frame(index: number, format: 'jpeg' | 'png') {
    await this.#settle(`window.hailbankFilm.seek(${index})`)
    const how = { format, ...(format === 'jpeg' ? { quality: 92 } : {}), optimizeForSpeed: true }
    for (let attempt = 0; attempt < 40; attempt++) {
      const data = await this.#picture(how)
      // A picture of the page before it was drawn anew shows another moment.
      if (data && (await this.#evaluate<number>('window.hailbankFilm.drawn()')) === index) return Buffer.from(data, 'base64')
    }
    throw new Error('the browser took no picture')
  }

  close() {
    this.browser.close()
  }

  #send<T>(method: string, params: Record<string, unknown> = {}) {
    return this.browser.send<T>(method, params, this.session)
  }

  async #evaluate<T>(expression: string): Promise<T> {
    const { result, exceptionDetails } = await this.#send<{
      result: { value: T }
      exceptionDetails?: { exception?: { description?: string }; text: string }
    }>('Runtime.evaluate', { expression, awaitPromise: true, returnByValue: true })
    if (exceptionDetails) throw new Error(exceptionDetails.exception?.description ?? exceptionDetails.text)
    return result.value
  }

  /** Lets the browser draw a frame, and take a picture of it where that is wished. */
  #tick(screenshot?: Record<string, unknown>) {
    const frameTimeTicks = 1_000_000 + ++this.#ticks * 16.7
    return this.#send<{ screenshotData?: string }>('HeadlessExperimental.beginFrame', {
      frameTimeTicks,
      interval: 16.7,
      ...(screenshot ? { screenshot } : {}),
    })
  }

  /** A picture of the page as base64; undefined where none was taken. */
  async #picture(how: Record<string, unknown>): Promise<string | undefined> {
    if (this.browser.stepped) return (await this.#tick(how)).screenshotData
    return (await this.#send<{ data?: string }>('Page.captureScreenshot', { ...how, captureBeyondViewport: false })).data
  }

  /** A promise of the page may wait for a frame to be drawn, as films that are sought do. */
  async #settle(expression: string) {
    if (!this.browser.stepped) return await this.#evaluate(expression)
    let done = false
    const answer = this.#evaluate(expression).finally(() => {
      done = true
    })
    await Promise.race([answer, pause(4)])
    while (!done) {
      await this.#tick()
      await Promise.race([answer, pause(2)])
    }
    return await answer
  }
}
