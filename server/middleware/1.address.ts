import { refuse } from '../access'

/** Control characters in an address are no part of any name here, and a NUL is none that a database takes. */
export default defineEventHandler(event => {
  const [path, query = ''] = event.path.split('?')
  // Whoever routes has decoded some of them already.
  if (/%(?:[01][\da-f]|7f)|\p{Cc}/iu.test(path!) || /%00|\p{Cc}/u.test(query))
    refuse(400, 'There is no such address: it holds characters that cannot be read.')
})
