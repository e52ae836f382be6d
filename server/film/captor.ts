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

async function evaluate<T>(browser: Browser, session: string, expression: string): Promise<T> {
  const { result, exceptionDetails } = await browser.send<{
    result: { value: T }
    exceptionDetails?: { exception?: { description?: string }; text: string }
  }>('Runtime.evaluate', { expression, awaitPromise: true, returnByValue: true }, session)
  if (exceptionDetails) throw new Error(exceptionDetails.exception?.description ?? exceptionDetails.text)
  return result.value
}

/** Opens a page of a film in a browser of its own. */
export async function openCaptor(address: string, size: { width: number; height: number }, folder: string): Promise<Captor> {
  const browser = startBrowser(folder)
  try {
    const { targetId } = await browser.send<{ targetId: string }>('Target.createTarget', {
      url: 'about:blank',
      width: size.width,
      height: size.height,
      ...(browser.stepped ? { enableBeginFrameControl: true } : {}),
    })
    const { sessionId } = await browser.send<{ sessionId: string }>('Target.attachToTarget', { targetId, flatten: true })
    await browser.send(
      'Emulation.setDeviceMetricsOverride',
      { width: size.width, height: size.height, deviceScaleFactor: 1, mobile: false },
      sessionId,
    )
    await browser.send('Page.enable', {}, sessionId)
    await browser.send('Page.navigate', { url: address }, sessionId)
    let ticks = 0
    const tick = async (screenshot?: Record<string, unknown>) => {
      const [frameTimeTicks, interval] = [1_000_000 + ++ticks * 16.7, 16.7]
      return await browser.send<{ screenshotData?: string }>(
        'HeadlessExperimental.beginFrame',
        { frameTimeTicks, interval, ...(screenshot ? { screenshot } : {}) },
        sessionId,
      )
    }
    const until = Date.now() + patience
    while (!(await evaluate<boolean>(browser, sessionId, '!!window.hailbankFilm'))) {
      if (Date.now() > until) throw new Error('the page of the film did not open')
      if (browser.stepped) await tick()
      else await pause(30)
    }
    /** A promise of the page may wait for a frame to be drawn, as films that are sought do. */
    const settle = async (expression: string) => {
      if (!browser.stepped) return await evaluate(browser, sessionId, expression)
      let done = false
      const answer = evaluate(browser, sessionId, expression).finally(() => {
        done = true
      })
      await Promise.race([answer, pause(4)])
      while (!done) {
        await tick()
        await Promise.race([answer, pause(2)])
      }
      return await answer
    }
    return {
      outline: () => evaluate<FilmOutline>(browser, sessionId, 'window.hailbankFilm.outline()'),
      async frame(index, format) {
        await settle(`window.hailbankFilm.seek(${index})`)
        const how = { format, ...(format === 'jpeg' ? { quality: 92 } : {}), optimizeForSpeed: true }
        for (let attempt = 0; attempt < 40; attempt++) {
          const data = browser.stepped
            ? (await tick(how)).screenshotData
            : (await browser.send<{ data?: string }>('Page.captureScreenshot', { ...how, captureBeyondViewport: false }, sessionId)).data
          // A picture of the page before it was drawn anew shows another moment.
          if (data && (await evaluate<number>(browser, sessionId, 'window.hailbankFilm.drawn()')) === index)
            return Buffer.from(data, 'base64')
        }
        throw new Error('the browser took no picture')
      },
      close: browser.close,
    }
  } catch (error) {
    browser.close()
    throw error
  }
}
