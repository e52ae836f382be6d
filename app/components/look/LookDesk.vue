<script setup lang="ts">
import { infoOf, type Deck } from '#core/model'
import { titleOf } from '#core/layouts'

/** The look of the whole deck, beside all the slides that wear it. */
const route = useRoute()
const router = useRouter()
const store = useDeck()
const where = useWhere()
const parts = lookDesks
const part = computed(() => parts.find(one => one.name === route.query.look)?.name ?? 'looks')
const go = (name: string) => void router.replace({ query: { ...route.query, look: name } })
const preview = shallowRef<Deck | null>(null)
const ratio = computed(() => infoOf(store.current).size.height / infoOf(store.current).size.width)
/**
 * A new look is drawn some slides at a time, so that the press that chose it is answered at once in the largest deck: of the
 * slides up to `drawn` the new deck is shown, of the others the one before.
 */
const drawn = ref(Infinity)
const drawing = ref(false)
const before = shallowRef<Deck | null>(null)
let run = 0
watch(
  () => store.deck,
  async (deck, last) => {
    if (
      !deck ||
      !last ||
      store.slides.length <= 40 ||
      (deck.theme === last.theme && deck.masters === last.masters && deck.layouts === last.layouts)
    )
      return
    const own = ++run
    before.value ??= last
    drawn.value = 0
    drawing.value = true
    while (drawn.value < store.slides.length) {
      drawn.value += 24
      await new Promise(resolve => requestAnimationFrame(resolve))
      if (own !== run) return
    }
    drawing.value = false
    before.value = null
  },
)
const drawnDeck = (index: number) => (drawing.value && index >= drawn.value ? before.value : store.deck)
const width = computed(() => (preview.value ? 170 : 226))
</script>

<template>
  <div class="look-desk" :class="{ editing: part === 'layouts' }">
    <nav class="nav" aria-label="Look">
      <ComposeViews class="views" />
      <UButton
        v-for="one in parts"
        :key="one.name"
        variant="bare"
        class="item"
        :class="{ on: part === one.name }"
        :aria-current="part === one.name || undefined"
        @click="go(one.name)"
      >
        <UIcon :name="one.icon" />
        {{ one.label }}
      </UButton>
    </nav>
    <aside class="panel" aria-label="Settings of the look">
      <LooksDesk v-if="part === 'looks'" @preview="preview = $event" />
      <PaletteDesk v-else-if="part === 'palette'" />
      <ColorsDesk v-else-if="part === 'colors'" />
      <GroundDesk v-else-if="part === 'ground'" />
      <FontDesk v-else-if="part === 'fonts'" />
      <StyleDesk v-else-if="part === 'styles'" />
      <LayoutsDesk v-else-if="part === 'layouts'" />
      <BrandDesk v-else-if="part === 'brand'" />
      <ShelfDesk v-else @preview="preview = $event" />
    </aside>
    <template v-if="part === 'layouts'">
      <LayoutStage />
      <aside class="right" aria-label="Settings"><ElementSettings /></aside>
    </template>
    <section v-else class="wall" aria-label="All slides in this look">
      <p v-if="drawing" class="quiet" role="status">
        Drawing the slides in sight anew: {{ Math.min(drawn, store.slides.length) }} of {{ store.slides.length }}
      </p>
      <p v-if="preview" class="quiet">Before and after, slide by slide. Nothing is changed until it is put on.</p>
      <div class="slides" :style="{ gridTemplateColumns: `repeat(auto-fill, ${preview ? width * 2 + 14 : width + 4}px)` }">
        <div v-for="(slide, index) in store.slides" :key="slide.id" class="slide" :class="{ here: slide.id === where.slideId }">
          <UButton variant="bare" class="pair" :aria-label="`Slide ${index + 1}`" @click="where.goToSlide(slide.id)">
            <span class="frame"><NearThumb :deck="drawnDeck(index)" :slide="slide.id" :width="width" :ratio="ratio" /></span>
            <span v-if="preview" class="frame"><NearThumb :deck="preview" :slide="slide.id" :width="width" :ratio="ratio" /></span>
          </UButton>
          <span class="name">
            <span class="amount">{{ index + 1 }}</span>
            <span class="words">{{ titleOf(store.current, slide.id) || 'Untitled' }}</span>
          </span>
        </div>
      </div>
      <p v-if="!store.slides.length" class="quiet">No slides yet. The outline makes the first one.</p>
    </section>
  </div>
</template>

<style scoped>
.look-desk {
  display: grid;
  grid-template-columns: 176px 324px 1fr;
  height: 100%;
  min-height: 0;
}
.look-desk.editing {
  grid-template-columns: 176px 296px 1fr 250px;
}
.nav {
  background: var(--panel);
  border-right: 1px solid var(--line);
  padding: 12px 8px;
  display: flex;
  flex-direction: column;
  gap: 2px;
  overflow-y: auto;
}
.views {
  margin: 0 0 10px 4px;
}
.item {
  display: flex;
  align-items: center;
  gap: 9px;
  border: 0;
  background: none;
  color: var(--second);
  font: inherit;
  padding: 7px 9px;
  border-radius: 8px;
  cursor: pointer;
  text-align: left;
}
.item:hover {
  background: var(--act-wash);
}
.item.on {
  background: var(--act-wash);
  color: var(--act);
  font-weight: 600;
}
.panel,
.right {
  background: var(--panel);
  padding: 14px 16px 24px;
  overflow-y: auto;
  min-height: 0;
  border-right: 1px solid var(--line);
}
.right {
  border-right: 0;
  border-left: 1px solid var(--line);
  padding: 12px;
}
.panel :deep(.desk) {
  display: flex;
  flex-direction: column;
  gap: 18px;
}
.panel :deep(section) {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.panel :deep(h3) {
  font-size: 15px;
}
.panel :deep(section > [data-slot='base']) {
  align-self: flex-start;
}
.wall {
  overflow-y: auto;
  padding: 16px 20px 24px;
  min-height: 0;
}
.wall > p {
  margin: 0 0 12px;
}
.slides {
  display: grid;
  gap: 18px 14px;
}
.pair {
  display: flex;
  gap: 8px;
  border: 0;
  background: none;
  padding: 0;
  cursor: pointer;
}
.frame {
  border: 1px solid var(--line);
  border-radius: 7px;
  overflow: hidden;
  width: fit-content;
  padding: 1px;
}
.slide.here .frame {
  border-color: var(--act);
  box-shadow: 0 0 0 1px var(--act);
}
.name {
  display: flex;
  gap: 7px;
  font-size: 13px;
  padding: 4px 2px 0;
}
.words {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name .amount {
  color: var(--third);
}
@media (max-width: 1150px) {
  .look-desk {
    grid-template-columns: 150px 290px 1fr;
  }
  .look-desk.editing {
    grid-template-columns: 130px 220px 1fr 230px;
  }
}
</style>
