import { chartKindNamed, drawingOfElement } from '#core/charts'
import { addCue, buildOnAdvance } from '#core/edits'
import { cuesOfElement, paragraphTexts, type Beat, type Cue, type Element } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { diagramParts } from '#core/diagrams'
import { gestures, poses } from '#core/figures'
import { effectNamed, effectsFor, figureGoesOn, makeGesture, namedEasings, paceFor, takePose, usualMotion } from '#core/timing'

interface MenuItem {
  label: string
  icon?: string
  onSelect?: () => void
  children?: MenuItem[][]
}

/** What can be brought to an element, or to a board’s camera, in the beat at the playhead: the menus of the score. */
export function useMotionMenus(beatHere: () => Beat) {
  const store = useDeck()
  const selected = useSelected()
  const stage = useStageHost()
  const many = useScore()
  const motions = useMotions()
  const board = useBoard()
  const context = { id: freshId }

  function newCue(element: Element, what: Cue['what'], effect: string, more: Partial<Cue> = {}) {
    const beat = beatHere()
    const changes = addCue(
      store.current,
      {
        cue: {
          beat: beat.id,
          element: element.id,
          what,
          effect,
          options: {},
          anchor: { to: 'beat' },
          delay: 0,
          duration: effectNamed(effect, what).duration,
          easing: paceFor(effect, what),
          repeat: 1,
          ...more,
        },
      },
      context,
    )
    store.edit(`bring motion to ${element.name}`, changes)
    const put = changes[0]
    if (put?.do === 'put') selected.cueId = put.record.id
  }
  function onAdvance(element: Element, by: 'paragraph' | 'mark' | 'item', count: number) {
    if (!count) return
    const after = beatHere()
    store.edit(
      `build ${element.name}`,
      buildOnAdvance(
        store.current,
        {
          element: element.id,
          after: after.id,
          count,
          by,
          start: store.purpose === 'talk' ? 'advance' : 'self',
          cue: {
            effect: by === 'mark' ? 'grow' : 'rise',
            options: by === 'mark' ? {} : { from: 'left', way: 40 },
            duration: 0.5,
            easing: namedEasings['ease out'],
          },
        },
        context,
      ),
    )
  }
  const cameraMenu = computed(() => [
    [
      ...board.views.map((view, index) => ({ label: `${index + 1} ${view.name}`, onSelect: () => board.goTo(view.id, beatHere().id) })),
      { label: 'All of the board', onSelect: () => board.goTo('all', beatHere().id) },
    ],
  ])
  /** What the parts of a chart are called, as a menu begins with it. */
  const partsOf = (element: ShownElement) => {
    const { part } = chartKindNamed((element.kind === 'chart' && element.chart?.kind) || '')
    return `${part[0]!.toUpperCase()}${part.slice(1)}s`
  }
  const markCount = (element: ShownElement) =>
    element.kind === 'chart' ? (drawingOfElement(store.current, element, null, stage.host.table, stage.host.measurer)?.parts ?? 0) : 0
  const itemCount = (element: Element) => (element.kind === 'diagram' ? diagramParts(element.text, element.family).length : 0)
  const lineCount = (element: Element) => (element.kind === 'text' ? paragraphTexts(element.text).filter(text => text.trim()).length : 0)
  const asUsual = (element: Element, what: Cue['what']): MenuItem[] => {
    const usual = what === 'enter' || what === 'exit' ? usualMotion(store.current, what, element.kind) : null
    if (!usual) return []
    const more = { options: usual.options ?? {}, duration: usual.duration, easing: usual.easing }
    const label = `As usual: ${effectNamed(usual.effect, what).label.toLowerCase()}`
    return [{ label, onSelect: () => newCue(element, what, usual.effect, more) }]
  }
  const offer = (element: Element, what: Cue['what'], label: string): MenuItem => ({
    label,
    children: [
      asUsual(element, what),
      effectsFor(what, element.kind).map(effect => ({ label: effect.label, onSelect: () => newCue(element, what, effect.name) })),
    ].filter(list => list.length),
  })
  function goOn(figure: Element) {
    const changes = figureGoesOn(store.current, { figure: figure.id }, { ...stage.host, ...context })
    if (!changes.length) return notifyProblem(`${figure.name} cannot go on: no slide follows, or it has gone out before its slide ends.`)
    store.edit(`let ${figure.name} go on`, changes)
    notify(`${figure.name} stands on the next slide where this one leaves it.`)
  }
  const acts = (figure: Element): MenuItem => ({
    label: 'Acts',
    children: [
      gestures.map(gesture => ({
        label: gesture.label,
        onSelect: () => newCue(figure, 'pose', makeGesture.name, { options: { gesture: gesture.name }, duration: gesture.seconds }),
      })),
      [{ label: 'Goes on on the next slide', icon: 'i-lucide-corner-down-right', onSelect: () => goOn(figure) }],
      poses.map(pose => ({
        label: `Takes the pose: ${pose.label.toLowerCase()}`,
        onSelect: () => newCue(figure, 'pose', takePose.name, { options: { pose: pose.name } }),
      })),
    ],
  })
  /** How what an element holds comes in part by part, where it has more than one. */
  function builds(element: ShownElement): MenuItem[] {
    const each = store.purpose === 'talk' ? 'on advance' : 'one after the other, a beat each'
    const inBeat = (label: string, effect: string, by: NonNullable<Cue['parts']>['by'], stagger: number): MenuItem => ({
      label,
      onSelect: () => newCue(element, 'enter', effect, { parts: { by, stagger } }),
    })
    const inBeats = (label: string, by: 'paragraph' | 'item', count: number): MenuItem[] =>
      count > 1
        ? [{ label: `${label}, ${each}`, onSelect: () => onAdvance(element, by, count) }, inBeat(`${label}, in this beat`, 'rise', by, 0.4)]
        : []
    return [
      ...inBeats('Line by line', 'paragraph', lineCount(element)),
      ...inBeats('Item by item', 'item', itemCount(element)),
      ...(element.kind === 'table' ? [inBeat('Row by row', 'rise', 'line', 0.3), inBeat('Column by column', 'rise', 'series', 0.3)] : []),
      ...(markCount(element) > 1 ? [inBeat(`${partsOf(element)} one after the other`, 'grow', 'mark', 0.15)] : []),
    ]
  }
  /** Motion that is taken from one element to others. */
  function carried(element: Element): MenuItem[] {
    const own = cuesOfElement(store.current, element.id)
    const copied: MenuItem[] = [{ label: 'Copy its motion', icon: 'i-lucide-copy', onSelect: () => many.copy(own.map(cue => cue.id)) }]
    const pasted: MenuItem[] = [
      { label: 'Add the copied motion', icon: 'i-lucide-clipboard-plus', onSelect: () => many.paste([element.id], 'add') },
      {
        label: 'Replace its motion by the copied one',
        icon: 'i-lucide-clipboard-paste',
        onSelect: () => many.paste([element.id], 'replace'),
      },
    ]
    const applied: MenuItem = { label: 'Apply motion…', icon: 'i-lucide-copy-check', onSelect: () => motions.ask(element.id) }
    return [...(own.length ? copied : []), ...(many.clipping ? pasted : []), applied]
  }
  const menu = (element: ShownElement): MenuItem[][] =>
    [
      builds(element),
      [
        offer(element, 'enter', 'Entrance'),
        offer(element, 'emphasis', 'Emphasis'),
        offer(element, 'move', 'Motion'),
        offer(element, 'exit', 'Exit'),
        ...(element.kind === 'film' || element.kind === 'sound' ? [offer(element, 'media', 'Playback')] : []),
        ...(element.kind === 'figure' ? [acts(element)] : []),
      ],
      carried(element),
    ].filter(list => list.length)
  return { menu, cameraMenu }
}
