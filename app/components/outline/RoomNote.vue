<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { partSlide, roomierLayouts, roomLeft } from '#core/layouts'
import type { LayoutFamily } from '#core/families'

/** How full the slide in hand is, while it is written; and what to do when it is too full. */
const store = useDeck()
const where = useWhere()
const stage = useStageHost()
const context = { id: freshId }
const settled = refDebounced(
  computed(() => store.deck),
  120,
  { maxWait: 400 },
)
const left = computed(() => {
  const deck = settled.value
  return deck && where.slideId && deck.slides[where.slideId] ? roomLeft(deck, where.slideId, stage.host) : null
})
const full = computed(
  () => !!left.value && (left.value.overflowing.length > 0 || (left.value.room !== null && left.value.items > left.value.room)),
)
const roomier = computed<LayoutFamily[]>(() =>
  full.value && store.deck && where.slideId ? roomierLayouts(store.deck, where.slideId, stage.host, 2) : [],
)
const { inFamily } = useLayingOut()
const part = () => store.edit('make two slides', partSlide(store.current, { slide: where.slideId! }, context))
const percent = (share: number) => `${Math.round(share * 100)} %`
</script>

<template>
  <div v-if="left" class="room" :class="{ full }" data-test="room">
    <span v-if="left.room !== null && left.items">
      <b class="amount">{{ left.items }}</b>
      of room for
      <b class="amount">{{ left.room }}</b>
    </span>
    <span v-if="left.readable !== null" :class="{ wrong: left.words > left.readable }">
      <b class="amount">{{ left.words }}</b>
      of about
      <b class="amount">{{ left.readable }}</b>
      words readable in {{ secondsWords(left.seconds) }}
    </span>
    <span v-else>
      <b class="amount">{{ left.words }}</b>
      words, read in {{ secondsWords(left.seconds) }}
    </span>
    <span v-if="left.smallest !== null">
      smallest
      <b class="amount">{{ Math.round(left.smallest) }}</b>
      {{ left.scale < 0.995 ? `px, shrunk to ${percent(left.scale)}` : 'px' }}
    </span>
    <p v-if="full" class="wrong">
      {{
        left.overflowing.length
          ? `${listWords(left.overflowing)}: more than fits, even at the smallest readable size.`
          : 'More items than this layout has room for.'
      }}
    </p>
    <div v-if="full && store.canEdit" class="ways-out">
      <UButton v-for="family in roomier" :key="family.name" size="sm" @click="inFamily(where.slideId!, family)">
        Lay out as {{ family.label.toLowerCase() }}
      </UButton>
      <UButton v-if="left.items > 1" size="sm" @click="part">Make two slides</UButton>
    </div>
  </div>
</template>

<style scoped>
.room {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  padding: 6px 0 0 16px;
  font-size: 13px;
  color: var(--third);
}
.room b {
  font-weight: 500;
  color: var(--second);
}
.wrong,
.wrong b {
  color: var(--wrong) !important;
  margin: 0;
}
p {
  flex-basis: 100%;
}
.ways-out {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  padding-top: 3px;
}
</style>
