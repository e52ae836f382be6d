import { chooseLayout, layOutAs, setLayout } from '#core/layouts'
import type { LayoutFamily } from '#core/families'
import type { Change, Layout } from '#core/model'
import type { Id } from '#core/values'

/** Gives slides layouts that somebody chooses: these stay where layouts are proposed, and what belongs in them is looked for. */
export function useLayingOut() {
  const store = useDeck()
  const furnish = useFurnishing()
  function choose(slide: Id, name: string, changes: Change[]) {
    store.edit(`lay out as ${name}`, [...changes, ...chooseLayout(store.current, { slide, chosen: true })])
    void furnish([slide])
  }
  return {
    inFamily: (slide: Id, family: LayoutFamily) =>
      choose(slide, family.label.toLowerCase(), layOutAs(store.current, { slide, family }, store.context)),
    inLayout: (slide: Id, { id, name }: Layout) => choose(slide, name, setLayout(store.current, { slide, layout: id }, store.context)),
  }
}
