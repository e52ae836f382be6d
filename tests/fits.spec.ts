import { expect, test, type Page } from '@playwright/test'
import { enter } from './support/people'
import { groups, openView } from './support/views'

/** Controls and headings that stand beyond the window or are cut off by what they stand in, and words that are cut off without a sign. */
const cut = (page: Page) =>
  page.evaluate(() => {
    const style = (node: Element) => getComputedStyle(node)
    const scrolls = (node: Element, axis: 'X' | 'Y') => /auto|scroll/.test(style(node)[`overflow${axis}`])
    const clips = (node: Element, axis: 'X' | 'Y') => style(node)[`overflow${axis}`] !== 'visible'
    /** What is left to see of a box within all that cuts it off and cannot be scrolled. */
    function lost(node: Element): string | null {
      const box = node.getBoundingClientRect()
      let [across, down] = [true, true]
      for (let around = node.parentElement; around && around !== document.documentElement; around = around.parentElement) {
        const room = around.getBoundingClientRect()
        // What can be scrolled along an axis shows all of it in time. What is scrolled down is not meant to be scrolled across too, unless
        // it is a plane such as a grid: a control at its side is cut off all the same.
        const isPlane = around.matches('[role=grid], :has(> table), :has(> [role=grid])')
        const isColumn = scrolls(around, 'X') && scrolls(around, 'Y') && !isPlane
        if (across && isColumn && (box.right > room.right + 1.5 || box.left < room.left - 1.5))
          return 'cut off at a side of what is scrolled down'
        if (scrolls(around, 'X')) across = false
        if (scrolls(around, 'Y')) down = false
        if (across && clips(around, 'X') && (box.right > room.right + 1.5 || box.left < room.left - 1.5)) return 'cut off at a side'
        if (down && clips(around, 'Y') && (box.bottom > room.bottom + 1.5 || box.top < room.top - 1.5)) return 'cut off above or below'
        if (style(around).position === 'fixed') break
      }
      if (across && (box.right > innerWidth + 0.5 || box.left < -0.5)) return 'beyond the window'
      return null
    }
    const said = (node: Element) => node.outerHTML.replace(/\s+/g, ' ').slice(0, 130)
    const seen = (node: Element) => {
      const box = node.getBoundingClientRect()
      return box.width > 1 && box.height > 1 && node.checkVisibility({ visibilityProperty: true, opacityProperty: true })
    }
    const all = [...document.querySelectorAll('button, a[href], input, select, textarea, h1, h2, h3, [role=tab], [role=slider]')].filter(
      node => seen(node) && !node.closest('.stage-slide, [aria-hidden=true], [inert]') && !node.matches('[type=file]'),
    )
    /** Whether what is cut short can be had whole: from the control that it stands in. */
    const whole = (node: HTMLElement) => {
      const control = node.closest<HTMLElement>('button, a[href], label') ?? node
      return control.title || control.ariaLabel
    }
    const found = all.flatMap(node => {
      const how = lost(node)
      return how ? [`${how}: ${said(node)}`] : []
    })
    // Words that do not fit are only cut where dots say so, and where all of them can be had.
    for (const node of document.querySelectorAll<HTMLElement>(
      'button, a[href], h1, h2, h3, label, [role=tab], [role=tab] *, button > span',
    )) {
      if (!seen(node) || node.closest('.stage-slide, [aria-hidden=true]') || node.scrollWidth <= node.clientWidth + 1) continue
      if (style(node).overflowX === 'visible' || (style(node).textOverflow === 'ellipsis' && whole(node))) continue
      found.push(`words cut: ${said(node)}`)
    }
    if (document.documentElement.scrollWidth > innerWidth) found.push(`the page is ${document.documentElement.scrollWidth} px wide`)
    return found
  })

for (const [group, views] of Object.entries(groups))
  test(`nothing is cut off in a small window, in any of ${group}`, async ({ page }) => {
    await page.setViewportSize({ width: 1024, height: 768 })
    await enter(page)
    const found: Record<string, string[]> = {}
    const look = async (where: string) => {
      const lost = await cut(page)
      if (lost.length) found[where] = lost.slice(0, 12)
    }
    for (const view of views) {
      await openView(page, view)
      await look(view)
      if (!view.includes('compose') || view.includes('look')) continue
      // All settings of an element, one after the other.
      await page.locator('[data-hit]').first().click()
      const tabs = page.getByRole('tablist').last().getByRole('tab')
      for (const tab of await tabs.all()) {
        await tab.click()
        await look(`${view}, ${await tab.innerText()}`)
      }
    }
    expect(found).toEqual({})
  })
