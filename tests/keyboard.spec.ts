import { expect, test, type Page } from '@playwright/test'
import { enter } from './support/people'
import { openView, views } from './support/views'

interface Walked {
  /** Controls in sight that the key never came to. */
  missed: string[]
  /** Controls that do not show that they are reached. */
  unmarked: string[]
  /** How many were reached, and whether the walk came out again at its end. */
  reached: number
  left: boolean
}

/** Marks what Tab should come to, for what it reaches to be told from it. */
const mark = (page: Page) =>
  page.evaluate(() => {
    const seen = (node: Element) => {
      const box = node.getBoundingClientRect()
      return (
        box.width > 0 &&
        box.height > 0 &&
        node.checkVisibility({ visibilityProperty: true }) &&
        !node.closest('[inert], [aria-hidden=true]')
      )
    }
    const all = [...document.querySelectorAll<HTMLElement>('a[href], button, input, select, textarea, [tabindex]')].filter(
      node => node.tabIndex >= 0 && !node.matches(':disabled, [type=hidden], [type=file]') && seen(node),
    )
    all.forEach((node, index) => (node.dataset.walk = String(index)))
    return all.length
  })

/** Walks a view by Tab alone until it leaves the page, or is where it began: a browser without a frame of its own has nothing between. */
async function walked(page: Page): Promise<Walked> {
  const count = await mark(page)
  const unmarked = new Set<string>()
  let left = false
  for (let press = 0; press < count + 80 && !left; press++) {
    await page.keyboard.press('Tab')
    const at = await page.evaluate(() => {
      const node = document.activeElement
      if (!node || node === document.body) return null
      const first = document.querySelector('[data-first]')
      if (first === node) return null
      if (!first) (node as HTMLElement).dataset.first = ''
      ;(node as HTMLElement).dataset.reached = ''
      // The mark may be drawn by what stands around a field.
      const around = [node, node.parentElement, node.parentElement?.parentElement].filter(one => one !== null && one !== undefined)
      // What is reached on the stage is selected, with a frame around it; in words that are written the cursor stands.
      const isSelected = node.matches('[data-hit][aria-pressed=true], textarea')
      const isMarked =
        isSelected ||
        around.some(one => {
          const { outlineStyle, outlineWidth, boxShadow } = getComputedStyle(one)
          return (outlineStyle !== 'none' && outlineWidth !== '0px') || boxShadow !== 'none'
        })
      return { isMarked, html: node.outerHTML.slice(0, 140) }
    })
    if (at && !at.isMarked) unmarked.add(at.html)
    left = at === null
  }
  const rest = await page.evaluate(() => ({
    missed: [...document.querySelectorAll<HTMLElement>('[data-walk]:not([data-reached])')]
      // Of a group of which one is chosen, Tab comes to that one, and the arrows to the others.
      .filter(node => !node.closest('[role=radiogroup], [role=tablist], [role=toolbar], [role=grid], [role=listbox]'))
      .map(node => node.outerHTML.slice(0, 140)),
    reached: document.querySelectorAll('[data-reached]').length,
  }))
  return { ...rest, unmarked: [...unmarked], left }
}

for (const half of [0, 1])
  test(`every view is walked by the keyboard alone, comes to all that can be pressed, and shows where one is (${half + 1} of 2)`, async ({
    page,
  }) => {
    await enter(page)
    const found: Record<string, Partial<Walked>> = {}
    for (const view of views.filter((_, index) => index % 2 === half)) {
      await openView(page, view)
      // All of it is there once no more controls come.
      let before = -1
      await expect
        .poll(
          async () => {
            const [last, now] = [before, await mark(page)]
            before = now
            return now > 8 && now === last
          },
          { intervals: [500] },
        )
        .toBe(true)
      const { missed, unmarked, reached, left } = await walked(page)
      if (missed.length || unmarked.length || !left || reached < 5)
        found[view] = { missed: missed.slice(0, 6), unmarked: unmarked.slice(0, 6), reached, left }
    }
    expect(found).toEqual({})
  })
