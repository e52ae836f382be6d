import { newChart } from '../../core/charts'
import { insertSlide, newDeck, putLook, familyNamed, type LookWish } from '../../core/layouts'
import { removeSlides } from '../../core/edits'
import { applyChanges, elementsOf, setRecord, slidesOf, type Deck } from '../../core/model'

type Plan = readonly [family: string, title: string, lines: readonly string[]]

/** What a sheet of a look says: one slide of each composition, at the harbour. */
export const plans: readonly Plan[] = [
  ['title', 'Spring timetable briefing', ['Ines Rahm, harbour office', '2 April, covered hall']],
  ['chapter', 'Where the boats go in spring', []],
  [
    'lead-rows',
    'Three things change on 2 April',
    [
      'Earlier first boats: Astrel and Quill leave at 05:40 on weekdays, so the early shift reaches the works by seven.',
      'One boat more at noon: Low Sands gets a 12:30 crossing from May on, with room for forty bicycles.',
      'A later last boat: Port Harrow keeps its 23:15 on Fridays and Saturdays, all through the season.',
    ],
  ],
  [
    'steps-row',
    'How a timetable comes about',
    [
      'Count: riders at every gate for a month',
      'Draft: two timetables on one page',
      'Ask: crews, works and schools',
      'Try: one week in the quiet season',
      'Post: on screens and at the quays',
    ],
  ],
  [
    'numbers-row',
    'The season in four figures',
    ['318 k riders last season', '96.4 % of boats on time', '4 routes, six boats', '11 min longest wait at noon'],
  ],
  ['chart', 'Astrel overtook Quill in its sixth season', ['Crossings a season. Source: harbour office']],
  ['statement', 'A boat that leaves on time beats a fast one', ['Quay crew of the Quill, when asked what riders thank them for']],
  ['picture-full', 'Low Sands in May', ['Noon crossing, room for forty bicycles']],
  [
    'list',
    'What the crews asked for',
    [
      'Lights at the second ramp',
      'A roof over the bicycle stands',
      'Boards that can be read from the bridge',
      'One radio channel for all quays',
      'Tea in the covered hall',
    ],
  ],
  [
    'timeline-row',
    'Four years on the quay',
    ['2024 second berth opens', '2027 night boat begins', '2029 shore power', '2031 covered hall'],
  ],
  ['quote', 'What riders say', ['“The boat is the best part of my day.” Mara Ellin, rides since 2019']],
  [
    'ranking',
    'The busiest quays',
    ['Low Sands: 9,400 boardings', 'Quill: 7,100 boardings', 'Astrel: 6,800 boardings', 'Port Harrow: 2,100 boardings'],
  ],
  [
    'standout',
    'Line 4 carries more than all the others',
    ['Line 1: 310,000 riders', 'Line 2: 280,000 riders', 'Line 3: 190,000 riders', 'Line 4: 1,240,000 riders', 'Line 5: 75,000 riders'],
  ],
  ['chart-lines', 'Sailings on time', ['2026 48 %', '2027 61 %', '2028 72 %', '2029 81 %', '2030 92 %']],
  ['growth', 'Sailings on time', ['2026 48 %', '2027 61 %', '2028 72 %', '2029 81 %', '2030 92 %']],
  ['funnel', 'From search to seat', ['90,000 look at the timetable', '21,000 choose a boat', '8,400 begin to pay', '7,900 have a ticket']],
  ['cause', 'Why the queue grew', ['One ramp instead of two', 'Longer cars', '→ eight minutes more a boat']],
  [
    'quadrants',
    'Cost and use',
    [
      'High cost, high use: the second ramp',
      'Low cost, high use: signs that can be read from the bridge',
      'High cost, low use: the tower',
      'Low cost, low use: flags',
    ],
  ],
  ['hours', 'The ticket office', ['Monday to Friday 6:00–22:00', 'Saturday 7:00–22:00', 'Sunday 8:00–20:00']],
  [
    'people-row',
    'Who is there on the day',
    ['Ines Rahm, harbour office', 'Jon Tarn, second ramp', 'Dr. Mara van Ellin, ticket hall', 'Ole Brandt, night boat'],
  ],
  ['agenda', 'What comes tonight', ['19:00 Doors open', '19:30 The plan for spring', '20:15 Questions', '21:00 Last boat']],
  [
    'compare-columns',
    'One ramp or two',
    ['One ramp: eight minutes to load, a queue to the bridge', 'Two ramps: four minutes, no queue, two more crew'],
  ],
  [
    'pillars',
    'What carries the season',
    ['Crews: forty people in three watches', 'Boats: six, two of them new', 'Quays: four, all with a ramp'],
  ],
  [
    'next-steps',
    'What happens next',
    ['Ines: send the draft to the schools by Friday', 'Jon: count the queue at noon', 'Mara: print the boards'],
  ],
  [
    'questions',
    'What riders ask',
    ['Why is the quay shut? The second ramp is being built.', 'When does it open? On 2 April.', 'Where do I wait? In the covered hall.'],
  ],
  ['cards-row', 'Three reasons to come by boat', ['Quick: eleven minutes', 'Dry: a hall at every quay', 'Cheap: one fare for all']],
  ['tree-down', 'Who answers to whom', ['Harbour office', 'Crews', 'Ticket hall', 'Works']],
  ['before-after', 'From one ramp to two', ['Now: eight minutes to load', 'In spring: four minutes, and no queue to the bridge']],
  ['icons-row', 'What is new aboard', ['Bicycles: room for forty', 'Coffee: from the first boat on', 'Power: at every seat']],
  ['contact', 'Come down to the quay', ['Harbour office, covered hall', 'ferries@velmoor.example', '040 555 01']],
]

/** The same in a language that is written from right to left. */
const leftward: readonly Plan[] = [
  ['title', 'جدول الربيع للعبّارات', ['إيناس رحم، مكتب الميناء', '٢ أبريل، القاعة المغطاة']],
  ['chapter', 'إلى أين تذهب القوارب في الربيع', []],
  [
    'lead-rows',
    'ثلاثة أشياء تتغير في ٢ أبريل',
    [
      'القوارب الأولى أبكر: تغادر أستريل وكويل في 05:40 أيام العمل ليصل العمال قبل السابعة.',
      'قارب آخر عند الظهر: رحلة إضافية في 12:30 ابتداء من مايو مع مكان لأربعين دراجة.',
      'القارب الأخير أبعد: تبقى رحلة 23:15 يومي الجمعة والسبت طوال الموسم.',
    ],
  ],
  [
    'steps-row',
    'كيف يوضع الجدول',
    [
      'العدّ: الركاب عند كل بوابة',
      'المسودة: جدولان على صفحة',
      'السؤال: الطواقم والمدارس',
      'التجربة: أسبوع في الموسم الهادئ',
      'النشر: على الشاشات والأرصفة',
    ],
  ],
  ['numbers-row', 'الموسم في أربعة أرقام', ['318 ألف راكب', '96.4 % من القوارب في موعدها', '4 خطوط', '11 دقيقة أطول انتظار']],
  ['statement', 'قارب يغادر في موعده خير من قارب سريع', ['طاقم رصيف كويل']],
  ['picture-full', 'الرمال المنخفضة في مايو', ['رحلة الظهر، مكان لأربعين دراجة']],
  ['list', 'ما طلبته الطواقم', ['أضواء عند الممر الثاني', 'سقف فوق مواقف الدراجات', 'لوحات تُقرأ من الجسر', 'شاي في القاعة المغطاة']],
  ['timeline-row', 'أربع سنوات على الرصيف', ['2024 يفتح الرصيف الثاني', '2027 يبدأ قارب الليل', '2029 كهرباء من البر', '2031 قاعة مغطاة']],
  ['cards-row', 'ما الذي يبقى', ['الأمان: ممران بدل واحد', 'السرعة: ثماني دقائق', 'المكان: قاعة للانتظار']],
]

const counter = () => {
  let count = 0
  return { id: () => `s-${++count}` }
}

/** A deck of these slides in a look, in English or Arabic. `only`: names of families; all where absent. */
export function sheetDeck(
  wish: LookWish,
  size = { width: 1920, height: 1080 },
  only?: readonly string[],
  language: 'en' | 'ar' = 'en',
): Deck {
  const context = counter()
  const base = newDeck({ title: language === 'ar' ? 'جدول الربيع' : 'Spring timetable', purpose: 'talk', size, language }, context)
  let deck = applyChanges(base, removeSlides(base, { slides: slidesOf(base).map(({ id }) => id) }))
  for (const [family, title, lines] of language === 'ar' ? leftward : plans) {
    if (only && !only.includes(family)) continue
    const outline = { title, lines: lines.map(text => ({ text, level: 1 })) }
    deck = insertSlide(deck, { after: slidesOf(deck).at(-1)?.id ?? null, family: familyNamed(family)!, outline }, context).deck
  }
  const filled = applyChanges(
    deck,
    slidesOf(deck).flatMap(slide =>
      elementsOf(deck, slide.id).flatMap(element => {
        if (element.kind === 'picture' && element.placeholder === 'picture')
          return [setRecord('elements', element.id, { media: 'a'.repeat(64), natural: { width: 1600, height: 900 } })]
        if (element.kind !== 'chart' || element.text) return []
        return [setRecord('elements', element.id, { chart: { ...newChart('seasons'), across: 'season', height: 'crossings' } })]
      }),
    ),
  )
  return applyChanges(filled, putLook(filled, wish, context))
}
