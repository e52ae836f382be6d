<script setup lang="ts">
import { passageOf, passageWord, questionOf, stateWords } from '#core/charts'
import { rowCount } from '#core/data'
import { houseTheme } from '#core/layouts'
import { storiesFor, type StoryOffer, type StorySlide } from '#core/stories'
import type { ChartSpec } from '#core/model'

/** What a table can tell: outlines that its rows drop into, best first, each as the slides that it gives. */
const props = defineProps<{ table: string; canEdit: boolean }>()
const tables = useTables()
const maps = useMaps()
const host = useStageHost()
const data = computed(() => tables.table(props.table))
const lack = computed(() => (data.value ? '' : tables.lacking(props.table)))
const look = { language: navigator.language, fonts: houseTheme.fonts, measurer: host.host.measurer }
const stories = computed(() => {
  const none = { offers: [], lacking: [] }
  return data.value && rowCount(data.value) ? storiesFor(data.value, look, maps.own.value) : none
})
const chosen = ref<string | null>(null)
watch(
  () => props.table,
  () => {
    chosen.value = null
  },
)
const current = computed(() => stories.value.offers.find(({ outline }) => outline.name === chosen.value) ?? stories.value.offers[0] ?? null)

const small = { width: 860, height: 480 }
const first = ({ slides }: StoryOffer) => slides.find(({ chart }) => chart)?.chart
/** What a story is seen by: where its first chart ends. */
const lastOf = ({ slides }: StoryOffer): ChartSpec | undefined => {
  const slide = slides.find(({ chart }) => chart)
  return slide?.states?.at(-1) ?? slide?.chart
}
const tiles = computed(() =>
  stories.value.offers.map(offer => ({
    name: offer.outline.name,
    label: offer.outline.label,
    spec: lastOf(offer)!,
    words: offer.why,
    warns: false,
  })),
)
const question = computed(() => {
  const spec = current.value && first(current.value)
  return spec && data.value ? questionOf(spec, data.value) : null
})
const room = { ...small, textSize: 28, ...look }
/** The states of a slide's chart, with the way to each. */
function toldIn({ chart, states = [] }: StorySlide) {
  const all = chart ? [chart, ...states] : []
  return all.map((spec, at) => {
    const map = spec.map ? tables.table(spec.map) : undefined
    const passage = at ? passageOf(all[at - 1]!, spec, data.value!, map ? { ...room, map } : room) : null
    return {
      spec,
      name: stateWords(at ? all[at - 1]! : null, spec, data.value, look.language),
      way: passage ? `${passageWord(passage)}, ${secondsWords(passage.seconds)}` : 'as it opens',
    }
  })
}
const countWords = ({ slides }: StoryOffer) => {
  const states = slides.reduce((sum, { states: own = [] }) => sum + own.length, 0)
  return `${slides.length} ${slides.length === 1 ? 'slide' : 'slides'}, ${states + slides.length} beats`
}
</script>

<template>
  <TileChoice
    :table="data"
    :lack="lack"
    empty="The table has no rows to tell of."
    :tiles="tiles"
    :chosen="current?.outline.name ?? null"
    :lacking="stories.lacking.map(({ outline, lacks }) => ({ name: outline.name, label: outline.label, lacks }))"
    one="story"
    many="stories"
    panel-label="The story that is chosen"
    @choose="name => (chosen = name)"
  >
    <template #panel="{ table: rows }">
      <template v-if="current">
        <h3>{{ current.outline.label }}</h3>
        <p class="quiet">{{ current.outline.about }}</p>
        <p v-if="question" class="question" role="alert">{{ question }}</p>
        <template v-else>
          <section v-for="(slide, at) in current.slides" :key="at" class="slide">
            <h4>{{ slide.title }}</h4>
            <ol v-if="slide.chart" class="states">
              <li v-for="(state, index) in toldIn(slide)" :key="index">
                <span class="state"><ChartDrawing :spec="state.spec" :table="rows" v-bind="small" :most="3000" /></span>
                <span>
                  {{ state.name }}
                  <span class="quiet way">{{ state.way }}</span>
                </span>
              </li>
            </ol>
            <ul v-else class="lines">
              <li v-for="line in slide.lines" :key="line">{{ line }}</li>
            </ul>
          </section>
          <PutThere v-if="canEdit" :slides="current.slides" :title="current.slides[0]!.title" label="After the last slide of">
            {{ countWords(current) }}. All of it is computed from the rows: other rows tell it anew.
          </PutThere>
        </template>
      </template>
    </template>
  </TileChoice>
</template>

<style scoped>
h4 {
  font-size: 14px;
}
.slide {
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
.slide h4 {
  margin: 0;
}
.states,
.lines {
  margin: 8px 0 0;
  padding: 0;
  list-style: none;
  font-size: 13px;
}
.states li {
  display: grid;
  grid-template-columns: 132px 1fr;
  gap: 10px;
  align-items: center;
  margin-bottom: 8px;
}
.state {
  display: block;
  padding: 6px;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 8px;
}
.way {
  display: block;
}
.lines li {
  padding: 3px 0 3px 12px;
  text-indent: -12px;
}
.lines li::before {
  content: '–  ';
  color: var(--third);
}
.question {
  color: var(--now-ink);
}
@media (max-width: 1150px) {
  .states li {
    grid-template-columns: 104px 1fr;
  }
}
</style>
