/** Every view of the application that somebody works in, by its address. */
export const views = [
  '/',
  '/media',
  '/data?table=demo-boardings',
  '/data?table=demo-by-year&view=draw',
  '/data?table=demo-routes-by-season&view=tell',
  '/screens',
  '/people',
  '/account',
  ...['outline', 'compose', 'time', 'check', 'deliver'].map(phase => `/decks/demo-seasons?phase=${phase}`),
  '/decks/demo-seasons?phase=outline&view=overview',
  '/decks/demo-race?phase=outline&view=designs',
  ...['looks', 'palette', 'colors', 'fonts', 'styles', 'ground', 'brand', 'layouts', 'shelf'].map(
    desk => `/decks/demo-briefing?phase=compose&look=${desk}`,
  ),
]
