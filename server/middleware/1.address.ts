import { refuse } from '../access'

/** Control characters in an address are no part of any name here, and a NUL is none that a database takes. */
export default defineEventHandler(event => {
  const [path, query = ''] = event.path.split('?')
  if (/%(?:[01][\da-f]|7f)/i.test(path!) || /%00/.test(query)) refuse(400, 'There is no such address: it holds characters that cannot be read.')
})
