/** Symbols by group: the sign, and what it is called. Names follow the Unicode character names. */
const groups: Readonly<Record<string, string>> = {
  bullets:
    '• bullet dot|◦ hollow bullet ring|‣ triangle bullet|● black circle disc|○ white circle ring|◉ fisheye target|◎ bullseye|■ ' +
    'black square|□ white square|▪ small square|▫ small white square|◆ black diamond|◇ white diamond|◈ diamond in diamond|▲ ' +
    'triangle up|△ white triangle up|▶ triangle right play|▷ white triangle right|▼ triangle down|◀ triangle left|▸ small ' +
    'triangle right|▹ small white triangle|★ star|☆ white star|✦ four pointed star|✧ white four pointed star|✶ six pointed ' +
    'star|❖ diamond cross|⬢ hexagon|⬡ white hexagon|⬟ pentagon|– en dash|— em dash long dash|― bar|⁃ hyphen bullet|∙ small ' +
    'dot|⋅ dot operator|❯ angle quotation right|» guillemet|› single guillemet',
  arrows:
    '→ arrow right|← arrow left|↑ arrow up|↓ arrow down|↔ arrow both ways left right|↕ arrow up down|↗ arrow up right rising|↘ ' +
    'arrow down right falling|↖ arrow up left|↙ arrow down left|⇒ double arrow right therefore implies|⇐ double arrow left|⇔ ' +
    'double arrow both ways equivalent|⇑ double arrow up|⇓ double arrow down|➔ heavy arrow right|➜ round arrow right|➤ ' +
    'arrowhead right|➢ open arrowhead|⟶ long arrow right|⟵ long arrow left|⟷ long arrow both ways|↩ arrow back return|↪ arrow ' +
    'forward hook|↺ turn anticlockwise circle|↻ turn clockwise circle refresh|⤴ arrow curving up|⤵ arrow curving down|⇄ arrows ' +
    'right left exchange|⇅ arrows up down exchange|↳ down then right reply|↵ return enter',
  checks:
    '✓ check mark tick yes|✔ heavy check tick|✗ ballot cross no|✘ heavy ballot cross no|✕ multiplication cross close|☐ box ' +
    'empty ballot todo|☑ box checked done|☒ box crossed|⚠ warning sign|‼ double exclamation|⁉ exclamation question|❗ heavy ' +
    'exclamation|❓ question mark|ⓘ information',
  numbers:
    '① circled one 1|② circled two 2|③ circled three 3|④ circled four 4|⑤ circled five 5|⑥ circled six 6|⑦ circled seven 7|⑧ ' +
    'circled eight 8|⑨ circled nine 9|⑩ circled ten 10|❶ black circled one 1|❷ black circled two 2|❸ black circled three 3|❹ ' +
    'black circled four 4|❺ black circled five 5|½ half fraction|⅓ third fraction|⅔ two thirds fraction|¼ quarter fraction|¾ ' +
    'three quarters fraction|⅕ fifth fraction|⅛ eighth fraction|² squared superscript two|³ cubed superscript three|¹ ' +
    'superscript one|º ordinal|№ number numero|‰ per mille|‱ per ten thousand',
  mathematics:
    '± plus minus|× times multiply|÷ divide|− minus|≈ almost equal about|≠ not equal|≡ identical|≤ less or equal at most|≥ ' +
    'greater or equal at least|≪ much less|≫ much greater|∞ infinity endless|√ square root|∛ cube root|∑ sum sigma|∏ product|∫ ' +
    'integral|∂ partial|∆ delta increment change|∇ nabla|∈ element of|∉ not element|∩ intersection|∪ union|⊂ subset|∅ empty ' +
    'set|∀ for all|∃ exists|∴ therefore|∵ because|∝ proportional|∠ angle|⊥ perpendicular|∥ parallel|° degree|′ prime minute ' +
    'foot|″ double prime second inch|µ micro|π pi|Ω ohm omega|α alpha|β beta|γ gamma|λ lambda|σ sigma|θ theta',
  money:
    '€ euro|£ pound sterling|$ dollar|¥ yen yuan|¢ cent|₹ rupee|₽ rouble|₩ won|₺ lira|₿ bitcoin|₴ hryvnia|₪ shekel|₫ dong|฿ ' +
    'baht|¤ currency',
  words:
    '… ellipsis dots|“ quotation open|” quotation close|„ low quotation|‘ single quotation open|’ apostrophe single quotation ' +
    'close|« guillemet open|» guillemet close|‹ single guillemet open|› single guillemet close|§ section paragraph law|¶ ' +
    'pilcrow paragraph|† dagger died|‡ double dagger|© copyright|® registered|™ trade mark|℗ sound recording|& ampersand and|@ ' +
    'at|¡ inverted exclamation|¿ inverted question|* asterisk star|⁂ asterism|· middle dot|№ numero',
  weather:
    '☀ sun sunny|☁ cloud cloudy|☂ umbrella rain|☃ snowman winter|☔ umbrella rain drops|❄ snowflake frost|☼ white sun|☾ moon ' +
    'night|☽ moon|⚡ lightning electric power|☄ comet|♨ hot springs|🌡 thermometer temperature|⛅ sun behind cloud',
  travel:
    '⚓ anchor harbour|⛴ ferry boat|⛵ sailing boat|✈ aeroplane flight|⛱ parasol beach|♿ wheelchair accessible|⌂ house home|☎ ' +
    'telephone|✉ envelope letter mail|✆ telephone receiver|⌚ watch time|⌛ hourglass wait|⏰ alarm clock|⏱ stopwatch|⏳ hourglass ' +
    'running|⚑ flag|⚐ white flag|☕ hot drink coffee|✂ scissors cut|✎ pencil write|✏ pencil|✍ writing hand|♻ recycling|⚖ scales ' +
    'balance justice|⚙ gear settings|⚒ hammer and pick tools|☮ peace|❤ heart love|♡ white heart|♥ heart|♪ note music|♫ notes ' +
    'music|☺ smile|☹ frown',
  keys:
    '⌘ place of interest|⌥ option|⇧ shift|⌃ control|⎋ escape|⏎ return|⌫ delete back|⇥ tab|␣ space|⏵ play|⏸ pause|⏹ stop|⏺ ' +
    'record|⏮ previous|⏭ next',
}

export interface Sign {
  sign: string
  /** What it is called. */
  label: string
  /** Other words that it is found by. */
  keywords?: string
  group: string
}

/** Every symbol, in the order of its group. */
export const symbols: readonly Sign[] = Object.entries(groups).flatMap(([group, list]) =>
  list.split('|').map(entry => {
    const space = entry.indexOf(' ')
    return { sign: entry.slice(0, space), label: entry.slice(space + 1), group }
  }),
)
