<script setup lang="ts">
import { deckTheme, infoOf, inlineText, type ChartElement, type ChartSpec } from '#core/model'
import {
  amountWay,
  chartKindNamed,
  chartKinds,
  chartOfLines,
  chosenColumns,
  columnsFor,
  leftOutWords,
  redrawn,
  rewritten,
  tonesOf,
  unreadLines,
  withMap,
  type ChartColumn,
} from '#core/charts'
import { gatheredFor, rowCount, sourceIn, type DataTable } from '#core/data'
import { setFields } from '#core/edits'
import { themeSeen, type ShownElement } from '#core/resolved'

const props = defineProps<{ element: ChartElement & ShownElement }>()
const emit = defineEmits<{ choose: []; picture: [file: File] }>()
const store = useDeck()
const stage = useStage()
const where = useWhere()
const tables = useTables()
const states = useStates()
const { spec, table, drawing, isTold, set, lines, isWritten } = useChartInHand(() => props.element)
const theme = computed(() => (where.stageId ? themeSeen(store.current, where.stageId) : deckTheme(store.current)))
/** The colours that the chart has by the theme, where nobody chose others. */
const tones = computed(() => tonesOf(spec.value, theme.value.palette))
const kind = computed(() => chartKindNamed(spec.value.kind))
const columns = computed(() => (table.value ? chosenColumns(spec.value, table.value) : null))
/** The rows that its slide is there for. */
const rowsOfSlide = computed(() => store.current.slides[props.element.owner]?.rows)
/** What can be highlighted: each series where there are several, else each category. */
const entries = computed(() => {
  if (!table.value) return []
  const made = gatheredFor(spec.value, table.value)
  return made.series.length > 1 ? made.series : made.categories
})

/** Another kind, with the map that it needs, and without what only the one before could be asked for. */
const choose = (name: string) =>
  set({ map: undefined, ...withMap({ ...spec.value, kind: name }, chartKindNamed(name), table.value!), options: undefined })
/** Whether its rows are typed in beside it. */
const typing = ref(false)
/** Goes into the chart on the stage, or leaves it. */
const isInside = computed(() => stage.editing === props.element.id)
const goIn = () => (stage.editing = isInside.value ? null : props.element.id)
const list = useTeamTables()
const tableChoices = computed(() => {
  const own = spec.value.table
  // The table is the same, whichever of its versions the deck stays at.
  const known = (list.value ?? []).map(({ id, name }) => ({
    value: (own && sourceIn(own) === id ? own : id) as string | null,
    label: name,
  }))
  const choices = own && !known.some(({ value }) => value === own) ? [{ value: own, label: table.value?.name ?? own }, ...known] : known
  return props.element.text ? [{ value: null, label: 'Its lines' }, ...choices] : choices
})
const language = computed(() => infoOf(store.current).language)
/** Its lines as they are written, with what it leaves out of them. */
const wordsOfLines = computed(() => lines.value?.content.map(line => inlineText(line.content)).join('\n') ?? '')
const unread = computed(() => (lines.value ? leftOutWords(unreadLines(lines.value, language.value)) : ''))
function writeLines(words: string) {
  const text = rewritten(lines.value!, words.split('\n'))
  store.edit(
    `write the lines of ${props.element.name}`,
    setFields(store.current, { table: 'elements', id: props.element.id, fields: { text } }),
  )
}
const draw = (chart: ChartSpec, name: string) =>
  store.edit(`draw ${name}`, setFields(store.current, { table: 'elements', id: props.element.id, fields: { chart } }))
/** Another table is drawn in the same look, or its own lines again; which of its columns, is found anew. */
async function drawOther(id: string | null) {
  const { text } = props.element
  if (id === null) return text && draw(chartOfLines(text, language.value, props.element.chart), 'its lines')
  const found = await asking(() => $fetch<DataTable>(`/api/tables/${id}`))
  if (!found) return
  tables.keep(found)
  draw(redrawn(props.element.chart, found, navigator.language), found.name)
}
const setFormat = (fields: Partial<ChartSpec['format']>) => set({ format: { ...spec.value.format, ...fields } })
const roles: Readonly<Record<Exclude<ChartColumn, 'height'>, string>> = {
  across: 'Across',
  series: 'For each',
  along: 'Against',
  size: 'Sized by',
}
const shownRoles = computed(() => kind.value.takes.filter(role => role !== 'height'))
const choicesFor = (role: ChartColumn) => {
  const own = columnsFor(role, table.value!, columns.value!).map(({ name }) => ({ value: name as string | null, label: name }))
  return role === 'series' || role === 'size' ? [{ value: null, label: 'none' }, ...own] : own
}
/** More columns of amounts, each a series. */
const besides = computed(() => {
  if (!table.value || !columns.value || columns.value.series || !kind.value.takes.includes('series') || spec.value.aggregate === 'count')
    return []
  return columnsFor('along', table.value, columns.value)
})
const aggregates = { sum: 'sum of', mean: 'mean of', least: 'least of', most: 'most of', count: 'count of rows' }
const scales = { auto: 'by size', none: 'in full', thousands: 'in k', millions: 'in M', percent: 'as %' }
const labels = {
  all: 'wherever there is room',
  highlighted: 'on what is highlighted',
  none: 'none, an axis instead',
}
</script>

<template>
  <div class="settings">
    <div v-if="lines" class="tall">
      <span class="label">Its lines</span>
      <WordsField
        :model-value="wordsOfLines"
        :rows="Math.min(10, Math.max(3, lines.content.length))"
        aria-label="The lines that it draws"
        :disabled="!store.canEdit"
        @update:model-value="writeLines"
      />
      <p v-if="unread" class="warning" role="status">Left out: {{ unread }}</p>
    </div>
    <p v-else-if="!table" class="quiet">
      No table yet. Choose one, or drop a file on the chart.
      <UButton variant="bare" class="link" @click="emit('choose')">Upload a file</UButton>
    </p>
    <div v-if="list?.length || spec.table || lines" class="row">
      <span class="label">Table</span>
      <ChoiceField
        :model-value="spec.table"
        :items="tableChoices"
        label="Table"
        placeholder="choose one"
        @update:model-value="next => next !== spec.table && drawOther(next)"
      />
    </div>
    <TableVersion v-if="spec.table && list?.some(({ id }) => id === sourceIn(spec.table!))" :table="spec.table" />
    <template v-if="table">
      <p v-if="isTold && states.isOpen" class="state">
        State {{ states.at + 1 }} of {{ states.list.length }}, {{ states.current?.name }}
        <span class="quiet">
          {{ states.chosen ? 'What is changed here changes this state.' : 'As composed: later states begin from it.' }}
        </span>
      </p>
      <p v-else-if="isTold && store.canEdit" class="quiet">
        <UButton size="sm" data-test="tell-in-states" @click="states.opened = element.id">Tell it in states</UButton>
      </p>
      <p v-if="!lines" class="quiet">
        {{ rowCount(table) === 1 ? 'One row' : `${numberWords(rowCount(table))} rows` }} of
        <b class="file">{{ table.name }}</b>
        <UButton variant="bare" class="link" @click="emit('choose')">Upload another</UButton>
        <UButton v-if="isWritten && store.canEdit" variant="bare" class="link" data-test="type-rows" @click="typing = true">
          Type in them
        </UButton>
        <ULink v-if="list?.some(({ id }) => id === sourceIn(spec.table!))" class="link" :to="`/data?table=${sourceIn(spec.table!)}`">
          Its rows
        </ULink>
      </p>
      <p v-if="store.canEdit && !where.isForm" class="quiet">
        <UButton size="sm" icon="i-lucide-hand" :active="isInside" :aria-pressed="isInside" data-test="in-chart" @click="goIn">
          {{ isInside ? 'Leave it' : 'Work inside it' }}
        </UButton>
        <span v-if="isInside" class="inside">
          Drag a word to move it, press a mark to highlight it, press a word twice to write it.
          {{ isWritten && drawing && amountWay(drawing) ? 'Pull the end of a mark to change its amount.' : '' }}
        </span>
      </p>
      <LazyRowsBeside v-if="typing && isWritten && !lines" :key="spec.table!" :table="spec.table!" @close="typing = false" />
      <div class="row">
        <span class="label">Kind</span>
        <ChoiceField
          :model-value="kind.name"
          :items="chartKinds.map(one => ({ value: one.name, label: one.label }))"
          label="Kind of chart"
          @update:model-value="choose"
        />
      </div>
      <ChartMap
        v-if="kind.isMap"
        :spec="spec"
        :table="table"
        :drawing="drawing"
        :theme="theme"
        :can-lift="store.canEdit && !where.isForm"
        @map="next => set({ map: next ?? undefined })"
        @picture="file => emit('picture', file)"
      />
      <OptionFields :of="kind" :options="spec.options ?? {}" @set="options => set({ options })" />
      <div v-if="kind.takes.includes('height')" class="row">
        <span class="label">Amount</span>
        <ChoiceField
          :model-value="spec.aggregate"
          :items="choicesOf(aggregates)"
          label="Made by"
          @update:model-value="next => set({ aggregate: next })"
        />
      </div>
      <div v-if="kind.takes.includes('height') && spec.aggregate !== 'count'" class="row">
        <span class="label">Column</span>
        <ChoiceField
          :model-value="columns!.height?.name ?? null"
          :items="choicesFor('height')"
          label="Column of amounts"
          placeholder="no column of numbers"
          @update:model-value="next => set({ height: next })"
        />
      </div>
      <div v-for="role in shownRoles" :key="role" class="row">
        <span class="label">{{ roles[role] }}</span>
        <ChoiceField
          :model-value="columns![role]?.name ?? null"
          :items="choicesFor(role)"
          :label="roles[role]"
          placeholder="no such column"
          @update:model-value="
            next => set({ [role]: next, ...(next !== null && next === spec.moment?.column ? { moment: undefined } : {}) })
          "
        />
      </div>
      <ToggleList
        v-if="besides.length"
        label="Columns beside it"
        :items="besides.map(({ name }) => ({ key: name, label: name }))"
        :chosen="spec.beside ?? []"
        @choose="beside => set({ beside })"
      />
      <ChartRows :spec="spec" :table="table" :takes="kind.takes" @set="set" />
      <div class="row">
        <span class="label">Numbers read</span>
        <ChoiceField
          :model-value="spec.format.scale"
          :items="choicesOf(scales)"
          label="Scale of numbers"
          @update:model-value="next => setFormat({ scale: next })"
        />
      </div>
      <div class="row">
        <span class="label">Decimals</span>
        <ChoiceField
          :model-value="String(spec.format.decimals)"
          :items="[{ value: 'null', label: 'as needed' }, ...[0, 1, 2, 3, 4, 5, 6].map(count => ({ value: String(count), label: count }))]"
          label="Decimals"
          @update:model-value="next => setFormat({ decimals: next === 'null' ? null : Number(next) })"
        />
      </div>
      <div class="row">
        <span class="label">Before, after</span>
        <span class="pair">
          <WordsField
            :model-value="spec.format.prefix"
            class="short"
            aria-label="Before the number"
            maxlength="20"
            @update:model-value="words => setFormat({ prefix: words })"
          />
          <WordsField
            :model-value="spec.format.suffix"
            class="short"
            aria-label="After the number"
            maxlength="40"
            @update:model-value="words => setFormat({ suffix: words })"
          />
        </span>
      </div>
      <div class="row">
        <span class="label">Amounts said</span>
        <ChoiceField
          :model-value="spec.labels"
          :items="choicesOf(labels)"
          label="Amounts"
          @update:model-value="next => set({ labels: next })"
        />
      </div>
      <ChartMarkings v-if="kind.isMarked" :spec="spec" :table="table" @set="set" />
      <p v-for="note in drawing?.notes ?? []" :key="note" class="warning" role="status">{{ note }}</p>
      <LeftOutWords :words="drawing?.leftOut ?? []" />
      <p v-if="spec.moved && Object.keys(spec.moved).length" class="quiet">
        {{ Object.keys(spec.moved).length === 1 ? 'One label was' : `${Object.keys(spec.moved).length} labels were` }} moved by hand.
        <UButton size="sm" @click="set({ moved: undefined }, 'put back the labels of')">Put them back</UButton>
      </p>
      <div v-if="drawing?.total" class="row">
        <span class="label">Total {{ drawing.total }}</span>
        <UButton size="sm" :active="spec.total" :aria-pressed="spec.total" @click="set({ total: !spec.total })">
          {{ spec.total ? 'shown' : 'not shown' }}
        </UButton>
      </div>
      <div class="row">
        <span class="label">Highlighted</span>
        <ChoiceField
          :model-value="spec.rule ?? 'none'"
          :items="choicesOf({ none: 'nothing by itself', ...findingWords })"
          label="Highlighted by itself"
          @update:model-value="next => set({ rule: next === 'none' ? undefined : next })"
        />
      </div>
      <div v-if="rowsOfSlide && rowsOfSlide.table === spec.table" class="row">
        <UCheckbox
          :model-value="spec.ofRow !== undefined"
          label="Highlight the row of the slide"
          @update:model-value="on => set({ ofRow: on === true ? '' : undefined })"
        />
      </div>
      <ToggleList label="Highlighted beside" :items="entries" :chosen="spec.highlighted" @choose="highlighted => set({ highlighted })" />
      <div class="row">
        <span class="label">Colour</span>
        <span class="pair">
          <ColorField
            :model-value="spec.color ?? { hex: tones.of({ name: 'plain' }) }"
            :theme="theme"
            label="Colour of the chart"
            @update:model-value="color => color && set({ color })"
          />
          <UButton v-if="spec.color" size="sm" aria-label="The chart’s colour by the theme" @click="set({ color: undefined })">
            By theme
          </UButton>
        </span>
      </div>
      <div class="row">
        <span class="label">Highlighted in</span>
        <span class="pair">
          <ColorField
            :model-value="spec.highlightColor ?? { hex: tones.of({ name: 'highlighted' }) }"
            :theme="theme"
            label="Colour of what is highlighted"
            @update:model-value="color => color && set({ highlightColor: color })"
          />
          <UButton
            v-if="spec.highlightColor"
            size="sm"
            aria-label="What is highlighted by the theme"
            @click="set({ highlightColor: undefined })"
          >
            By theme
          </UButton>
        </span>
      </div>
      <div class="row">
        <UCheckbox
          :model-value="spec.patterns ?? false"
          label="Patterns beside colours"
          @update:model-value="on => set({ patterns: on === true || undefined })"
        />
      </div>
      <PassageSettings v-if="isTold && states.chosen" />
    </template>
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
p {
  margin: 0 0 8px;
}
p.warning {
  color: var(--warn-ink, var(--ink));
}
.inside {
  display: block;
  margin-top: 6px;
}
.file {
  color: var(--act);
}
.state {
  font-weight: 500;
}
.state .quiet {
  display: block;
  font-weight: 400;
}
.link {
  border: 0;
  background: none;
  padding: 0;
  font: inherit;
  color: var(--act);
  text-decoration: underline;
  cursor: pointer;
}
.pair {
  display: flex;
  gap: 5px;
  min-width: 0;
  justify-content: flex-end;
}
.short {
  width: 62px;
}
.tall {
  display: flex;
  flex-direction: column;
  gap: 6px;
  margin-bottom: 8px;
}
</style>
