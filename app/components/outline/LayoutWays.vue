<script setup lang="ts">
import { deckTheme, onlySlides } from '#core/model'
import { refDebounced } from '@vueuse/core'
import {
  buildOf,
  buildSlide,
  layoutsFor,
  outlineOf,
  ownLayouts,
  ownLayoutsFor,
  propose,
  surroundingsIn,
  wantedFamilies,
  wordsAt,
  type Build,
} from '#core/layouts'

/** Ways to lay out the slide in hand: ranked by what its lines are, found by what it is for, shown with its own words. */
const emit = defineEmits<{ other: []; starter: [] }>()
const store = useDeck()
const where = useWhere()
const context = { id: freshId }
const { inFamily, inLayout } = useLayingOut()
const purpose = ref('')

const current = computed(() => store.slides.findIndex(slide => slide.id === where.slideId))
const slide = computed(() => store.slides[current.value])
/** Thumbnails follow the words a moment later, so that typing stays light. */
const settled = refDebounced(
  computed(() => store.deck),
  220,
  { maxWait: 900 },
)
const shownDeck = computed(() => (settled.value && where.slideId && settled.value.slides[where.slideId] ? settled.value : store.current))

const bare = computed(() => {
  const deck = shownDeck.value
  const only = onlySlides(deck, slide.value ? [slide.value.id] : [])
  const shared = Object.fromEntries(Object.entries(deck.elements).filter(([, element]) => !deck.slides[element.owner]))
  return { ...only, layouts: deck.layouts, masters: deck.masters, elements: { ...shared, ...only.elements } }
})
/** The team’s look proposes some layouts only; the others are a press away. */
const wanted = computed(() => deckTheme(shownDeck.value).layouts)
const showsAll = ref(false)
const ranked = computed(() => {
  const record = slide.value && shownDeck.value.slides[slide.value.id]
  if (!record) return []
  const deck = shownDeck.value
  const before = store.slides.slice(0, Math.max(0, current.value)).map(({ layout }) => deck.layouts[layout]?.family ?? '')
  const { wanted, ...around } = surroundingsIn(deck, before)
  return propose(wordsAt(deck, outlineOf(deck, record), current.value, store.slides.length), {
    ...around,
    ...(showsAll.value ? {} : { wanted }),
  })
})
const found = computed(() => {
  if (!purpose.value.trim()) return ranked.value
  const reasons = new Map(ranked.value.map(proposal => [proposal.family.name, proposal.reason]))
  return layoutsFor(purpose.value, showsAll.value ? undefined : wantedFamilies(wanted.value)).map(family => ({
    family,
    reason: reasons.get(family.name) ?? '',
  }))
})
/** Layouts that somebody of the team has made. */
const own = computed(() => ownLayoutsFor(shownDeck.value, purpose.value))
const isOwn = computed(() => !!store.deck && ownLayouts(store.deck).some(layout => layout.id === slide.value?.layout))
const family = computed(() => (isOwn.value ? undefined : store.deck?.layouts[slide.value?.layout ?? '']?.family))
const build = computed(() => (store.deck && slide.value ? buildOf(store.deck, slide.value.id) : 'none'))
const builds: readonly { value: Build; label: string; title: string }[] = [
  { value: 'none', label: 'All at once', title: 'Everything stands there as the slide opens' },
  { value: 'opening', label: 'One after the other', title: 'Line by line or item by item as the slide opens' },
  { value: 'advance', label: 'On advance', title: 'Each waits for the speaker' },
  { value: 'self', label: 'By itself', title: 'Each in a beat of its own that goes on by itself' },
]

function setBuild(how: Build) {
  if (!slide.value || how === build.value) return
  store.edit('change the entrance', buildSlide(store.current, { slide: slide.value.id, how }, context))
}
const area = ref<HTMLElement>()
const width = ref(212)
onMounted(() => {
  const fit = () => {
    const room = (area.value?.clientWidth ?? 660) - 44
    const count = Math.max(2, Math.round(room / 230))
    width.value = Math.floor((room - (count - 1) * 16) / count) - 4
  }
  fit()
  const watcher = new ResizeObserver(fit)
  if (area.value) watcher.observe(area.value)
  onBeforeUnmount(() => watcher.disconnect())
})
</script>

<template>
  <section v-if="slide" ref="area" class="ways" aria-label="Ways to lay out">
    <h2>Ways to lay out slide {{ current + 1 }}</h2>
    <p class="reason">{{ ranked[0]?.reason }} The likeliest comes first; every layout below takes the words as they are.</p>
    <div class="asking">
      <UInput
        v-model="purpose"
        type="search"
        placeholder="Name what the slide is for, such as compare two routes"
        aria-label="What the slide is for"
      />
      <UButton @click="emit('other')">From another deck</UButton>
      <UButton @click="emit('starter')">Starters</UButton>
    </div>
    <p v-if="purpose.trim() && !found.length && !own.length" class="quiet none">
      No layout goes by “{{ purpose.trim() }}”. Try a plainer word, such as steps, team or numbers.
    </p>
    <template v-if="own.length">
      <h3>Layouts of this deck</h3>
      <div class="grid own" :style="{ gridTemplateColumns: `repeat(auto-fill, ${width + 4}px)` }" @keydown="walkGrid($event, '.way')">
        <LayoutWay
          v-for="layout in own"
          :key="layout.id"
          :deck="shownDeck"
          :bare="bare"
          :slide="slide.id"
          :way="layout"
          reason="Made for this deck"
          :chosen="slide.layout === layout.id"
          :disabled="!store.canEdit"
          :width="width"
          @choose="inLayout(slide.id, layout)"
        />
      </div>
      <h3>All layouts</h3>
    </template>
    <div class="grid" :style="{ gridTemplateColumns: `repeat(auto-fill, ${width + 4}px)` }" @keydown="walkGrid($event, '.way')">
      <LayoutWay
        v-for="way in found"
        :key="way.family.name"
        :deck="shownDeck"
        :bare="bare"
        :slide="slide.id"
        :way="way.family"
        :reason="way.reason"
        :chosen="family === way.family.name"
        :disabled="!store.canEdit"
        :width="width"
        @choose="inFamily(slide.id, way.family)"
      />
    </div>
    <p v-if="wanted" class="quiet limited">
      {{ showsAll ? 'All layouts are shown.' : `This deck’s look proposes ${wantedFamilies(wanted).length} layouts.` }}
      <UButton variant="link" size="sm" @click="showsAll = !showsAll">{{ showsAll ? 'Only those it proposes' : 'Show all' }}</UButton>
    </p>
    <div class="build">
      <span class="label">Entrance</span>
      <div class="kinds" role="radiogroup" aria-label="Entrance">
        <UButton
          v-for="way in builds"
          :key="way.value"
          size="sm"
          :active="build === way.value"
          role="radio"
          :aria-checked="build === way.value"
          :title="way.title"
          :disabled="!store.canEdit"
          @click="setBuild(way.value)"
        >
          {{ way.label }}
        </UButton>
      </div>
    </div>
  </section>
</template>

<style scoped>
.ways {
  background: var(--panel);
  padding: 14px 20px 0;
  overflow-y: auto;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
h2 {
  font-size: 18px;
}
.reason {
  color: var(--second);
  margin: 4px 0 10px;
}
.asking {
  display: flex;
  gap: 8px;
  margin-bottom: 14px;
}
.asking [data-slot='root'] {
  flex: 1;
  padding: 7px 10px;
}
.none {
  margin: 6px 2px;
}
.grid {
  display: grid;
  gap: 14px 16px;
  flex: 1 0 auto;
  align-content: start;
}
.grid.own {
  flex: none;
  margin-bottom: 14px;
}
h3 {
  margin-bottom: 8px;
  font-size: 15px;
}
.build {
  position: sticky;
  bottom: 0;
  background: var(--panel);
  border-top: 1px solid var(--line);
  margin: 16px -20px 0;
  padding: 9px 20px;
  display: flex;
  align-items: center;
  gap: 12px;
  flex-wrap: wrap;
}
.build .label {
  color: var(--second);
}
.kinds {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
</style>
