import { z } from 'zod'

/** A fraction, 0 to 1. */
export const fractionSchema = z.number().min(0).max(1)
