import { describe, expect, it } from 'vitest'
import { useFileDrop } from './file-drop'

function place(allowed = true) {
  const taken: string[] = []
  const { over, on } = useFileDrop(
    files => taken.push(...files.map(({ name }) => name)),
    () => allowed,
  )
  const happens = (type: keyof typeof on, fields: object = {}) => {
    let prevented = false
    on[type]({ preventDefault: () => (prevented = true), ...fields } as unknown as DragEvent)
    return prevented
  }
  return { taken, over, happens }
}
const files = { dataTransfer: { files: [new File(['x'], 'boats.csv'), new File(['y'], 'tides.csv')] } }

describe('a place that files are dropped on', () => {
  it('says that they are held over it until they leave it or are dropped, and takes them all', () => {
    const { taken, over, happens } = place()
    const [own, within] = [{}, {}]
    expect([happens('dragover'), over.value]).toEqual([true, true])
    happens('dragleave', { target: within, currentTarget: own })
    expect(over.value).toBe(true)
    happens('dragleave', { target: own, currentTarget: own })
    expect(over.value).toBe(false)
    happens('dragover')
    expect([happens('drop', files), over.value, taken]).toEqual([true, false, ['boats.csv', 'tides.csv']])
  })

  it('takes none where nothing may be brought, and the browser does not open them either', () => {
    const { taken, over, happens } = place(false)
    expect([happens('dragover'), over.value, happens('drop', files), taken]).toEqual([true, false, true, []])
  })

  it('leaves to others what is no file', () => {
    const { taken, happens } = place()
    expect([happens('drop', { dataTransfer: { files: [] } }), taken]).toEqual([false, []])
  })
})
