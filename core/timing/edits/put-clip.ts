import { dropRecord, putRecord, beatsOf, soundsOf, type Change, type ClipElement, type Deck, type EditContext } from '../../model'
import { addCue, addElement, setFields } from '../../edits'
import { orderLast, type Id } from '../../values'
import { clipPlay } from '../effects'

type NewClip = ClipElement extends infer E ? (E extends ClipElement ? Omit<E, 'order'> : never) : never

/** Puts a film or sound on its slide; it begins to play as the slide opens, or with another of its beats. */
export function putClip(deck: Deck, input: { clip: NewClip; beat?: Id }, context: EditContext): Change[] {
  const beat = input.beat ?? beatsOf(deck, input.clip.owner)[0]?.id
  return [...addElement(deck, { element: input.clip }), ...(beat ? startClip(deck, { element: input.clip.id, beat }, context) : [])]
}

/** A cue that lets a clip play. */
export const startClip = (deck: Deck, input: { element: Id; beat: Id; delay?: number }, context: EditContext): Change[] =>
  addCue(
    deck,
    {
      cue: {
        beat: input.beat,
        element: input.element,
        what: 'media',
        effect: clipPlay.name,
        options: {},
        anchor: { to: 'beat' },
        delay: input.delay ?? 0,
        duration: 0,
        easing: { kind: 'linear' },
        repeat: 1,
      },
    },
    context,
  )

/** Puts a sound over slides of the deck. Its id is the first one asked for. */
export function putSound(
  deck: Deck,
  input: { use: 'bed' | 'narration' | 'effect'; media: string; name: string; fromSlide: Id; untilSlide: Id; delay?: number },
  context: EditContext,
): Change[] {
  const { use, media, name, fromSlide, untilSlide } = input
  const bed = use === 'bed'
  return [
    putRecord('sounds', {
      id: context.id(),
      order: orderLast(soundsOf(deck)),
      name: name.slice(0, 200),
      media,
      use,
      fromSlide,
      untilSlide,
      delay: input.delay ?? 0,
      volume: bed ? 0.5 : 1,
      fadeIn: bed ? 1 : 0,
      fadeOut: bed ? 2 : 0,
      loop: bed,
    }),
  ]
}

/** Gives a slide a voice: what it had is taken away, and where its last beat held as long as reading takes, it holds for the voice. */
export function putNarration(deck: Deck, input: { slide: Id; media: string; name: string }, context: EditContext): Change[] {
  const had = Object.values(deck.sounds).filter(
    sound => sound.use === 'narration' && sound.fromSlide === input.slide && sound.untilSlide === input.slide,
  )
  const last = beatsOf(deck, input.slide).at(-1)
  const voice = had[0]
  return [
    ...had.slice(1).map((sound): Change => dropRecord('sounds', sound.id)),
    ...(voice
      ? setFields(deck, {
          table: 'sounds',
          id: voice.id,
          fields: { media: input.media, from: undefined, until: undefined, captions: undefined },
        })
      : putSound(
          deck,
          { use: 'narration', media: input.media, name: input.name, fromSlide: input.slide, untilSlide: input.slide },
          context,
        )),
    ...(last?.hold.kind === 'reading' ? setFields(deck, { table: 'beats', id: last.id, fields: { hold: { kind: 'media' } } }) : []),
  ]
}
