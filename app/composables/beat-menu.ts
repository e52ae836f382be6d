import { addBeat, removeBeat, setFields } from '#core/edits'
import type { Beat } from '#core/model'
import { mergeBeats, moveBeat, splitBeat } from '#core/timing'
import type { ScoreColumn } from './score-columns'

/** What is done to beats: begun, parted, joined, moved, and how they start and hold. `beatIndex` is that of the playhead. */
export function useBeatMenu(columns: () => readonly ScoreColumn[], beatIndex: () => number) {
  const store = useDeck()
  const where = useWhere()
  const sounds = useSounds()
  const score = computed(() => where.score!)
  const context = { id: freshId }

  function newBeat() {
    const here = columns()[beatIndex()]
    // Inside a beat it begins at the playhead, with what comes from there on; at its end it follows.
    if (here && canPart(here) && score.value.beats[here.index]!.cues.some(item => item.start >= where.moment!.seconds)) return part(here)
    const after = score.value.beats[beatIndex()]?.beat ?? null
    const changes = addBeat(
      store.current,
      { slide: where.slideId!, after: after?.id ?? null, start: store.purpose === 'talk' ? 'advance' : 'self' },
      context,
    )
    store.edit('new beat', changes)
    where.goTo({ slide: where.slideId!, beat: beatIndex() + 1, seconds: 0 })
  }
  const setBeat = (beat: Beat, label: string, fields: Partial<Beat>) =>
    store.edit(label, setFields(store.current, { table: 'beats', id: beat.id, fields }))
  /** The beat that is being named. */
  const naming = ref<string | null>(null)
  const name = (beat: Beat, words: string) => setBeat(beat, 'name a beat', { name: words || undefined })
  const loopOver = (from: number, to: number) => (where.loop = { from, to })
  /** The beats from what is looped, or from the playhead, to another one; null where that is the same. */
  function others(column: ScoreColumn) {
    const { from, to } = where.loop ?? { from: beatIndex(), to: beatIndex() }
    const span = { from: Math.min(from, column.index), to: Math.max(to, column.index) }
    return span.from === span.to || (span.from === from && span.to === to && where.loop) ? null : span
  }
  /** Lets a beat end where the slide's voice is at its end now, whatever comes to move in it. */
  function withVoice(column: ScoreColumn) {
    const { voice } = sounds
    const beat = score.value.beats[column.index]!
    const at = voice ? beat.at + beat.length - voice.delay + (voice.from ?? 0) : -1
    if (!voice || at < 0) return []
    const hold: Beat['hold'] = { kind: 'voice', sound: voice.id, at: Math.round(at * 100) / 100, seconds: column.hold }
    return [
      {
        label: `Hold until the voice is at ${secondsWords(at)}`,
        onSelect: () => setBeat(column.beat, `hold beat ${column.index + 1}`, { hold }),
      },
    ]
  }
  /** How a beat starts and what it holds for. */
  const starts = (column: ScoreColumn) => [
    ...(column.index > 0
      ? [
          {
            label: column.start === 'advance' ? 'Start by itself' : 'Start on advance',
            onSelect: () => setBeat(column.beat, 'change how a beat starts', { start: column.start === 'advance' ? 'self' : 'advance' }),
          },
        ]
      : []),
    {
      label: 'Hold as long as reading takes',
      onSelect: () => setBeat(column.beat, `hold beat ${column.index + 1}`, { hold: { kind: 'reading' } }),
    },
    {
      label: 'Hold until its clip or voice ends',
      onSelect: () => setBeat(column.beat, `hold beat ${column.index + 1}`, { hold: { kind: 'media' } }),
    },
    {
      label: `Hold ${secondsWords(column.hold)}, fixed`,
      onSelect: () => setBeat(column.beat, `hold beat ${column.index + 1}`, { hold: { kind: 'seconds', seconds: column.hold } }),
    },
    ...withVoice(column),
  ]
  /** What goes round, and what the beat is called. */
  function loops(column: ScoreColumn) {
    const span = others(column)
    return [
      { label: 'Loop it', icon: 'i-lucide-repeat', onSelect: () => loopOver(column.index, column.index) },
      ...(span ? [{ label: `Loop beats ${span.from + 1} to ${span.to + 1}`, onSelect: () => loopOver(span.from, span.to) }] : []),
      ...(where.loop ? [{ label: 'Loop nothing', onSelect: () => (where.loop = null) }] : []),
      {
        label: column.beat.name ? 'Rename it' : 'Name it',
        icon: 'i-lucide-pencil',
        onSelect: () => afterMenu(() => void (naming.value = column.beat.id)),
      },
    ]
  }
  const beatMenu = (column: ScoreColumn) =>
    [
      starts(column),
      loops(column),
      [
        { label: 'Split it at the playhead', disabled: !canPart(column), onSelect: () => part(column) },
        {
          label: 'Join it with the next',
          disabled: column.index + 1 >= columns().length,
          onSelect: () => store.edit('join beats', mergeBeats(store.current, score.value, { beat: column.beat.id })),
        },
        {
          label: 'Earlier by one',
          disabled: column.index === 0,
          onSelect: () => store.edit('move a beat', moveBeat(store.current, { beat: column.beat.id, by: -1 })),
        },
        {
          label: 'Later by one',
          disabled: column.index + 1 >= columns().length,
          onSelect: () => store.edit('move a beat', moveBeat(store.current, { beat: column.beat.id, by: 1 })),
        },
      ],
      columns().length > 1
        ? [
            {
              label: 'Remove the beat, keep its cues',
              onSelect: () => store.edit('remove a beat', removeBeat(store.current, { beat: column.beat.id })),
            },
          ]
        : [],
    ].filter(list => list.length)
  function part(column: ScoreColumn) {
    store.edit(
      'split a beat',
      splitBeat(
        store.current,
        score.value,
        { beat: column.beat.id, at: where.moment!.seconds, start: store.purpose === 'talk' ? 'advance' : 'self' },
        context,
      ),
    )
    where.goTo({ slide: where.slideId!, beat: column.index + 1, seconds: 0 })
  }
  const canPart = (column: ScoreColumn) =>
    where.moment?.slide === where.slideId &&
    where.moment.beat === column.index &&
    where.moment.seconds > 0.01 &&
    where.moment.seconds < column.moves + column.hold - 0.01
  const startWords = { open: 'as the slide opens', advance: 'on advance', self: 'goes on by itself' }
  const holdWords = (column: ScoreColumn) =>
    column.beat.hold.kind === 'reading'
      ? 'as long as reading takes'
      : column.beat.hold.kind === 'media'
        ? 'until its clip or voice ends'
        : column.beat.hold.kind === 'voice' && store.current.sounds[column.beat.hold.sound]
          ? `until ${secondsWords(column.beat.hold.at)} of “${store.current.sounds[column.beat.hold.sound]!.name}”`
          : `holds ${secondsWords(column.hold)}`
  return { newBeat, naming, name, beatMenu, startWords, holdWords }
}
