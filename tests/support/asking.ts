import type { Page, Request } from '@playwright/test'

/** Follows what a page asks the server for, until `end`: `asked` names what has not been answered yet. */
export function asking(page: Page) {
  const open = new Set<Request>()
  const begin = (request: Request) => void open.add(request)
  const done = (request: Request) => void open.delete(request)
  page.on('request', begin).on('requestfinished', done).on('requestfailed', done)
  return {
    asked: () => [...open].map(request => request.url()).join(', ') || 'nothing',
    end: () => void page.off('request', begin).off('requestfinished', done).off('requestfailed', done),
  }
}
