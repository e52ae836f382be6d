import { z } from 'zod'
import { readAs, requireEditor } from '../../access'
import { addScreen } from '../../database/screens'
import { newId, newToken } from '../../new-id'

const input = z.object({ name: z.string().trim().min(1, 'A name is missing').max(120), place: z.string().trim().max(120).default('') })

/** Adds a screen; it has an address from the start. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const screen = { id: newId(), token: newToken(), ...readAs(input, await readBody(event)) }
  await addScreen(screen)
  return screen
})
