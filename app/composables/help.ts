/** What a place of the application is for, in a few sentences that are read in half a minute. */
export interface HelpTopic {
  label: string
  lines: readonly string[]
}

/** Help on every desk and page, by name; those of a deck are called as its phases and the desks of the look are. */
export const helpTopics = {
  outline: {
    label: 'Outline',
    lines: [
      'Write what you will say: a line is a slide, an indented line stands on it.',
      'Pasted text, Markdown, OPML, CSV and the lists of a page become slides.',
      'Beside it are ways to lay the slide out; the words stay whichever you take. Overview shows all slides, to sort and to pick several.',
      'Notes are for the speaker and decide how long a slide is planned. A chapter begins by the menu of a slide.',
    ],
  },
  compose: {
    label: 'Compose',
    lines: [
      'Add elements above the stage, drag them, and set what is selected on the right.',
      'Two presses go into an element: its words, its frame, its group; in a shape one writes.',
      'Drag a file onto the stage to put it there; onto a picture or chart to put it in its place.',
      'Press a chart twice to work inside it: move and write its words, highlight its marks, pull the ends of those of a typed table.',
      'Arrows nudge, Alt makes the step fine, Shift makes it wide. The right button on an element shows all that can be done with it.',
    ],
  },
  time: {
    label: 'Time',
    lines: [
      'A slide happens in beats; each holds until the next begins, by a press or by itself.',
      'A row of the score is an element, a bar is a cue: what it does and when.',
      'Give motion with the plus at the end of a row; drag a bar, its ends, or the line at the end of a beat.',
      'Apply motion puts what one element does on others, saves it for the team, or turns it round.',
      'The menu of a beat loops, splits, joins and names it.',
    ],
  },
  check: {
    label: 'Check',
    lines: [
      'What could go wrong, read from what is really drawn: words that are too faint, cut off, too small, or held for too short.',
      'Each finding leads to its place; where there is a remedy, one press does it and shows it before.',
      'What could not be measured is listed apart: no findings there means nothing was looked at.',
    ],
  },
  deliver: {
    label: 'Deliver',
    lines: [
      'The same deck as a talk, a film, a page that plays by itself, a file, or on a loop of screens. The timing is one.',
      'A film is made by the server, frame by frame; you may go on working meanwhile.',
      'Hand out as a form lets others fill places and change nothing else.',
    ],
  },
  looks: {
    label: 'Looks',
    lines: [
      'A look composes every layout anew: where titles stand, how points, steps and figures are set, which ornament carries it.',
      'Words, beats and what was placed by hand stay. A press shows every slide before and after; putting it on is one step to undo.',
    ],
  },
  palette: {
    label: 'Palette',
    lines: [
      'The colours of the deck by role: background, ink and six accents. Whatever uses a role follows when it changes.',
      'Schemes come whole, from a picture, or from a logo. On deep backgrounds ink and background change places by themselves.',
    ],
  },
  colors: {
    label: 'Colours in use',
    lines: [
      'Every colour that is seen on the slides, with where. Those that are no roles stand first.',
      'Replace one everywhere at once, by a role where you can: it then follows the palette.',
    ],
  },
  ground: {
    label: 'Background',
    lines: [
      'What lies behind slides: a colour, a gradient, four colours or a picture with an overlay.',
      'The theme, a master, a layout or one slide may say so; the nearest that does decides.',
    ],
  },
  fonts: {
    label: 'Fonts',
    lines: [
      'A family for titles, one for text and one for figures in columns. All that ship work without a network; your own can be uploaded.',
      'Replace a font wherever it stands; Check says which letters a font lacks.',
    ],
  },
  styles: {
    label: 'Text styles',
    lines: [
      'How titles, text, quotes and numbers are set, each with the least size it may shrink to.',
      'A text that departs from its style has a dot in the list of elements; its departure can go into the style, or be given up.',
    ],
  },
  layouts: {
    label: 'Masters, layouts',
    lines: [
      'A layout keeps places for words and pictures; a master stands behind several layouts.',
      'What you move here moves on every slide of it.',
      'The right button on one duplicates, renames and removes it; slides of a removed layout go to another that you choose.',
    ],
  },
  brand: {
    label: 'Logo and footer',
    lines: [
      'The logo in a form for light and one for deep backgrounds, with its clear space; footer, date and slide number on every slide.',
      'As a form the deck is handed out: others fill its places and change nothing else.',
    ],
  },
  shelf: {
    label: 'Themes',
    lines: ['Looks that the team keeps: use one on this deck, or save this look for others. A look can go out and come in as a file.'],
  },
  decks: {
    label: 'Decks',
    lines: [
      'All decks of the team. Begin with pasted words, a new deck, a starter, or an imported file.',
      'Folders are made by dragging a deck or by its menu; what is removed lies in the trash until it is deleted for good.',
      'The bar under a deck is as wide as it lasts; all of the width is 20 minutes. It is reckoned a few seconds after a change.',
      'The field finds titles and the words on slides. F2 renames, Ctrl D duplicates, Delete removes the deck that has the focus.',
    ],
  },
  media: {
    label: 'Media',
    lines: [
      'Pictures, films and sounds of the team, each once. Where one is used is said beside it; what is used cannot vanish.',
      'Give it words for those who do not see it, rights and a credit line; Check and the credits slide read them from here.',
    ],
  },
  data: {
    label: 'Data',
    lines: [
      'Tables that charts draw, read as people leave them: title lines, joined headers, totals, dates, money and codes.',
      'What was done to the whole table stands above the grid, how each column was read above the column; underlined words change it.',
      'A question that is open waits for its answer: nothing draws the column until then. Q goes to the next one.',
      'A table can follow the address of a service that this server may ask: what is new there becomes the next version.',
      'Another file of the same table is its next version, read as you have decided. One that would break a chart is held and says why.',
    ],
  },
  screens: {
    label: 'Screens',
    lines: [
      'A screen is any browser that opens the address that you get here. It goes on playing when the server is away.',
      'A loop is a row of decks; a screen plays one loop. A change is on the wall within seconds.',
    ],
  },
  people: {
    label: 'People',
    lines: [
      'Who works here. Viewers look and present; editors change decks; admins also add and remove people.',
      'A link for a new password holds three days and works once.',
    ],
  },
  account: {
    label: 'Your account',
    lines: ['Where you are signed in, and your password. Another password ends all other sessions.'],
  },
} as const satisfies Record<string, HelpTopic>
export type HelpName = keyof typeof helpTopics

/** The topic that is read at the moment; null while none is. */
export const useHelp = () => useState<HelpName | null>('help', () => null)
