<script setup lang="ts">
import { chartPurposes, type ChartPurpose } from '#core/charts'

/** How a table can be drawn: every kind with the table's own rows, best first, and why; what is chosen goes onto a slide. */
const props = defineProps<{ table: string; canEdit: boolean }>()
const tables = useTables()
const data = computed(() => tables.table(props.table))
const lack = computed(() => (data.value ? '' : tables.lacking(props.table)))
const {
  spec,
  show,
  chosen,
  taken,
  question,
  offers,
  lacking,
  current,
  facts,
  columns,
  choicesFor,
  leftOut,
  headline,
  draw,
  showAll,
  bringIn,
  swap,
  take,
} = useChartChoice(() => data.value)

/** The one that is chosen is laid out for a larger room. */
const large = { width: 860, height: 480 }
const purposes: Readonly<Record<ChartPurpose, string>> = {
  change: 'change',
  order: 'order',
  share: 'share',
  spread: 'spread',
  link: 'link between two',
  place: 'place',
}
const aggregates = { sum: 'sum of', mean: 'mean of', least: 'least of', most: 'most of', count: 'count of rows' }
const tiles = computed(() =>
  offers.value.map(({ kind, spec: own, suit }) => ({
    name: kind.name,
    label: kind.label,
    spec: own,
    words: suit.warning ?? suit.why,
    warns: !!suit.warning,
  })),
)
const words = ref('')
/** What the chosen one says about what it does not show. */
const notes = ref<readonly string[]>([])
/** What labels say that have no room in it. */
const unsaid = ref<readonly string[]>([])
/** At most so many facts are shown until more are asked for. */
const fewFacts = 5
const allFacts = ref(false)
const shownFacts = computed(() => (allFacts.value ? facts.value : facts.value.slice(0, fewFacts)))
const slides = computed(() => (current.value ? [{ title: headline.value, chart: current.value.spec }] : []))
</script>

<template>
  <TileChoice
    :table="data"
    :lack="lack"
    empty="The table has no rows to draw."
    :tiles="tiles"
    :chosen="current?.kind.name ?? null"
    :lacking="lacking.map(({ kind, suit }) => ({ name: kind.name, label: kind.label, lacks: suit.lacks! }))"
    one="kind"
    many="kinds"
    panel-label="The drawing that is chosen"
    @choose="name => (chosen = name)"
  >
    <template #above>
      <template v-if="spec && columns">
        <div class="sentence" role="group" aria-label="What is drawn">
          <span>Draw</span>
          <ChoiceField
            :model-value="spec.aggregate"
            :items="choicesOf(aggregates)"
            label="Made by"
            @update:model-value="next => draw({ aggregate: next })"
          />
          <ChoiceField
            v-if="spec.aggregate !== 'count'"
            :model-value="columns.height?.name ?? null"
            :items="choicesFor('height')"
            label="Amount"
            placeholder="no numbers"
            @update:model-value="next => draw({ height: next, beside: [] })"
          />
          <span class="pair">
            by
            <ChoiceField
              :model-value="columns.across.name"
              :items="choicesFor('across')"
              label="Across"
              @update:model-value="next => draw({ across: next, ...(next === spec!.series ? { series: null } : {}) })"
            />
          </span>
          <span class="pair">
            for each
            <ChoiceField
              :model-value="spec.series ?? null"
              :items="[{ value: null, label: spec.beside?.length ? `${spec.beside.length + 1} columns` : 'none' }, ...choicesFor('series')]"
              label="For each"
              @update:model-value="next => draw({ series: next, beside: [] })"
            />
          </span>
          <UButton v-if="spec.series" size="sm" variant="ghost" icon="i-lucide-arrow-left-right" aria-label="Swap them" @click="swap" />
          <span v-if="leftOut.length" class="out">
            left out:
            <UButton v-for="column in leftOut" :key="column.name" variant="bare" class="word" @click="bringIn(column.name)">
              {{ column.name }}
            </UButton>
          </span>
        </div>
        <div class="purposes" role="group" aria-label="To show">
          <span class="quiet">To show</span>
          <UButton
            v-for="purpose in chartPurposes"
            :key="purpose"
            variant="bare"
            class="word"
            :class="{ here: show === purpose }"
            :aria-pressed="show === purpose"
            @click="show = show === purpose ? null : purpose"
          >
            {{ purposes[purpose] }}
          </UButton>
        </div>
        <p v-if="question" class="question" role="alert">{{ question }}</p>
      </template>
    </template>
    <template #panel="{ table: rows }">
      <template v-if="current && spec">
        <h3>{{ current.kind.label }}</h3>
        <div class="picture large">
          <ChartDrawing
            :spec="current.spec"
            :table="rows"
            :most="12_000"
            v-bind="large"
            @drawn="
              drawn => {
                words = drawn.description
                notes = drawn.notes
                unsaid = drawn.leftOut
              }
            "
          />
        </div>
        <p>
          <b>Why this one.</b>
          {{ current.suit.why }}
        </p>
        <p v-if="current.suit.warning" class="warning">
          {{ current.suit.warning }}
          <UButton v-if="current.suit.remedy" size="sm" @click="draw(current.suit.remedy.change)">{{ current.suit.remedy.label }}</UButton>
        </p>
        <p v-if="spec.largest" class="quiet">
          The {{ spec.largest }} largest and the rest.
          <UButton size="sm" @click="showAll">Show all</UButton>
        </p>
        <LeftOutWords :words="unsaid" />
        <p v-for="note in notes" :key="note" class="warning">{{ note }}</p>
        <p class="quiet">In words: {{ words }}</p>
        <template v-if="facts.length">
          <h4>
            What the table holds
            <span class="quiet">computed from its rows</span>
          </h4>
          <ul class="facts">
            <li v-for="fact in shownFacts" :key="fact.words" :class="{ taken: taken?.words === fact.words }">
              <span>{{ fact.words }}</span>
              <UButton size="sm" :aria-pressed="taken?.words === fact.words" :aria-label="`Take: ${fact.words}`" @click="take(fact)">
                {{ taken?.words === fact.words ? 'Taken' : 'Take' }}
              </UButton>
            </li>
          </ul>
          <UButton v-if="facts.length > fewFacts" variant="bare" class="word" @click="allFacts = !allFacts">
            {{ allFacts ? 'Fewer' : `${facts.length - fewFacts} more` }}
          </UButton>
        </template>
        <PutThere v-if="canEdit" :slides="slides" label="On a new slide of" :title="headline">Its headline: “{{ headline }}”</PutThere>
      </template>
    </template>
  </TileChoice>
</template>

<style scoped>
.sentence {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 8px;
  font-size: 15px;
}
.pair {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  white-space: nowrap;
}
.out {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  max-height: 88px;
  overflow-y: auto;
  font-size: 13px;
  color: var(--second);
}
.purposes {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  font-size: 13px;
}
.word {
  padding: 2px 0;
  color: var(--act);
  font-size: 13px;
  border-bottom: 1px solid color-mix(in srgb, var(--act) 35%, transparent);
  border-radius: 0;
}
.word.here {
  color: var(--ink);
  font-weight: 700;
  border-bottom: 2px solid var(--act);
}
.picture {
  padding: 6px;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 8px;
}
.warning {
  color: var(--wrong);
}
h4 {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  font-size: 14px;
}
h4 span {
  font-weight: 400;
  font-size: 12px;
}

.facts {
  list-style: none;
  margin: 0;
  padding: 0;
}
.facts li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  padding: 6px 8px;
  border-top: 1px solid var(--line);
  font-size: 13px;
}
.facts li.taken {
  background: var(--act-wash);
}
.question {
  padding: 12px 14px;
  background: var(--now-wash);
  border-radius: 8px;
}
</style>
