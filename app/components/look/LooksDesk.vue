<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { putLook, type LookWish } from '#core/layouts'
import { lookOf, looks } from '#core/looks'
import { applyChanges, deckTheme, infoOf, onlySlides, type Deck } from '#core/model'

/** Art directions: each drawn with the deck’s own first slide, looked at before and after on every slide, and put on. */
const emit = defineEmits<{ preview: [deck: Deck | null] }>()
const store = useDeck()
const stage = useStageHost()
const context = { id: freshId }
const worn = computed(() => lookOf(deckTheme(store.current)) ?? null)
const wish = reactive({
  ground: isDeepLook(store.current) ? ('deep' as const) : ('light' as 'light' | 'deep'),
  seed: deckTheme(store.current).look?.seed ?? 4711,
  ownColors: false,
  ownFonts: false,
  ownTransitions: false,
})
const grounds = [
  { value: 'light', label: 'Light' },
  { value: 'deep', label: 'Deep' },
] as const
/** The look that is tried; null where none is. The house’s own has an empty name. */
const trying = ref<string | null>(null)
const offered = [...looks.map(({ name, label, explains }) => ({ name, label, explains })), plainLook]
const tried = computed(() => offered.find(({ name }) => name === trying.value))
const wished = (name: string): LookWish => ({ ...wish, look: name || null })

/** The deck’s first slide alone in each look. */
const first = computed(() => store.slides[0]?.id ?? null)
const opening = computed(() => (first.value ? onlySlides(store.current, [first.value]) : null))
const ratio = computed(() => infoOf(store.current).size.height / infoOf(store.current).size.width)
const samples = computed(() => {
  const deck = opening.value
  return deck
    ? new Map(offered.map(({ name }) => [name, applyChanges(deck, putLook(deck, wished(name), context))]))
    : new Map<string, Deck>()
})
watch(samples, made => void [...made.values()].forEach(deck => void stage.need(deck)), { immediate: true })

/** The very changes that were looked at are the ones that are made. */
const changes = computed(() => (tried.value && store.deck ? putLook(store.deck, wished(tried.value.name), context) : null))
watch(changes, made => {
  if (!made || !store.deck) return emit('preview', null)
  const next = applyChanges(store.deck, made)
  void stage.need(next)
  emit('preview', next)
})
onBeforeUnmount(() => emit('preview', null))

function putOn() {
  if (!changes.value || !tried.value) return
  store.edit(`put on the look ${tried.value.label}`, changes.value)
  trying.value = null
}
const list = ref<HTMLElement>()
const { width: room } = useElementSize(list)
/** Two beside each other, with their frames and the gap between them, px. */
const thumbWidth = computed(() => Math.max(72, Math.floor((room.value - 6) / 2) - 12))
const turn = () => (wish.seed = (wish.seed * 31 + 977) % 10_000)
</script>

<template>
  <div class="desk">
    <section>
      <h3>Looks</h3>
      <p class="quiet">Your first slide in each. A press shows every slide before and after.</p>
      <ul ref="list" class="looks">
        <li v-for="look in offered" :key="look.name">
          <UButton
            variant="bare"
            class="look"
            :class="{ on: trying === look.name }"
            :aria-pressed="trying === look.name"
            :aria-label="look.label"
            :title="look.explains"
            @click="trying = trying === look.name ? null : look.name"
          >
            <span class="frame">
              <NearThumb v-if="first" :deck="samples.get(look.name) ?? null" :slide="first" :width="thumbWidth" :ratio="ratio" />
            </span>
            <span class="name">
              {{ look.label }}
              <span v-if="(worn?.name ?? '') === look.name" class="quiet">now</span>
            </span>
          </UButton>
        </li>
      </ul>
    </section>
    <section class="wishes">
      <div class="row">
        <span class="label">Ground</span>
        <ViewSwitch
          label="Ground"
          :views="grounds"
          :value="wish.ground"
          @show="next => (wish.ground = next === 'deep' ? 'deep' : 'light')"
        />
      </div>
      <UCheckbox v-model="wish.ownColors" label="Keep this deck’s colours" />
      <UCheckbox v-model="wish.ownFonts" label="Keep this deck’s fonts" />
      <UCheckbox v-model="wish.ownTransitions" label="Keep this deck’s transitions" />
      <UButton size="sm" icon="i-lucide-dices" class="turn" @click="turn">Other ornaments</UButton>
    </section>
    <section v-if="tried" class="take">
      <p>{{ tried.explains }}</p>
      <UButton color="primary" variant="solid" :disabled="!store.canEdit" @click="putOn">Put {{ tried.label }} on</UButton>
    </section>
  </div>
</template>

<style scoped>
.looks {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px 6px;
}
.look {
  display: block;
  width: 100%;
  padding: 3px;
  text-align: left;
  border: 2px solid transparent;
  border-radius: 9px;
}
.look.on {
  border-color: var(--act);
}
.frame {
  display: block;
  border: 1px solid var(--line);
  border-radius: 5px;
  overflow: hidden;
}
.name {
  display: flex;
  justify-content: space-between;
  padding: 4px 2px 0;
  font-weight: 600;
  font-size: 14px;
}
.wishes {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.turn {
  align-self: flex-start;
}
.take {
  position: sticky;
  bottom: -24px;
  padding: 8px 0 24px;
  background: var(--panel);
}
p {
  margin: 0 0 8px;
  font-size: 13.5px;
}
</style>
