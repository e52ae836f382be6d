<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { chooseLayout, outlineOf, partSlide, type SlideDesign } from '#core/layouts'
import { infoOf } from '#core/model'

/** Whole decks beside each other, made of the same words in three looks: one is taken, or slides from several. */
const emit = defineEmits<{ taken: [] }>()
const store = useDeck()
const where = useWhere()
const furnish = useFurnishing()
const { choices, designs, slides, made, taken, main, isWorking, isCurrent, stop, others, move, moveAll, take } = useDesigns()

const designOf = (look: string, slide: string): SlideDesign | undefined => designs.value.get(look)?.slides.find(one => one.slide === slide)
const ratio = computed(() => infoOf(store.current).size.height / infoOf(store.current).size.width)
const lineCount = computed(() =>
  slides.value.reduce((sum, slide) => {
    const { title, lines } = outlineOf(store.current, slide)
    return sum + (title.trim() ? 1 : 0) + lines.filter(line => line.text.trim()).length
  }, 0),
)
const rows = computed(() =>
  slides.value.map((slide, index) => {
    const ofEach = choices.value.map(({ look }) => ({
      look,
      design: designOf(look.name, slide.id),
      deck: designs.value.get(look.name)?.deck,
    }))
    const here = ofEach.find(({ look }) => look.name === taken.value.get(slide.id))
    return {
      slide: slide.id,
      index,
      outline: outlineOf(store.current, slide),
      ofEach,
      column: here ? ofEach.indexOf(here) : 0,
      design: here?.design,
    }
  }),
)
type Row = (typeof rows.value)[number]

// All measures follow from the width: rows are equally high, so that the line through them is reckoned and not looked up.
const area = ref<HTMLElement>()
const { width: room } = useElementSize(area)
/** Under this, one column is seen at a time. */
const narrow = 820
const isNarrow = computed(() => room.value > 0 && room.value < narrow)
const shownColumn = ref(0)
const columns = computed(() => (isNarrow.value ? choices.value.slice(shownColumn.value, shownColumn.value + 1) : choices.value))
const wordsWidth = computed(() => Math.round(Math.max(220, room.value * (isNarrow.value ? 0.42 : 0.26))))
const columnWidth = computed(() => Math.floor((room.value - wordsWidth.value) / Math.max(1, columns.value.length)))
const captionWidth = 98
const thumbWidth = computed(() => Math.round(Math.max(96, Math.min(columnWidth.value - 34 - captionWidth, 220, 200 / ratio.value))))
const rowHeight = computed(() => Math.max(96, Math.round(thumbWidth.value * ratio.value) + 14))
const across = computed(() => columns.value.map((_, index) => wordsWidth.value + index * columnWidth.value + 13))
const grid = computed(() => ({ gridTemplateColumns: `${wordsWidth.value}px repeat(${columns.value.length}, ${columnWidth.value}px)` }))
const threadColumns = computed(() => rows.value.map(row => (isNarrow.value ? 0 : row.column)))
/** Lines of a row that have room beside its title and what is said of it. */
const shownLines = computed(() => Math.max(1, Math.floor((rowHeight.value - 64) / 18)))
const linesOf = (row: Row) => Math.max(0, shownLines.value - (row.design?.keeps === 'chosen' ? 1 : 0))

const mixed = computed(() => new Set(taken.value.values()).size > 1)
const mainLabel = computed(() => choices.value.find(({ look }) => look.name === main.value)?.look.label ?? '')
const takeLabel = computed(() => (slides.value.length === 1 ? 'Take this one' : `Take these ${numberWords(slides.value.length)}`))
const hint = computed(() => {
  if (isWorking.value) {
    const at = made.value.findIndex(count => count < slides.value.length)
    return `Designing ${choices.value[at]?.look.label ?? ''}: ${made.value[at] ?? 0} of ${slides.value.length} slides`
  }
  return mixed.value
    ? `Colours, fonts and footer of ${mainLabel.value}; slides from the others keep how they are composed.`
    : 'Press a slide, or 1 2 3 in its row, to take it. Space shows a row large.'
})

function takeThese() {
  const changes = take()
  if (!changes.length) return
  store.tried = null
  const ids = slides.value.map(({ id }) => id)
  store.edit(`design the deck in ${mainLabel.value}`, changes)
  void furnish(ids)
  where.goToSlide(ids[0] ?? null)
  useToast().add({ title: `The deck stands in ${mainLabel.value}. Undo takes it back in one step.`, color: 'success' })
  emit('taken')
}
const proposeAgain = (slide: string) => store.edit('let it be proposed again', chooseLayout(store.current, { slide, chosen: false }))
const split = (slide: string) => store.edit('make two slides', partSlide(store.current, { slide }, store.context))

/** The row that is looked at large. */
const large = ref<string | null>(null)
const largeRow = computed(() => rows.value.find(row => row.slide === large.value))
const largeWidth = computed(() => Math.floor(Math.min(1180, innerWidth - 110) / choices.value.length) - 14)
function takeInRow(row: Row, column: number) {
  const choice = choices.value[column]
  if (choice) move(row.slide, choice.look.name)
}

const list = ref<HTMLElement>()
const focusAt = (row: number, column: number) =>
  list.value?.querySelector<HTMLElement>(`[data-row="${row}"] [data-column="${column}"] button`)?.focus()
function onKey(event: KeyboardEvent, row: Row) {
  const column = Number((event.target as HTMLElement).closest('[data-column]')?.getAttribute('data-column') ?? NaN)
  const step = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key]
  if (event.ctrlKey || event.metaKey || event.altKey) return
  if (step && !Number.isNaN(column)) focusAt(row.index + step[0]!, column + step[1]!)
  else if (/^[1-3]$/.test(event.key) && store.canEdit) takeInRow(row, Number(event.key) - 1)
  else if (event.key === ' ' && !Number.isNaN(column)) large.value = row.slide
  else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <section class="designs" aria-label="Whole decks">
    <div class="head">
      <slot name="head" />
      <span class="quiet hint" role="status">{{ hint }}</span>
      <UButton v-if="isWorking" size="sm" @click="stop">Stop here</UButton>
      <UButton size="sm" icon="i-lucide-refresh-cw" :disabled="!slides.length" @click="others">Three others</UButton>
      <UButton
        size="sm"
        color="primary"
        variant="solid"
        :disabled="!store.canEdit || !isCurrent || !main || !designs.has(main)"
        @click="takeThese"
      >
        {{ takeLabel }}
      </UButton>
    </div>
    <p v-if="!store.slides.length" class="none">
      There are no words yet. Write a line or paste an outline in Text; three decks are made of it.
    </p>
    <div v-else ref="area" class="area">
      <div ref="list" class="list">
        <div class="across heads" :style="grid">
          <div class="words">
            <h3>Three decks from your {{ lineCount === 1 ? 'line' : `${numberWords(lineCount)} lines` }}</h3>
            <ViewSwitch
              v-if="isNarrow"
              label="Look"
              :views="choices.map(({ look }, index) => ({ value: String(index), label: look.label }))"
              :value="String(shownColumn)"
              @show="shownColumn = Number($event)"
            />
          </div>
          <div v-for="choice in columns" :key="choice.look.name" class="look">
            <div class="name">
              <h3>{{ choice.look.label }}</h3>
              <UButton variant="bare" class="whole" :disabled="!store.canEdit" @click="moveAll(choice.look.name)">Take whole deck</UButton>
            </div>
            <p :title="choice.reason">{{ choice.reason }}</p>
          </div>
        </div>
        <div class="rows">
          <DesignThread v-if="columns.length" :columns="threadColumns" :across="across" :row="rowHeight" />
          <div
            v-for="row in rows"
            :key="row.slide"
            class="across"
            :class="{ hand: row.design?.keeps === 'chosen' }"
            :style="{ ...grid, height: `${rowHeight}px` }"
            :data-row="row.index"
            @keydown="onKey($event, row)"
          >
            <div class="words">
              <span class="number">{{ row.index + 1 }}</span>
              <div class="said">
                <b>{{ row.outline.title || 'Untitled' }}</b>
                <span v-for="(line, at) in row.outline.lines.slice(0, linesOf(row))" :key="at" class="line">{{ line.text }}</span>
                <span v-if="row.outline.lines.length > linesOf(row)" class="quiet">
                  and {{ numberWords(row.outline.lines.length - linesOf(row)) }} more
                </span>
                <span v-if="row.design?.keeps === 'chosen'" class="kept">
                  You chose this layout. It stays.
                  <UButton variant="bare" class="again" :disabled="!store.canEdit" @click="proposeAgain(row.slide)">Propose again</UButton>
                </span>
                <span v-else-if="row.design?.keeps" class="reason">It holds more than words: its layout stays.</span>
                <span v-else-if="row.design" class="reason" :title="row.design.reason">{{ row.design.reason }}</span>
              </div>
            </div>
            <div v-for="{ look } in columns" :key="look.name" :data-column="choices.findIndex(choice => choice.look === look)">
              <DesignCell
                :deck="designs.get(look.name)?.deck ?? null"
                :slide="row.slide"
                :design="designOf(look.name, row.slide)"
                :look="look.label"
                :width="thumbWidth"
                :ratio="ratio"
                :is-taken="taken.get(row.slide) === look.name"
                :disabled="!store.canEdit"
                @take="move(row.slide, look.name)"
                @split="split(row.slide)"
              />
            </div>
          </div>
        </div>
      </div>
    </div>
    <UModal
      :open="!!largeRow"
      :title="largeRow?.outline.title || 'Untitled'"
      description="The same slide in three looks"
      :ui="{ content: 'max-w-7xl' }"
      @update:open="value => !value && (large = null)"
    >
      <template #body>
        <div v-if="largeRow" class="large">
          <div v-for="{ look, design, deck } in largeRow.ofEach" :key="look.name">
            <NearThumb :deck="design && deck ? deck : null" :slide="largeRow.slide" :width="largeWidth" :ratio="ratio" />
            <p class="under">
              <b>{{ look.label }}</b>
              <UButton
                size="sm"
                :active="taken.get(largeRow.slide) === look.name"
                :disabled="!store.canEdit"
                @click="move(largeRow.slide, look.name)"
              >
                {{ taken.get(largeRow.slide) === look.name ? 'Taken' : 'Take' }}
              </UButton>
            </p>
          </div>
        </div>
      </template>
    </UModal>
  </section>
</template>

<style scoped>
.designs {
  display: flex;
  flex-direction: column;
  min-height: 0;
  height: 100%;
  background: var(--panel);
}
.head {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 12px 16px;
  border-bottom: 1px solid var(--line);
}
.hint {
  flex: 1;
  min-width: 0;
}
.none {
  padding: 24px 16px;
  color: var(--second);
}
.area {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  scrollbar-gutter: stable;
}
.across {
  display: grid;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.heads {
  position: sticky;
  top: 0;
  z-index: 2;
  align-items: start;
  padding: 10px 0;
  background: var(--panel);
}
.heads h3 {
  font-size: 16px;
}
.rows {
  position: relative;
}
.across.hand {
  background: var(--now-wash);
}
.words {
  display: flex;
  gap: 10px;
  align-self: start;
  padding: 8px 12px 0 16px;
  min-width: 0;
  height: 100%;
  overflow: hidden;
}
.heads .words {
  flex-direction: column;
  padding-top: 0;
}
.number {
  color: var(--third);
  font-family: var(--font-mono);
  min-width: 1.2em;
}
.said {
  display: flex;
  flex-direction: column;
  min-width: 0;
  font-size: 13.5px;
  line-height: 18px;
}
.said b {
  font-weight: 600;
}
.said > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  flex: none;
}
.reason {
  color: var(--act);
}
.kept {
  color: var(--now-ink);
}
.again,
.whole {
  color: var(--act);
  font-weight: 600;
  font-size: 13.5px;
}
.look {
  padding-right: 12px;
  padding-left: 26px;
  min-width: 0;
}
.name {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 8px;
}
.look p {
  margin: 2px 0 0;
  color: var(--second);
  font-size: 13px;
  line-height: 17px;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
  overflow: hidden;
}
.large {
  display: flex;
  gap: 14px;
  justify-content: center;
}
.under {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin: 8px 0 0;
}
</style>
