import type { Page } from '@playwright/test'
import type { Change, Deck, Slide } from '../../core/model'
import type { Moment, Rundown } from '../../core/timing'

/** What the page's own stores say and do, as far as tests ask for what no control gives: a place to the very millisecond, exact lengths. */
interface Stores {
  deck: { current: Deck; shown: Deck; slides: readonly Slide[]; plan: Rundown; edit(label: string, changes: readonly Change[]): void }
  where: { slideId: string; goTo(moment: Moment): void }
}

/** Runs a function in the page with its stores; it is carried there as text, and so knows nothing of what stands around it but `input`. */
export const inStores = <T, W = undefined>(page: Page, work: (stores: Stores, input: W) => T, input?: W): Promise<T> =>
  page.evaluate(
    `(() => {
      const stores = document.querySelector('#__nuxt').__vue_app__.config.globalProperties.$pinia._s
      return (${work.toString()})({ deck: stores.get('deck'), where: stores.get('where') }, ${JSON.stringify(input)})
    })()`,
  )
