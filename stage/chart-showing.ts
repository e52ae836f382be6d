import { passageBetween, type ChartDrawing } from '#core/charts'

/** What a chart is to show: its drawing, the rows that it is made of, and what else it is drawn by. */
export interface ToShow {
  drawing: ChartDrawing
  /** By identity: other rows are another object. */
  rows: unknown
  /** By identity: where one of these is another, nothing is moved to. */
  look: readonly unknown[]
  /** Whether the chart is at rest, and not on its way between two states. */
  rests: boolean
}

/** How a chart is brought from drawing to drawing. */
export interface ChartShowing {
  show(next: ToShow): void
  stop(): void
}

/**
 * Shows a chart by `draw`; where a chart at rest gets other rows, its marks go from the old ones to the new. `size` is the chart's, px;
 * `moves` says whether anybody is to see motion. What is asked for in the meantime is gone to from where the marks are.
 */
export function chartShowing(
  draw: (drawing: ChartDrawing) => void,
  size: () => { width: number; height: number },
  moves: () => boolean,
): ChartShowing {
  let shown: ToShow | null = null
  let now: ChartDrawing | null = null
  let moving: { to: ChartDrawing; request: number } | null = null

  function put(drawing: ChartDrawing) {
    if (drawing === now) return
    now = drawing
    draw(drawing)
  }
  function stop() {
    if (moving) cancelAnimationFrame(moving.request)
    moving = null
  }
  function goTo(to: ChartDrawing) {
    stop()
    const { width, height } = size()
    const passage = passageBetween(now!, to, width, height)
    const begun = performance.now()
    const step = () => {
      const share = (performance.now() - begun) / 1000 / passage.seconds
      put(passage.at(share))
      moving = share >= 1 ? null : { to, request: requestAnimationFrame(step) }
    }
    moving = { to, request: 0 }
    step()
  }
  return {
    show(next) {
      const before = shown
      shown = next
      if (next.drawing === moving?.to) return
      const sameLook = before?.look.every((one, at) => one === next.look[at]) === true
      const otherRows = moving !== null || before?.rows !== next.rows
      if (now && sameLook && otherRows && next.rests && moves()) return goTo(next.drawing)
      stop()
      if (!sameLook) now = null
      put(next.drawing)
    },
    stop,
  }
}
