<script setup lang="ts">
import { passageOf, passageWord, questionOf, stateWords } from '#core/charts'
import { rowCount } from '#core/data'
import { houseTheme } from '#core/layouts'
import { storiesFor, type StoryOffer, type StorySlide } from '#core/stories'
import type { ChartSpec } from '#core/model'

/** What a table can tell: outlines that its rows drop into, best first, each as the slides that it gives. */
const props = defineProps<{ table: string; canEdit: boolean }>()
const tables = useTables()
const host = useStageHost()
const data = computed(() => tables.table(props.table))
const lack = computed(() => (data.value ? '' : tables.lacking(props.table)))
const look = { language: navigator.language, fonts: houseTheme.fonts, measurer: host.host.measurer }
const stories = computed(() => (data.value && rowCount(data.value) ? storiesFor(data.value, look) : { offers: [], lacking: [] }))
const chosen = ref<string | null>(null)
watch(
  () => props.table,
  () => {
    chosen.value = null
  },
)
const current = computed(() => stories.value.offers.find(({ outline }) => outline.name === chosen.value) ?? stories.value.offers[0] ?? null)

/** Drawings are laid out for a room in which their words can be read once they are small. */
const tile = { width: 588, height: 330 }
const small = { width: 860, height: 480 }
const first = ({ slides }: StoryOffer) => slides.find(({ chart }) => chart)?.chart
/** What a story is seen by: where its first chart ends. */
const lastOf = ({ slides }: StoryOffer): ChartSpec | undefined => {
  const slide = slides.find(({ chart }) => chart)
  return slide?.states?.at(-1) ?? slide?.chart
}
const question = computed(() => {
  const spec = current.value && first(current.value)
  return spec && data.value ? questionOf(spec, data.value) : null
})
const room = { ...small, textSize: 28, ...look }
/** The states of a slide's chart, with the way to each. */
function toldIn({ chart, states = [] }: StorySlide) {
  const all = chart ? [chart, ...states] : []
  return all.map((spec, at) => {
    const passage = at ? passageOf(all[at - 1]!, spec, data.value!, room) : null
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
  <div class="tell">
    <p v-if="lack" class="wait" role="alert">{{ lack }} It is asked for again by itself.</p>
    <p v-else-if="!data" class="quiet wait" role="status">Bringing the table…</p>
    <p v-else-if="!rowCount(data)" class="wait">The table has no rows to tell of.</p>
    <template v-else>
      <div class="tiles" @keydown="walkGrid($event, '.tile')">
        <UButton
          v-for="offer in stories.offers"
          :key="offer.outline.name"
          variant="bare"
          class="tile"
          :class="{ here: offer === current }"
          :aria-pressed="offer === current"
          @click="chosen = offer.outline.name"
        >
          <span class="picture"><ChartDrawing :spec="lastOf(offer)!" :table="data" v-bind="tile" :most="3000" /></span>
          <b>{{ offer.outline.label }}</b>
          <span class="why">{{ offer.why }}</span>
        </UButton>
        <div v-if="stories.lacking.length" class="lacking">
          <b>{{ stories.lacking.length === 1 ? 'One more story' : `${numberWords(stories.lacking.length)} more stories` }}</b>
          <span v-for="{ outline, lacks } in stories.lacking" :key="outline.name">{{ outline.label }}: needs {{ lacks }}.</span>
        </div>
      </div>
      <aside v-if="current" class="panel" aria-label="The story that is chosen">
        <h3>{{ current.outline.label }}</h3>
        <p class="quiet">{{ current.outline.about }}</p>
        <p v-if="question" class="question" role="alert">{{ question }}</p>
        <template v-else>
          <section v-for="(slide, at) in current.slides" :key="at" class="slide">
            <h4>{{ slide.title }}</h4>
            <ol v-if="slide.chart" class="states">
              <li v-for="(state, index) in toldIn(slide)" :key="index">
                <span class="state"><ChartDrawing :spec="state.spec" :table="data" v-bind="small" :most="3000" /></span>
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
      </aside>
    </template>
  </div>
</template>

<style scoped>
.tell {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 18px;
  flex: 1;
  min-height: 0;
}
.wait {
  grid-column: 1 / -1;
  margin: auto;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(208px, 1fr));
  gap: 16px 14px;
  align-content: start;
  overflow-y: auto;
  min-height: 0;
  padding: 3px 4px 20px 3px;
}
.tile {
  display: flex;
  flex-direction: column;
  align-items: stretch;
  justify-content: flex-start;
  gap: 2px;
  text-align: left;
  font-size: 13px;
  white-space: normal;
  border-radius: 10px;
}
.picture,
.state {
  display: block;
  padding: 6px;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 8px;
}
.picture {
  margin-bottom: 4px;
}
.tile.here .picture {
  outline: 2px solid var(--act);
  outline-offset: 1px;
}
.why {
  color: var(--second);
}
.lacking {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 12px 14px;
  font-size: 12px;
  color: var(--second);
  border: 1px dashed var(--line);
  border-radius: 8px;
}
.lacking b {
  font-size: 13px;
  color: var(--ink);
}
.panel {
  display: flex;
  flex-direction: column;
  gap: 10px;
  overflow-y: auto;
  min-height: 0;
  padding: 2px 4px 0;
}
h3,
h4,
p {
  margin: 0;
}
h4 {
  font-size: 14px;
}
.slide {
  padding-top: 10px;
  border-top: 1px solid var(--line);
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
@media (max-width: 1152px) {
  .tell {
    grid-template-columns: minmax(0, 1fr) 280px;
  }
  .states li {
    grid-template-columns: 104px 1fr;
  }
}
</style>
