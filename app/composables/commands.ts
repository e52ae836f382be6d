import { titleOf } from '#core/layouts'

/** Something that can be asked for by words: what it is called, what else it is looked for by, its keys, and what it does. */
export interface Command {
  label: string
  keywords: string
  icon: string
  keys?: string
  run: () => void
}

/** The desks of the look, with the settings that stand on them. */
export const lookDesks = [
  { name: 'looks', label: 'Looks', icon: 'i-lucide-sparkles', settings: 'art direction style design compose light deep ground ornaments' },
  {
    name: 'palette',
    label: 'Palette',
    icon: 'i-lucide-palette',
    settings: 'colours roles brand colour hex scheme from a logo or picture accents link',
  },
  { name: 'colors', label: 'Colours in use', icon: 'i-lucide-paint-bucket', settings: 'replace a colour everywhere count' },
  {
    name: 'ground',
    label: 'Background',
    icon: 'i-lucide-square',
    settings: 'gradient picture overlay pattern fill of slide layout master theme',
  },
  { name: 'fonts', label: 'Fonts', icon: 'i-lucide-type', settings: 'typeface font pair upload woff2 replace a font scripts letters' },
  {
    name: 'styles',
    label: 'Text styles',
    icon: 'i-lucide-baseline',
    settings: 'size weight italic line height letter spacing capitals bullets indent aligned title body quote number',
  },
  { name: 'layouts', label: 'Masters, layouts', icon: 'i-lucide-layout-template', settings: 'placeholder place form rename layout master' },
  { name: 'brand', label: 'Logo and footer', icon: 'i-lucide-stamp', settings: 'logo footer date slide number hand out as a form' },
  { name: 'shelf', label: 'Themes', icon: 'i-lucide-library', settings: 'theme library use save export import look' },
] as const

const phaseWords: Readonly<Record<PhaseName, string>> = {
  outline: 'write words slides chapters notes agenda layouts overview starters',
  compose: 'stage elements add text picture chart table diagram shape place size colour',
  time: 'score beats cues motion entrance emphasis exit transition sound voice music tempo hold easing',
  check: 'findings contrast reading spelling remedies accessible',
  deliver: 'present film loop screens publish export share link paper',
}

/** Everything that can be asked for by words on a deck's page, beside what is in the deck. */
export function useCommands(does: { go(phase: string): void; play(): void; tellKeys(): void; tour(): void }) {
  const store = useDeck()
  const where = useWhere()
  const route = useRoute()
  const router = useRouter()
  const color = useColorMode()
  const slides = useSlideMenu()
  const help = useHelp()
  const toDesk = (look: string) => void router.replace({ query: { ...route.query, phase: 'compose', look } })
  const toOutline = (view?: string) => void router.replace({ query: { ...route.query, phase: 'outline', view } })

  const toPhases = (): Command[] => [
    ...phases.map((phase, index) => ({
      label: `Go to ${phase.label}`,
      keywords: phaseWords[phase.name],
      icon: 'i-lucide-arrow-right',
      keys: `Alt ${index + 1}`,
      run: () => does.go(phase.name),
    })),
    { label: 'Play from here', keywords: 'present talk full screen show', icon: 'i-lucide-play', run: does.play },
    {
      label: 'Overview of all slides',
      keywords: 'sort move gather tiles thumbnails',
      icon: 'i-lucide-layout-grid',
      run: () => toOutline('overview'),
    },
  ]
  const toDesks = (): Command[] =>
    lookDesks.map(desk => ({
      label: desk.label,
      keywords: `look design theme ${desk.settings}`,
      icon: desk.icon,
      run: () => toDesk(desk.name),
    }))
  function ofSlide(): Command[] {
    const here = where.slideId ?? store.slides[0]?.id
    if (!here || !store.deck || !store.canEdit) return []
    const title = titleOf(store.deck, here) || 'without a title'
    return [
      { label: 'New slide after this one', keywords: 'add insert', icon: 'i-lucide-plus', run: () => void slides.newAfter(here) },
      ...[slides.duplicate(here), slides.skip(here), slides.remove(here)].map(item => ({
        label: `${item.label}: ${title}`,
        keywords: 'slide copy delete hide',
        icon: String(item.icon),
        run: () => void (item.onSelect as () => void)(),
      })),
    ]
  }
  const ofHistory = (): Command[] => [
    ...(store.undoLabel
      ? [{ label: `Undo: ${store.undoLabel}`, keywords: 'back revert', icon: 'i-lucide-undo-2', keys: 'Ctrl Z', run: () => store.undo() }]
      : []),
    ...(store.redoLabel
      ? [{ label: `Redo: ${store.redoLabel}`, keywords: 'again', icon: 'i-lucide-redo-2', keys: 'Ctrl Shift Z', run: () => store.redo() }]
      : []),
  ]
  const ofAll = (): Command[] => [
    {
      label: color.value === 'dark' ? 'Light room' : 'Dark room',
      keywords: 'theme scheme dark mode light mode night',
      icon: color.value === 'dark' ? 'i-lucide-sun' : 'i-lucide-moon',
      run: () => {
        color.preference = color.value === 'dark' ? 'light' : 'dark'
      },
    },
    { label: 'Keys', keywords: 'keyboard shortcuts help', icon: 'i-lucide-keyboard', keys: '?', run: does.tellKeys },
    {
      label: 'The tour of one minute',
      keywords: 'help start first steps introduction learn',
      icon: 'i-lucide-footprints',
      run: does.tour,
    },
    ...(Object.keys(helpTopics) as HelpName[]).map(name => ({
      label: `Help: ${helpTopics[name].label}`,
      keywords: helpTopics[name].lines.join(' '),
      icon: 'i-lucide-circle-help',
      run: () => {
        help.value = name
      },
    })),
    { label: 'All decks', keywords: 'home leave list', icon: 'i-lucide-presentation', run: () => void navigateTo('/') },
    { label: 'Media', keywords: 'pictures films sounds files upload', icon: 'i-lucide-images', run: () => void navigateTo('/media') },
    { label: 'Screens', keywords: 'loops signage displays wall', icon: 'i-lucide-monitor', run: () => void navigateTo('/screens') },
  ]
  return computed<Command[]>(() => [...toPhases(), ...toDesks(), ...ofSlide(), ...ofHistory(), ...ofAll()])
}

/** The commands that every word fits, those first whose name begins so. */
export function findCommands(commands: readonly Command[], words: string): Command[] {
  const asked = words.trim().toLowerCase().split(/\s+/).filter(Boolean)
  if (!asked.length) return [...commands]
  const named = (command: Command) => command.label.toLowerCase()
  return commands
    .filter(command => asked.every(word => `${named(command)} ${command.keywords}`.includes(word)))
    .sort((a, b) => Number(named(b).includes(asked[0]!)) - Number(named(a).includes(asked[0]!)))
}
