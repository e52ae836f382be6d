<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { rowsFor } from '#core/amounts'
import { moveSlide, setFields } from '#core/edits'
import { titleOf } from '#core/layouts'
import { momentAt, secondsAt, type RundownSlide } from '#core/timing'

/** The deck's slides along time: as wide as they last, or evenly. Edges change time, slides can be moved, the playhead dragged. */
const store = useDeck()
const where = useWhere()
const tables = useTables()
const byTime = ref(true)
const track = ref<HTMLElement>()
const { width: visible } = useElementSize(track)
const scrolled = ref(0)
const least = 26
const even = 150

interface Placed {
  slide: RundownSlide
  x: number
  width: number
  title: string
}

/** How often a slide is there when the deck plays, where it is there for rows. */
function timesOf(slide: string): string {
  const rows = store.current.slides[slide]?.rows
  const table = rows && tables.table(rows.table)
  return table ? `, for each of ${numberWords(rowsFor(rows, table).length)} rows` : ''
}
const unit = computed(() => {
  const plan = store.keptPlan
  if (!plan?.length) return 10
  return Math.max(4, Math.min(40, (visible.value - 24) / plan.length))
})
const placed = computed<Placed[]>(() => {
  let x = 4
  return (store.plan?.slides ?? []).map(slide => {
    const width = byTime.value ? Math.max(least, slide.length * unit.value) : even
    const made = { slide, x, width, title: store.deck ? titleOf(store.deck, slide.slide) : '' }
    x += width + 4
    return made
  })
})
const total = computed(() => (placed.value.at(-1)?.x ?? 0) + (placed.value.at(-1)?.width ?? 0) + 20)
const inSight = computed(() =>
  placed.value.filter(item => item.x + item.width > scrolled.value - 200 && item.x < scrolled.value + visible.value + 200),
)

/** How far the playhead’s flag stands aside of it, px, so that it is not cut off at an end of what is in sight. */
function asideOf(x: number): number {
  const [half, at] = [30, x - scrolled.value]
  return at < 0 || at > visible.value ? 0 : Math.max(0, half - at) + Math.min(0, visible.value - half - at)
}
function xOf(seconds: number): number {
  const item = placed.value.findLast(candidate => candidate.slide.start <= seconds + 1e-9)
  if (!item) return 4
  return item.x + (item.slide.length > 0 ? Math.min(1, (seconds - item.slide.start) / item.slide.length) : 0) * item.width
}
function secondsOf(x: number): number {
  const item = placed.value.findLast(candidate => candidate.x <= x) ?? placed.value[0]
  if (!item) return 0
  return item.slide.start + Math.min(1, Math.max(0, (x - item.x) / item.width)) * item.slide.length
}
const now = computed(() => (store.plan && where.moment ? secondsAt(store.plan, where.moment) : null))

const marks = computed(() => {
  if (!byTime.value || !store.plan) return placed.value.map(item => ({ x: item.x, words: clockWords(item.slide.start) }))
  const step = [1, 2, 5, 10, 20, 30, 60, 120, 300, 600].find(candidate => candidate * unit.value >= 90) ?? 900
  return Array.from({ length: Math.floor(store.plan.length / step) + 1 }, (_, index) => ({
    x: xOf(index * step),
    words: clockWords(index * step),
  }))
})

function scrub(event: PointerEvent) {
  const plan = store.plan
  const box = track.value!.getBoundingClientRect()
  if (!plan) return
  const at = (move: PointerEvent) => {
    where.stop()
    const moment = momentAt({ ...plan, purpose: 'film' }, secondsOf(move.clientX - box.left + scrolled.value))
    if (moment) where.goTo(moment)
  }
  at(event)
  followPointer(event, at)
}

/** Dragging a slide's right edge changes the hold of its last beat. */
function dragEdge(event: PointerEvent, item: Placed) {
  const last = item.slide.score.beats.at(-1)
  if (!last || !store.canEdit) return
  const perPixel = 1 / unit.value
  tryWhileDragged(event, `hold slide ${item.slide.index + 1}`, move => {
    const by = Math.max(-last.hold, Math.round((move.clientX - event.clientX) * perPixel * 10) / 10)
    return by
      ? setFields(store.current, {
          table: 'beats',
          id: last.beat.id,
          fields: { hold: { kind: 'seconds', seconds: Math.round((last.hold + by) * 10) / 10 } },
        })
      : null
  })
}

const moving = ref<{ slide: string; by: number; to: number } | null>(null)
function press(event: PointerEvent, item: Placed) {
  if (event.button !== 0) return
  where.stop()
  where.goToSlide(item.slide.slide)
  if (!store.canEdit) return
  const from = event.clientX
  followPointer(
    event,
    move => {
      const by = move.clientX - from
      if (!moving.value && Math.abs(by) < 6) return
      const middle = item.x + item.width / 2 + by
      const to = placed.value.filter(other => other.slide.slide !== item.slide.slide && other.x + other.width / 2 < middle).length
      moving.value = { slide: item.slide.slide, by, to }
    },
    given => {
      const input = moving.value
      moving.value = null
      if (!given || !input || !store.deck || !store.plan) return
      // Skipped slides are not in the rundown: the place is counted among all.
      const others = store.slides.filter(slide => slide.id !== input.slide)
      const before = store.plan.slides.filter(slide => slide.slide !== input.slide)[input.to]?.slide
      const index = before ? others.findIndex(slide => slide.id === before) : others.length
      store.edit('move a slide', moveSlide(store.deck, { slide: input.slide, index }))
    },
  )
}

const { menuOf } = useSlideMenu()

function onKey(event: KeyboardEvent, index: number) {
  const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
  const target = placed.value[index + step]
  if (!step || !target) return
  event.preventDefault()
  event.stopPropagation()
  if (event.altKey && store.deck)
    store.edit('move a slide', moveSlide(store.deck, { slide: placed.value[index]!.slide.slide, index: index + step }))
  else {
    where.goToSlide(target.slide.slide)
    nextTick(() => track.value?.querySelector<HTMLElement>(`[data-slide="${target.slide.slide}"]`)?.focus())
  }
}
watch(
  () => where.slideId,
  id => {
    const item = placed.value.find(candidate => candidate.slide.slide === id)
    if (!item || !track.value) return
    if (item.x < scrolled.value || item.x + item.width > scrolled.value + visible.value)
      track.value.scrollTo({ left: item.x - 80, behavior: 'smooth' })
  },
)
</script>

<template>
  <section class="rundown" aria-label="Rundown">
    <div class="side">
      <b class="amount length" data-test="total">{{ clockWords(store.played?.length ?? 0, true) }}</b>
      <span class="quiet">
        {{ store.played?.slides.length === 1 ? 'one slide' : `${store.played?.slides.length ?? 0} slides`
        }}{{ store.plan?.openEnded ? ', as planned' : '' }}
      </span>
      <div class="choice">
        <button :class="{ here: byTime }" @click="byTime = true">By time</button>
        <button :class="{ here: !byTime }" @click="byTime = false">Evenly</button>
      </div>
    </div>
    <div ref="track" class="track" @scroll="scrolled = track!.scrollLeft">
      <RightMenu :menu-of="menuOf" @ask="where.goToSlide">
        <div class="inner" :style="{ width: `${total}px` }">
          <div class="ruler" @pointerdown="scrub">
            <span v-for="mark in marks" :key="mark.x" class="mark amount" :style="{ left: `${mark.x}px` }">{{ mark.words }}</span>
          </div>
          <div
            v-for="item in inSight"
            :key="item.slide.slide"
            class="slide"
            :class="{ here: item.slide.slide === where.slideId, moving: moving?.slide === item.slide.slide }"
            role="button"
            tabindex="0"
            :data-slide="item.slide.slide"
            :data-menu="item.slide.slide"
            :aria-label="`Slide ${item.slide.index + 1}, ${item.title || 'without a title'}, ${secondsWords(item.slide.length)}`"
            :aria-pressed="item.slide.slide === where.slideId"
            :style="{
              left: `${item.x}px`,
              width: `${item.width}px`,
              transform: moving?.slide === item.slide.slide ? `translateX(${moving.by}px)` : undefined,
            }"
            @pointerdown="press($event, item)"
            @keydown="onKey($event, item.slide.index)"
            @keydown.enter="where.goToSlide(item.slide.slide)"
          >
            <span
              v-if="item.slide.transition > 0"
              class="waist"
              :title="`Becomes this slide in ${secondsWords(item.slide.transition)}`"
              aria-hidden="true"
            />
            <SlideThumb
              v-if="store.shown && item.width > 64"
              class="picture"
              :deck="store.shown"
              :slide="item.slide.slide"
              :width="Math.min(84, item.width - 14)"
            />
            <span v-if="item.width > 150" class="title">
              {{ item.title || 'Without a title' }}
              <small class="quiet amount">
                {{ item.slide.beats.length }} {{ item.slide.beats.length === 1 ? 'beat' : 'beats' }}{{ timesOf(item.slide.slide) }}
              </small>
            </span>
            <span class="foot amount">
              <b>{{ item.slide.index + 1 }}</b>
              <template v-if="item.width > 58">{{ ` · ${item.slide.length.toFixed(item.width > 90 ? 1 : 0)}s` }}</template>
            </span>
            <span class="beats" aria-hidden="true">
              <i v-for="beat in item.slide.beats" :key="beat.index" :style="{ flexGrow: Math.max(0.2, beat.length) }" />
            </span>
            <span v-if="store.canEdit" class="edge" title="Drag to change how long it holds" @pointerdown.stop="dragEdge($event, item)" />
          </div>
          <div v-if="now !== null" class="playhead" :style="{ transform: `translateX(${xOf(now)}px)` }" aria-hidden="true">
            <span class="flag amount" :style="{ '--aside': `${asideOf(xOf(now))}px` }" @pointerdown="scrub">
              {{ clockWords(now, true) }}
            </span>
          </div>
          <p v-if="!placed.length" class="quiet none">Slides appear here, as wide as they last.</p>
        </div>
      </RightMenu>
    </div>
  </section>
</template>

<style scoped>
.rundown {
  display: grid;
  grid-template-columns: 132px 1fr;
  height: 148px;
  background: var(--ground);
  border-top: 1px solid var(--line);
  flex: none;
}
.side {
  padding: 12px 8px 8px 14px;
  display: flex;
  flex-direction: column;
  gap: 2px;
  border-right: 1px solid var(--line);
}
.length {
  font-size: 20px;
  font-weight: 600;
}
.side .quiet {
  font-size: 12.5px;
}
.choice {
  margin-top: auto;
  display: flex;
  gap: 2px;
}
.choice {
  margin-left: -5px;
}
.choice button {
  white-space: nowrap;
  border: 0;
  background: none;
  font: 500 12.5px 'Hanken Grotesk';
  color: var(--third);
  padding: 2px 5px;
  border-radius: 5px;
  cursor: pointer;
}
.choice .here {
  color: var(--act);
  background: var(--act-wash);
}
.track {
  overflow-x: auto;
  overflow-y: hidden;
  position: relative;
  scrollbar-width: thin;
}
.inner {
  position: relative;
  height: 138px;
  min-width: 100%;
}
.ruler {
  position: absolute;
  left: 0;
  right: 0;
  top: 0;
  height: 26px;
  cursor: col-resize;
}
.mark {
  position: absolute;
  top: 7px;
  font-size: 12px;
  color: var(--third);
  padding-left: 4px;
  border-left: 1px solid var(--line);
  pointer-events: none;
  white-space: nowrap;
}
.slide {
  position: absolute;
  top: 28px;
  height: 96px;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 7px;
  cursor: grab;
  touch-action: none;
  user-select: none;
}
.slide.here {
  border: 1.5px solid var(--act);
}
.slide.moving {
  z-index: 3;
  box-shadow: var(--shadow);
  cursor: grabbing;
  opacity: 0.92;
}
.picture {
  position: absolute;
  left: 6px;
  top: 6px;
  border-radius: 4px;
  pointer-events: none;
}
.title {
  position: absolute;
  left: 98px;
  right: 8px;
  top: 6px;
  font-weight: 600;
  font-size: 12.5px;
  line-height: 1.25;
  max-height: 50px;
  overflow: hidden;
  display: flex;
  flex-direction: column;
  gap: 2px;
  overflow-wrap: anywhere;
}
.title small {
  font-weight: 400;
  font-size: 12px;
}
.foot {
  position: absolute;
  left: 6px;
  bottom: 13px;
  font-size: 12px;
  color: var(--second);
  white-space: nowrap;
}
.foot b {
  color: var(--ink);
}
.beats {
  position: absolute;
  left: 4px;
  right: 4px;
  bottom: 4px;
  height: 4px;
  display: flex;
  gap: 3px;
  overflow: hidden;
}
.beats i {
  background: var(--third);
  opacity: 0.6;
  border-radius: 2px;
  min-width: 2px;
  flex-basis: 0;
}
.here .beats i {
  background: var(--act);
  opacity: 1;
}
.waist {
  position: absolute;
  left: -8px;
  top: 36px;
  width: 12px;
  height: 22px;
  z-index: 1;
  background:
    linear-gradient(to bottom right, transparent 45%, var(--third) 46%, var(--third) 54%, transparent 55%),
    linear-gradient(to bottom left, transparent 45%, var(--third) 46%, var(--third) 54%, transparent 55%);
}
.edge {
  position: absolute;
  right: -4px;
  top: 0;
  bottom: 0;
  width: 9px;
  cursor: ew-resize;
  border-radius: 4px;
  z-index: 2;
  touch-action: none;
}
.edge:hover {
  background: color-mix(in srgb, var(--act) 30%, transparent);
}
.playhead {
  position: absolute;
  left: 0;
  top: 0;
  bottom: 6px;
  width: 2px;
  margin-left: -1px;
  background: var(--now);
  pointer-events: none;
  z-index: 4;
}
.flag {
  position: absolute;
  top: 3px;
  left: 50%;
  transform: translateX(calc(-50% + var(--aside, 0px)));
  background: var(--now);
  color: #261904;
  font-weight: 600;
  font-size: 12px;
  border-radius: 4px;
  padding: 1px 6px;
  pointer-events: auto;
  cursor: col-resize;
  touch-action: none;
}
.none {
  padding: 48px 16px;
}
</style>
