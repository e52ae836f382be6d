import { z } from 'zod'

/** What one signs in with. It is read by the page once somebody has pressed, so that the page itself stays light. */
export const signInSchema = z.object({
  email: z
    .string()
    .trim()
    .min(1, 'Write the e-mail address that you have here.')
    .pipe(z.email('This is no e-mail address. Write it as name@place.example.')),
  password: z.string().min(1, 'Write your password.'),
})
