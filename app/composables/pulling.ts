import { atStep, dragStep, type AmountWay, type ChartDrawing, type ChartMark, type TableCell } from '#core/charts'
import { columnNamed, type DataTable } from '#core/data'
import type { CellChange } from './table-cells'

/** The end of a mark whose amount can be pulled, px from the chart’s top left, and the cell that it stands in. */
export interface Grip {
  mark: ChartMark
  cell: TableCell
  x: number
  y: number
  label: string
}

/** Amounts of a chart that are pulled by their marks, with the pointer or by keys, and written into their table. */
export function usePulling(on: {
  table: Ref<DataTable | undefined>
  drawing: Ref<ChartDrawing | null>
  way: Ref<AmountWay | null>
  /** Writes into its rows. */
  write(cells: readonly CellChange[], said: string): Promise<void>
  /** A place on the stage in px from the chart’s top left. */
  inChart(event: PointerEvent): { x: number; y: number }
}) {
  const pulling = ref<{ key: string; value: number } | null>(null)
  const pulledWords = computed(() => (pulling.value ? (on.drawing.value?.write ?? String)(pulling.value.value) : ''))

  async function change({ cell, label }: Pick<Grip, 'cell' | 'label'>, value: number) {
    if (value === cell.value || !on.table.value) return
    const shown = on.drawing.value?.write ?? String
    await on.write([{ row: cell.row, column: cell.column, value }], `${label}: ${shown(cell.value ?? 0)} is ${shown(value)} now.`)
  }
  const stepOf = (cell: TableCell) => dragStep(on.way.value!, columnNamed(on.table.value!, cell.column)!.values as (number | null)[])
  function pressGrip(event: PointerEvent, grip: Grip) {
    if (event.button !== 0) return
    event.preventDefault()
    ;(event.currentTarget as HTMLElement).focus({ preventScroll: true })
    rest()
    const { along, scale } = on.way.value!
    const step = stepOf(grip.cell)
    const from = on.inChart(event)[along]
    let value: number | null = null
    followPointer(
      event,
      move => {
        value = atStep(grip.cell.value! + (on.inChart(move)[along] - from) / scale, step)
        pulling.value = { key: grip.mark.key, value }
      },
      given => {
        pulling.value = null
        if (given && value !== null) void change(grip, value)
      },
    )
  }
  /** Keys pull step by step; what they have come to is written once they rest. */
  let resting: ReturnType<typeof setTimeout> | undefined
  let waiting: (() => void) | null = null
  function rest() {
    clearTimeout(resting)
    waiting?.()
    waiting = null
  }
  function pullOn(grip: Grip, steps: number) {
    if (pulling.value?.key !== grip.mark.key) rest()
    const step = stepOf(grip.cell)
    const from = pulling.value?.key === grip.mark.key ? pulling.value.value : grip.cell.value!
    const value = atStep(from + steps * step, step)
    pulling.value = { key: grip.mark.key, value }
    clearTimeout(resting)
    waiting = () => {
      pulling.value = null
      void change(grip, value)
    }
    resting = setTimeout(rest, 600)
  }
  onBeforeUnmount(rest)
  /** Where the end of a mark comes to with the amount that is being pulled. */
  function pulledTo({ mark, cell, x, y }: Grip) {
    if (pulling.value?.key !== mark.key) return { x, y }
    const by = (pulling.value.value - cell.value!) * on.way.value!.scale
    return on.way.value!.along === 'x' ? { x: x + by, y } : { x, y: y + by }
  }
  return { pulling, pulledWords, change, pressGrip, pullOn, pulledTo }
}
