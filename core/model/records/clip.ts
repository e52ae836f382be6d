import { z } from 'zod'
import { fractionSchema, hashSchema, secondsSchema } from '../../values'

/** Words that are read along: `from` and `until` in seconds into the media file. */
export const captionSchema = z.object({ from: secondsSchema, until: secondsSchema, text: z.string().min(1).max(1000) })
export const captionsSchema = z.array(captionSchema).max(20_000)

/** What films and sounds have in common: which stretch of which file plays, and how. */
export const clipFields = {
  /** SHA-256 of the file's bytes; absent while the place is empty. */
  media: hashSchema.optional(),
  /** The stretch that plays, seconds into the file; absent are its ends. */
  from: secondsSchema.optional(),
  until: secondsSchema.optional(),
  /** 1 is as recorded, 2 twice as fast. */
  speed: z.number().min(0.25).max(4).optional(),
  volume: fractionSchema.optional(),
  /** It begins again until its slide ends. */
  loop: z.boolean().optional(),
  /** Of one that begins again: seconds over which its end goes over into its beginning; absent is a cut. */
  blend: secondsSchema.optional(),
  /** Over how many slides after its own it runs on. */
  over: z.int().min(1).max(1000).optional(),
  captions: captionsSchema.optional(),
}

export type Caption = z.infer<typeof captionSchema>
