<script setup lang="ts">
import type { Step } from '#core/steps'
import type { SourceDetail, SourceEntry } from '~/composables/data-room'

/** The steps that a table is made by, told as sentences: how many rows come to each, and the rows before and after one. */
const props = defineProps<{ table: SourceDetail; list: readonly SourceEntry[]; canEdit: boolean }>()
const emit = defineEmits<{ open: [id: string]; draw: []; changed: []; begin: [steps: Step[]] }>()
const desk = useStepsDesk(
  () => props.table.id,
  () => emit('changed'),
)
const { detail, lacking, chosen, steps, runs, sentences, counts } = desk
const isMade = computed(() => props.table.steps !== null)
/** Tables that are made of this one already. */
const made = computed(() => props.list.filter(({ madeOf }) => madeOf === props.table.id))
const from = computed(() => props.list.find(({ id }) => id === detail.value?.from)?.name ?? 'the table')

/** How wide the stream is at so many rows, px. */
const most = computed(() => Math.max(1, detail.value?.rows ?? 0, ...runs.value.map(({ rows }) => rows)))
const widest = 96
const wide = (rows: number | null) => (rows === null ? 7 : 7 + (widest - 7) * Math.sqrt(rows / most.value))
/** The stream beside a step, from its rows before to those after, in a room of 100 by 100. */
function stream(index: number) {
  const { before = 0, after = 0 } = counts.value[index] ?? {}
  const [a, b] = [wide(before), wide(after ?? before)]
  const x = (width: number, way: number) => 50 + (way * width) / 2
  return `M${x(a, -1)} 0 C${x(a, -1)} 50 ${x(b, -1)} 50 ${x(b, -1)} 100 L${x(b, 1)} 100 C${x(b, 1)} 50 ${x(a, 1)} 50 ${x(a, 1)} 0 Z`
}

const values = shallowReactive(new Map<string, readonly string[]>())
async function bringValues(column: string) {
  const of = detail.value?.from
  if (!of || values.has(column)) return
  values.set(column, [])
  const found = await asking(() => $fetch<string[]>(`/api/data/${of}/values`, { query: { column } }))
  if (found) values.set(column, found)
  else values.delete(column)
}
watch(
  () => detail.value?.from,
  () => values.clear(),
)

const isAdding = ref(false)
/** What a step that is added finds. */
const nextSight = computed(() => desk.sightOf(chosen.value + 1))
function add(step: Step) {
  if (isMade.value) void desk.add(step)
  else emit('begin', [step])
}

const rowsOfList = useTemplateRef<HTMLElement[]>('rows')
async function walk(by: number) {
  desk.choose(Math.min(steps.value.length - 1, Math.max(-1, chosen.value + by)))
  await nextTick()
  rowsOfList.value?.find(row => row.dataset.step === String(chosen.value))?.scrollIntoView({ block: 'nearest' })
}
/** The step that is pulled by its number, and the one whose place it would take. */
const held = ref(-1)
const over = ref(-1)
function pull(index: number, event: PointerEvent) {
  if (!props.canEdit || event.button !== 0) return
  event.preventDefault()
  held.value = index
  const placeAt = (y: number) => {
    const cards = (rowsOfList.value ?? []).filter(row => row.dataset.step !== '-1')
    const found = cards.find(row => y < row.getBoundingClientRect().bottom) ?? cards.at(-1)
    return found ? Number(found.dataset.step) : index
  }
  followPointer(
    event,
    ({ clientY }) => {
      const place = placeAt(clientY)
      over.value = place === index ? -1 : place
    },
    given => {
      const to = over.value
      held.value = over.value = -1
      if (given && to >= 0) desk.move(index, to)
    },
  )
}
function onKey(event: KeyboardEvent) {
  if (isTyping(event.target) || event.ctrlKey || event.metaKey || !detail.value) return
  const on = event.target as HTMLElement
  // Fields and their lists own their keys.
  if (on.closest?.('[role=combobox], [role=listbox], [role=dialog]')) return
  const isIn = on.closest?.('button, a')
  const up = event.key === 'ArrowUp'
  const edits = props.canEdit && isMade.value && chosen.value >= 0
  if (up || event.key === 'ArrowDown') {
    if (isIn) return
    if (event.altKey && edits) desk.move(chosen.value, chosen.value + (up ? -1 : 1))
    else if (!event.altKey) void walk(up ? -1 : 1)
    else return
  } else if (event.altKey) return
  else if (event.key.toLowerCase() === 'a' && props.canEdit) isAdding.value = true
  else if (event.key === 'Delete' && edits) void desk.remove(chosen.value)
  else if (event.key.toLowerCase() === 'x' && edits) void desk.skip(chosen.value)
  else return
  event.preventDefault()
}
onKeys(onKey)
defineExpose({ done: desk.done, undo: desk.undo })
</script>

<template>
  <p v-if="lacking" class="wait" role="alert">
    {{ lacking }}
    <UButton size="sm" @click="desk.load">Try again</UButton>
  </p>
  <p v-else-if="!detail" class="quiet wait" role="status">Bringing the steps…</p>
  <div v-else class="steps">
    <section class="list" aria-label="Steps">
      <div ref="rows" class="row" data-step="-1">
        <span class="flow" aria-hidden="true">
          <b>{{ numberWords(detail.rows) }}</b>
        </span>
        <span />
        <div class="first">
          <UButton variant="bare" class="start" :aria-pressed="chosen < 0" @click="desk.choose(-1)">
            {{ isMade ? `“${from}” as it is read` : 'The table as it is read' }}
          </UButton>
          <UButton v-if="isMade && detail.from" variant="bare" class="word" @click="emit('open', detail.from)">Go to it</UButton>
        </div>
      </div>
      <ol>
        <li
          v-for="(parts, index) in sentences"
          :key="index"
          ref="rows"
          class="row"
          :data-step="index"
          :class="{
            above: over === index && over < held,
            below: over === index && over > held,
            here: index === chosen,
            faulty: runs[index]?.fault,
            skipped: steps[index]!.skipped,
            later: !runs[index],
          }"
          @focusin="desk.choose(index)"
          @click="desk.choose(index)"
        >
          <span class="flow" aria-hidden="true">
            <svg viewBox="0 0 100 100" preserveAspectRatio="none"><path :d="stream(index)" /></svg>
            <b>{{ counts[index]?.after === null ? '…' : numberWords(counts[index]!.after!) }}</b>
          </span>
          <span class="number" :class="{ held: held === index, loose: canEdit }" @pointerdown="pull(index, $event)">{{ index + 1 }}</span>
          <div class="card" role="group" :aria-label="`Step ${index + 1}: ${desk.wordsOf(index)}`">
            <StepSentence
              :parts="parts"
              :fault="runs[index]?.fault ?? null"
              :can-edit="canEdit"
              :values="column => values.get(column) ?? []"
              @change="fields => desk.change(index, fields)"
              @ask="bringValues"
            />
            <p v-if="steps[index]!.skipped" class="note">Passed over: rows go by as they are.</p>
            <p v-else-if="runs[index]?.note" class="note">{{ runs[index]!.note }}</p>
            <p v-else-if="!runs[index]" class="note">Waits for the step above; what it made last stays.</p>
            <div v-if="index === chosen && canEdit" class="acts">
              <UButton size="sm" @click.stop="desk.duplicate(index)">Duplicate</UButton>
              <UButton size="sm" @click.stop="desk.skip(index)">{{ steps[index]!.skipped ? 'Do it again' : 'Skip' }}</UButton>
              <UButton size="sm" @click.stop="desk.remove(index)">Remove</UButton>
            </div>
          </div>
        </li>
      </ol>
      <div class="row add">
        <span class="flow" aria-hidden="true" />
        <span />
        <div class="adding">
          <StepFinder
            v-if="canEdit"
            v-model:open="isAdding"
            :sight="nextSight"
            :label="isMade ? 'Add a step' : 'Begin a list of steps'"
            :is-first="!steps.length"
            @add="add"
          />
          <span v-if="canEdit && steps.length" class="quiet">behind the one that is chosen</span>
          <UKbd v-if="canEdit" value="A" />
          <p v-if="!isMade" class="quiet explain">
            Steps keep rows, group, join and reckon. They make a table of their own, which follows this one: charts that draw this one stay
            as they are.
          </p>
          <p v-if="!isMade && made.length" class="explain">
            Made of it already:
            <UButton v-for="one in made" :key="one.id" variant="bare" class="word" @click="emit('open', one.id)">{{ one.name }}</UButton>
          </p>
        </div>
      </div>
    </section>
    <StepsLook :desk="desk" :is-made="isMade" @draw="emit('draw')" />
  </div>
</template>

<style scoped>
.wait {
  padding: 20px 0;
}
.steps {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 42%);
  gap: 14px;
}
.list {
  overflow-y: auto;
  padding: 4px 6px 16px 0;
}
ol,
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.row {
  display: grid;
  grid-template-columns: 100px 26px minmax(0, 1fr);
  align-items: stretch;
}
.flow {
  position: relative;
  min-height: 38px;
}
.flow svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.flow path {
  fill: color-mix(in srgb, var(--act) 18%, var(--ground));
}
.here .flow path {
  fill: color-mix(in srgb, var(--act) 72%, var(--ground));
}
.later .flow path {
  fill: var(--well);
}
.flow b {
  position: absolute;
  left: 50%;
  bottom: 0;
  transform: translate(-50%, 50%);
  z-index: 1;
  padding: 0 6px;
  border-radius: 6px;
  background: var(--panel);
  font: 600 12.5px var(--font-mono);
  white-space: nowrap;
}
.number {
  align-self: center;
  text-align: right;
  padding-right: 8px;
  font: 600 13px var(--font-mono);
  color: var(--act);
}
.number.loose {
  cursor: grab;
  touch-action: none;
}
.held {
  cursor: grabbing;
}
.above {
  box-shadow: 0 -2px 0 var(--act);
}
.below {
  box-shadow: 0 2px 0 var(--act);
}
.first {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 6px 12px;
}
.start {
  font-weight: 650;
}
.card {
  margin: 7px 0;
  padding: 10px 12px;
  border: 1px solid transparent;
  border-radius: 10px;
}
.here .card {
  background: var(--panel);
  border-color: var(--act);
}
.faulty .card {
  background: color-mix(in srgb, var(--wrong) 8%, var(--panel));
  border-color: color-mix(in srgb, var(--wrong) 45%, var(--panel));
}
.skipped :deep(.sentence),
.later :deep(.sentence) {
  opacity: 0.6;
}
.note {
  margin: 6px 0 0;
  font-size: 13.5px;
  color: var(--second);
}
.acts {
  display: flex;
  justify-content: flex-end;
  gap: 6px;
  margin-top: 8px;
}
.adding {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 10px;
  padding: 16px 12px 0;
}
.explain {
  flex-basis: 100%;
  margin: 0;
  max-width: 56ch;
}
.word {
  display: inline;
  color: var(--act);
  font-weight: 600;
  text-decoration: underline;
  margin-right: 8px;
}
@media (max-width: 1151px) {
  .row {
    grid-template-columns: 64px 22px minmax(0, 1fr);
  }
}
</style>
