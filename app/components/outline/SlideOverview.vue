<script setup lang="ts">
import { infoOf, fieldLimits, type Change } from '#core/model'
import { duplicateSlides, moveSlides, removeSlides, setFields } from '#core/edits'
import { titleOf } from '#core/layouts'

/** All slides at once: many chosen, moved, duplicated, skipped, gathered in chapters, copied to another deck. */
const emit = defineEmits<{ copy: [slides: string[]] }>()
const store = useDeck()
const where = useWhere()
const board = useBoard()
const context = { id: freshId }
const chosen = ref(new Set<string>())
const anchor = ref<string | null>(null)
const area = ref<HTMLElement>()
const size = ref(190)

const groups = computed(() => {
  const made: { chapter: string | null; first: string; slides: { id: string; index: number; title: string; skipped: boolean }[] }[] = []
  store.slides.forEach((slide, index) => {
    if (!made.length || slide.chapter !== undefined) made.push({ chapter: slide.chapter ?? null, first: slide.id, slides: [] })
    made.at(-1)!.slides.push({ id: slide.id, index, title: titleOf(store.current, slide.id) || 'Untitled', skipped: !!slide.skipped })
  })
  return made
})
const ratio = computed(() => infoOf(store.current).size.height / infoOf(store.current).size.width)
const ids = computed(() => store.slides.filter(slide => chosen.value.has(slide.id)).map(slide => slide.id))
watch(
  () => store.slides,
  slides => {
    const there = new Set(slides.map(slide => slide.id))
    if ([...chosen.value].some(id => !there.has(id))) chosen.value = new Set([...chosen.value].filter(id => there.has(id)))
  },
)

function pick(event: MouseEvent | KeyboardEvent, id: string) {
  const all = store.slides.map(slide => slide.id)
  if (event.shiftKey && anchor.value) {
    const [a, b] = [all.indexOf(anchor.value), all.indexOf(id)].sort((x, y) => x - y) as [number, number]
    chosen.value = new Set(all.slice(a, b + 1))
  } else if (event.ctrlKey || event.metaKey) {
    const next = new Set(chosen.value)
    if (next.has(id)) next.delete(id)
    else next.add(id)
    chosen.value = next
    anchor.value = id
  } else {
    chosen.value = new Set([id])
    anchor.value = id
  }
  where.goToSlide(id)
}

const many = computed(() => (ids.value.length === 1 ? 'a slide' : `${ids.value.length} slides`))
const act = (label: string, changes: Change[]) => store.edit(label, changes)
const skipped = computed(() => ids.value.length > 0 && ids.value.every(id => store.current.slides[id]?.skipped))
const skip = () =>
  act(
    skipped.value ? `show ${many.value} again` : `skip ${many.value}`,
    ids.value.flatMap(id => setFields(store.current, { table: 'slides', id, fields: { skipped: skipped.value ? undefined : true } })),
  )
function duplicate() {
  const changes = duplicateSlides(store.current, { slides: ids.value }, context)
  act(`duplicate ${many.value}`, changes)
  chosen.value = new Set(changes.flatMap(change => (change.do === 'put' && change.table === 'slides' ? [change.record.id] : [])))
}
const remove = () => act(`remove ${many.value}`, removeSlides(store.current, { slides: ids.value }))
/** Gathers what is chosen in a chapter of its own; what follows goes on with the chapter it was in. */
function gather() {
  const first = ids.value[0]
  if (!first) return
  const slides = store.slides
  const last = slides.findIndex(slide => slide.id === ids.value.at(-1))
  const next = slides[last + 1]
  const before = slides.slice(0, slides.findIndex(slide => slide.id === first) + 1).findLast(slide => slide.chapter !== undefined)
  const changes = ids.value.flatMap(id =>
    setFields(store.current, {
      table: 'slides',
      id,
      fields: { chapter: id === first ? titleOf(store.current, first) || 'New chapter' : undefined },
    }),
  )
  if (next && next.chapter === undefined && before)
    changes.push(...setFields(store.current, { table: 'slides', id: next.id, fields: { chapter: before.chapter } }))
  act('gather in a chapter', changes)
  void nextTick(() => area.value?.querySelector<HTMLInputElement>(`[data-chapter="${first}"]`)?.select())
}
const rename = (slide: string, chapter: string) =>
  store.editText(
    'naming a chapter',
    setFields(store.current, { table: 'slides', id: slide, fields: { chapter: chapter.trim() ? chapter : undefined } }),
  )
function move(by: number) {
  const others = store.slides.filter(slide => !chosen.value.has(slide.id))
  const before = store.slides.slice(
    0,
    store.slides.findIndex(slide => slide.id === ids.value[0]),
  ).length
  act(`move ${many.value}`, moveSlides(store.current, { slides: ids.value, index: Math.max(0, Math.min(others.length, before + by)) }))
}

const dropAt = ref<number | null>(null)
function press(event: PointerEvent, id: string) {
  if (event.button !== 0) return
  const from = { x: event.clientX, y: event.clientY }
  let moved = false
  followPointer(
    event,
    move => {
      if (!store.canEdit || (!moved && Math.hypot(move.clientX - from.x, move.clientY - from.y) < 6)) return
      if (!moved && !chosen.value.has(id)) chosen.value = new Set([id])
      moved = true
      const cards = [...area.value!.querySelectorAll<HTMLElement>('[data-at]')]
      const over = cards.find(card => {
        const box = card.getBoundingClientRect()
        return move.clientX >= box.left - 9 && move.clientX <= box.right + 9 && move.clientY >= box.top && move.clientY <= box.bottom
      })
      if (!over) return
      const box = over.getBoundingClientRect()
      dropAt.value = Number(over.dataset.at) + (move.clientX > box.left + box.width / 2 ? 1 : 0)
    },
    given => {
      const to = dropAt.value
      dropAt.value = null
      if (!given || !moved || to === null) return
      const before = store.slides.slice(0, to).filter(slide => !chosen.value.has(slide.id)).length
      act(`move ${many.value}`, moveSlides(store.current, { slides: ids.value, index: before }))
    },
  )
}

function onKey(event: KeyboardEvent) {
  if (isTyping(event.target)) return
  const control = event.ctrlKey || event.metaKey
  if (control && event.key.toLowerCase() === 'a') {
    event.preventDefault()
    chosen.value = new Set(store.slides.map(slide => slide.id))
  } else if (event.key === 'Escape') chosen.value = new Set()
  else if (!store.canEdit || !ids.value.length) return
  else if (event.key === 'Delete' || event.key === 'Backspace') remove()
  else if (control && event.key.toLowerCase() === 'd') {
    event.preventDefault()
    duplicate()
  } else if (event.altKey && (event.key === 'ArrowLeft' || event.key === 'ArrowRight')) {
    event.preventDefault()
    move(event.key === 'ArrowLeft' ? -1 : 1)
  }
}
onKeys(onKey)
</script>

<template>
  <section class="overview" aria-label="Overview">
    <div class="head">
      <slot name="head" />
      <span class="quiet hint">
        {{
          ids.length
            ? `${ids.length} of ${store.slides.length} chosen`
            : `${store.slides.length} slides. Press to choose, with Shift a run, with Ctrl one more; drag to move.`
        }}
      </span>
      <template v-if="store.canEdit && ids.length">
        <UButton size="sm" @click="duplicate">Duplicate</UButton>
        <UButton size="sm" @click="skip">{{ skipped ? 'Show in play again' : 'Skip in play' }}</UButton>
        <UButton size="sm" @click="gather">Gather in a chapter</UButton>
        <UButton
          v-if="ids.length > 1"
          size="sm"
          title="One slide larger than the picture, with a view for each, and a camera that goes from one to the next"
          @click="board.gather(ids)"
        >
          Make a board of them
        </UButton>
        <UButton size="sm" @click="emit('copy', ids)">Copy to another deck</UButton>
        <UButton size="sm" @click="remove">Remove</UButton>
      </template>
      <label class="size quiet">
        Size
        <SliderField v-model="size" :min="120" :max="360" :step="10" bare label="Size of the slides" />
      </label>
    </div>
    <div ref="area" class="area" @pointerdown.self="chosen = new Set()" @keydown="walkGrid($event, '.card')">
      <div v-for="group in groups" :key="group.first" class="group">
        <WordsField
          v-if="group.chapter !== null"
          :model-value="group.chapter"
          class="chapter"
          v-bind="fieldLimits('slides', 'chapter')"
          :data-chapter="group.first"
          aria-label="Chapter"
          :readonly="!store.canEdit"
          @update:model-value="words => rename(group.first, words)"
        />
        <div class="cards" :style="{ gridTemplateColumns: `repeat(auto-fill, ${size + 8}px)` }">
          <div
            v-for="slide in group.slides"
            :key="slide.id"
            class="card"
            :class="{
              chosen: chosen.has(slide.id),
              skipped: slide.skipped,
              before: dropAt === slide.index,
              after: dropAt === slide.index + 1 && slide.index === store.slides.length - 1,
            }"
            role="button"
            tabindex="0"
            :aria-pressed="chosen.has(slide.id)"
            :aria-label="`Slide ${slide.index + 1}: ${slide.title}`"
            :data-at="slide.index"
            @pointerdown="press($event, slide.id)"
            @click="pick($event, slide.id)"
            @keydown.enter="pick($event, slide.id)"
            @keydown.space.prevent="pick($event, slide.id)"
          >
            <span class="frame"><NearThumb :deck="store.deck" :slide="slide.id" :width="size" :ratio="ratio" /></span>
            <span class="name">
              <span class="amount">{{ slide.index + 1 }}</span>
              <span class="words">{{ slide.title }}</span>
              <span v-if="slide.skipped" class="quiet">skipped</span>
            </span>
          </div>
        </div>
      </div>
      <p v-if="!store.slides.length" class="quiet none">No slides yet. The text view takes the first line.</p>
    </div>
  </section>
</template>

<style scoped>
.overview {
  display: flex;
  flex-direction: column;
  height: 100%;
  min-height: 0;
}
.head {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 12px 16px 8px;
  flex-wrap: wrap;
}
.hint {
  font-size: 13px;
  flex: 1;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  min-width: 120px;
}
.size {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 13px;
}
.area {
  flex: 1;
  overflow-y: auto;
  padding: 4px 16px 24px;
  user-select: none;
}
.group + .group {
  margin-top: 18px;
}
.chapter {
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: var(--ink);
  font: 600 16px 'Bricolage Grotesque';
  padding: 4px 2px;
  margin-bottom: 10px;
  width: min(420px, 100%);
  outline: none;
}
.chapter:focus {
  border-color: var(--act);
}
.cards {
  display: grid;
  gap: 14px 10px;
}
.card {
  position: relative;
  padding: 3px;
  border-radius: 9px;
  border: 1.5px solid transparent;
  cursor: pointer;
  touch-action: none;
}
.card.chosen {
  border-color: var(--act);
  background: var(--act-wash);
}
.card.skipped .frame {
  opacity: 0.45;
}
.card.before::before,
.card.after::after {
  content: '';
  position: absolute;
  top: 0;
  bottom: 24px;
  width: 3px;
  border-radius: 2px;
  background: var(--act);
  left: -8px;
}
.card.after::after {
  left: auto;
  right: -8px;
}
.frame {
  display: block;
  width: fit-content;
  border: 1px solid var(--line);
  border-radius: 7px;
  overflow: hidden;
}
.name {
  display: flex;
  gap: 7px;
  font-size: 13px;
  padding: 4px 2px 0;
}
.name .amount {
  color: var(--third);
}
.words {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.none {
  padding: 30px;
  text-align: center;
}
</style>
