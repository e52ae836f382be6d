<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { fieldLimits } from '#core/model'

/** Beats across to true time, elements down, cues as bars whose shape tells what they do. */
const props = defineProps<{ proposed?: readonly number[] }>()
const store = useDeck()
const where = useWhere()
const selected = useSelected()
const many = useScore()
const sounds = useSounds()
const soundLanes = ref<{ speech: readonly { from: number; until: number }[] }>()
const area = ref<HTMLElement>()
const { width } = useElementSize(area)
const names = 172

const score = computed(() => where.score!)
const { evenly, zoom, zoomTo, columns, total, now, scrub } = useScoreColumns(() => width.value - names - 24)
const { rows, still, byTime, onlyMoving, folds, folded, fold, depthOf, bars, heightOf, turnsOf, opening, opened, toggle, staggered } =
  useScoreBars(columns)
const { ripples, said, pressCue, pressLine, keyCue, keyLine } = useScoreDrag(
  () => columns.value,
  () => soundLanes.value?.speech ?? [],
)
const beatIndex = computed(() => (where.moment?.slide === where.slideId ? Math.min(where.moment!.beat, columns.value.length - 1) : 0))
const { newBeat, naming, name, beatMenu, startWords, holdWords } = useBeatMenu(
  () => columns.value,
  () => beatIndex.value,
)
const { menu, cameraMenu } = useMotionMenus(() => score.value.beats[beatIndex.value]!.beat)
/** What a key does in the score; null for nothing. Who may only look, looks nearer and back as well. */
function doing(event: KeyboardEvent) {
  const key = event.key.toLowerCase()
  if (event.ctrlKey || event.metaKey) {
    if (!store.canEdit) return null
    if (key === 'c' && many.chosen.length) return () => many.copy()
    return key === 'v' && many.clipping && selected.elements.length ? () => many.paste(selected.elements, 'add') : null
  }
  if (key === 'f') return () => look(1)
  if (key === '+' || key === '-') return () => look(zoom.value * (key === '+' ? 1.5 : 1 / 1.5))
  if (!store.canEdit) return null
  if (key === 'b') return newBeat
  return (key === 'delete' || key === 'backspace') && many.chosen.length ? () => many.remove() : null
}
function onKey(event: KeyboardEvent) {
  const does = isTyping(event.target) || event.altKey ? null : doing(event)
  if (!does) return
  event.preventDefault()
  does()
}
onKeys(onKey)

/** Looks nearer or from afar; a place of the score, px from its left edge in sight, stays where it is: the playhead, or the pointer. */
function look(next: number, at?: number) {
  const view = area.value
  if (!view) return
  const before = total.value
  const held = at ?? Math.min(view.clientWidth - 40, Math.max(names, names + (now.value ?? 0) - view.scrollLeft))
  const along = view.scrollLeft + held - names
  zoomTo(next)
  void nextTick(() => {
    view.scrollLeft = (along * total.value) / Math.max(1, before) - held + names
  })
}
function wheel(event: WheelEvent) {
  if (!event.ctrlKey && !event.metaKey) return
  event.preventDefault()
  look(zoom.value * Math.exp(-event.deltaY / 400), event.clientX - area.value!.getBoundingClientRect().left)
}
defineExpose({ newBeat })
</script>

<template>
  <div ref="area" class="score" @wheel="wheel">
    <span class="hidden-words" role="status">{{ said }}</span>
    <div class="inner" :style="{ width: `${names + total + 24}px` }">
      <div class="head">
        <ScoreCorner
          v-model:evenly="evenly"
          v-model:by-time="byTime"
          v-model:only-moving="onlyMoving"
          v-model:ripples="ripples"
          :zoom="zoom"
          @look="look"
        />
        <div class="columns" :style="{ width: `${total}px` }" @pointerdown.self="scrub">
          <div
            v-for="column in columns"
            :key="column.beat.id"
            class="column"
            :class="{ even: column.index % 2, looped: where.loop && column.index >= where.loop.from && column.index <= where.loop.to }"
            :style="{ left: `${column.x}px`, width: `${column.width}px` }"
            @pointerdown="scrub"
          >
            <RenameField
              v-if="naming === column.beat.id"
              optional
              :model-value="column.beat.name"
              :aria-label="`Name of beat ${column.index + 1}`"
              v-bind="fieldLimits('beats', 'name')"
              @pointerdown.stop
              @rename="words => name(column.beat, words)"
              @done="naming = null"
            />
            <UDropdownMenu v-else-if="store.canEdit" :items="beatMenu(column)">
              <button
                class="beat"
                :aria-label="`Beat ${column.index + 1}${column.beat.name ? `, ${column.beat.name}` : ''}`"
                :title="column.beat.name && `Beat ${column.index + 1}: ${column.beat.name}`"
                @pointerdown.stop
              >
                <b>{{ column.beat.name ?? `Beat ${column.index + 1}` }}</b>
                <span class="amount quiet">{{ secondsWords(column.moves + column.hold) }}</span>
                <UIcon name="i-lucide-chevron-down" />
              </button>
            </UDropdownMenu>
            <span v-else class="beat">
              <b>{{ column.beat.name ?? `Beat ${column.index + 1}` }}</b>
            </span>
            <span class="how" :class="column.start" :title="`${startWords[column.start]}, ${holdWords(column)}`">
              {{ startWords[column.start] }},
              <span class="quiet">{{ holdWords(column) }}</span>
            </span>
          </div>
        </div>
      </div>
      <div class="body">
        <div class="lanes" :style="{ left: `${names}px`, width: `${total}px` }">
          <div
            v-for="column in columns"
            :key="column.beat.id"
            class="lane"
            :class="{ even: column.index % 2 }"
            :style="{ left: `${column.x}px`, width: `${column.width}px` }"
          >
            <span class="held" :style="{ left: `${column.moves * column.unit}px`, width: `${Math.max(0, column.hold * column.unit)}px` }" />
            <span
              class="line"
              :class="columns[column.index + 1]?.start ?? 'end'"
              title="Drag to change how long the beat holds"
              role="separator"
              tabindex="0"
              :aria-label="`End of beat ${column.index + 1}`"
              :aria-valuenow="Math.round(column.hold * 10) / 10"
              :aria-valuetext="`holds ${secondsWords(column.hold)}`"
              :style="{ left: `${Math.max(column.width, 0)}px` }"
              @keydown="keyLine($event, column)"
              @pointerdown="pressLine($event, column)"
            />
          </div>
        </div>
        <div v-if="score.board" class="part" :style="{ height: `${heightOf(cameraRow)}px` }">
          <span class="name">
            <span class="choose">
              <span>Camera</span>
              <span class="quiet">board</span>
            </span>
          </span>
          <div class="bars" :style="{ width: `${total}px` }">
            <ScoreBars :bars="bars.get(cameraRow)!" name="the camera" @press="pressCue" @key="keyCue" />
            <UDropdownMenu
              v-if="store.canEdit"
              :items="cameraMenu"
              :content="{ align: 'start' }"
              :ui="{ content: 'max-h-96 overflow-y-auto' }"
            >
              <button class="plus" aria-label="Let the camera go">
                <UIcon name="i-lucide-plus" />
                go to
              </button>
            </UDropdownMenu>
          </div>
        </div>
        <div
          v-for="element in rows"
          :key="element.id"
          class="part"
          :style="{ height: `${heightOf(element.id)}px` }"
          :class="{ here: selected.elements.includes(element.id) }"
        >
          <span class="name">
            <button class="choose" :style="{ paddingLeft: `${depthOf(element) * 10}px` }" @click="selected.select(element.id)">
              <span>{{ element.name }}</span>
              <span class="quiet">{{ element.kind }}</span>
            </button>
            <UButton
              v-if="folds.has(element.id)"
              variant="ghost"
              size="sm"
              class="opens"
              :icon="folded.has(element.id) ? 'i-lucide-chevron-right' : 'i-lucide-chevron-down'"
              :aria-expanded="!folded.has(element.id)"
              :aria-label="`Rows in ${element.name}`"
              :title="folded.has(element.id) ? `${folds.get(element.id)} rows in it` : 'Fold the rows in it away'"
              @click="fold(element.id)"
            />
            <UButton
              v-if="opening(element.id)"
              variant="ghost"
              size="sm"
              class="opens"
              :icon="opened.has(element.id) ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'"
              :aria-expanded="opened.has(element.id)"
              :aria-label="`Parts of ${element.name}`"
              title="Its parts, each with its turn"
              @click="toggle(element.id)"
            />
          </span>
          <div class="bars" :style="{ width: `${total}px` }">
            <ScoreBars :bars="bars.get(element.id)!" :name="element.name" @press="pressCue" @key="keyCue" />
            <ScorePart v-for="turn in turnsOf(element.id)" :key="`${turn.cue}-${turn.index}`" :turn="turn" :staggered="staggered" />
            <UDropdownMenu
              v-if="store.canEdit"
              :items="menu(element)"
              :content="{ align: 'start' }"
              :ui="{ content: 'max-h-96 overflow-y-auto' }"
            >
              <button class="plus" :aria-label="`Motion for ${element.name}`">
                <UIcon name="i-lucide-plus" />
                motion
              </button>
            </UDropdownMenu>
          </div>
        </div>
        <SoundLanes v-if="sounds.here.length" ref="soundLanes" :columns="columns" :total="total" :proposed="props.proposed ?? []" />
        <p v-if="onlyMoving && still" class="quiet folded">
          {{ still === 1 ? 'One element never moves.' : `${still} elements never move.` }}
          <UButton variant="ghost" size="sm" @click="onlyMoving = false">Show all rows</UButton>
        </p>
        <p v-if="!rows.length && !still" class="quiet none">
          Nothing stands on this slide yet. Compose puts elements on it; here they get their time.
        </p>
        <div v-if="now !== null" class="playhead" :style="{ transform: `translateX(${names + now}px)` }" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.score {
  overflow: auto;
  background: var(--panel);
  height: 100%;
  position: relative;
}
.inner {
  min-height: 100%;
  position: relative;
  min-width: 100%;
}
.head {
  display: flex;
  position: sticky;
  top: 0;
  z-index: 6;
  background: var(--panel);
  height: 54px;
  border-bottom: 1px solid var(--line);
}
.columns {
  position: relative;
  cursor: col-resize;
}
.column {
  position: absolute;
  top: 0;
  bottom: 0;
  padding: 5px 8px 0;
  display: flex;
  flex-direction: column;
  overflow: hidden;
  touch-action: none;
}
.looped {
  box-shadow: inset 0 3px 0 var(--now);
}
.even {
  background: color-mix(in srgb, var(--act) 5%, transparent);
}
.beat {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  align-self: flex-start;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  padding: 1px 4px;
  margin-left: -4px;
  border-radius: 5px;
  cursor: pointer;
}
.beat:hover {
  background: var(--act-wash);
}
.folded {
  margin: 4px 14px;
  position: sticky;
  left: 14px;
  width: fit-content;
}
.how {
  font-size: 12.5px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  color: var(--second);
}
.how.advance {
  color: var(--act);
}
.body {
  position: relative;
  min-height: 120px;
}
.lanes {
  position: absolute;
  top: 0;
  bottom: 0;
}
.lane {
  position: absolute;
  top: 0;
  bottom: 0;
}
.held {
  position: absolute;
  top: 0;
  bottom: 0;
  background: repeating-linear-gradient(135deg, transparent 0 7px, color-mix(in srgb, var(--line) 55%, transparent) 7px 8px);
  opacity: 0.55;
}
.line {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 11px;
  margin-left: -6px;
  cursor: ew-resize;
  z-index: 3;
  touch-action: none;
}
.line::before {
  content: '';
  position: absolute;
  left: 5px;
  top: 0;
  bottom: 0;
  border-left: 2px solid var(--act);
}
.line.self::before {
  border-left-style: dotted;
  border-color: var(--third);
}
.line.end::before {
  border-left: 4px double var(--third);
}
.line:hover::before {
  border-color: var(--now);
}
.part {
  display: flex;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 60%, transparent);
  position: relative;
}
.name {
  width: 172px;
  flex: none;
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 8px;
  padding: 0 12px 0 14px;
  border: 0;
  border-right: 1px solid var(--line);
  background: var(--panel);
  color: inherit;
  font: inherit;
  position: sticky;
  left: 0;
  z-index: 5;
  text-align: left;
  cursor: pointer;
}
.choose {
  display: flex;
  flex: 1;
  min-width: 0;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  height: 36px;
  line-height: inherit;
  border: 0;
  background: none;
  padding: 0;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.opens {
  padding: 2px;
  margin: 7px -8px 0 0;
  line-height: 1;
}
.name span:first-child {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.part.here .name {
  background: var(--act-wash);
  font-weight: 600;
}
.name .quiet {
  font-size: 12.5px;
}
.bars {
  position: relative;
  height: 100%;
}
.plus {
  position: absolute;
  right: 4px;
  top: 6px;
  height: 24px;
  border: 1px solid var(--line);
  background: var(--panel);
  color: var(--second);
  border-radius: 999px;
  display: inline-flex;
  align-items: center;
  gap: 3px;
  padding: 0 8px 0 5px;
  font: 500 12px 'Hanken Grotesk';
  cursor: pointer;
  opacity: 0;
  z-index: 4;
}
.part:hover .plus,
.part.here .plus,
.plus:focus-visible,
.plus[data-state='open'] {
  opacity: 1;
}
.playhead {
  position: absolute;
  left: -1px;
  top: -54px;
  bottom: 0;
  width: 2px;
  background: var(--now);
  z-index: 7;
  pointer-events: none;
}
.none {
  padding: 30px;
}
</style>
