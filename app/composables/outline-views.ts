/** Ways to look at what a deck says. */
export const outlineViews = [
  { value: 'text', label: 'Text' },
  { value: 'overview', label: 'Overview' },
  { value: 'designs', label: 'Whole decks' },
] as const
export type OutlineView = (typeof outlineViews)[number]['value']
