<script setup lang="ts">
import { proposedOn } from '#core/layouts'

/** At each picture of the slide that was found by its words: whether it stays, gives way to the next one that is found, or goes. */
const store = useDeck()
const where = useWhere()
const stage = useStage()
const { another, keep, clear } = useFoundPictures()
/** Narrower on the screen, px, there is no room for words beside the buttons. */
const wordy = 250
const shown = computed(() => {
  if (!where.stageId || !store.deck) return []
  return proposedOn(store.deck, where.stageId).map(element => {
    const { x, y, width, height } = stage.boxNow(element)
    const px = (value: number) => `${value * stage.scale}px`
    // In its upper corner; of a small one at its foot, where a face is not.
    const isWide = width * stage.scale >= wordy
    const style = isWide
      ? { right: px(stage.size.width - x - width), top: px(y), margin: '6px' }
      : { left: px(x + width / 2), bottom: px(stage.size.height - y - height), transform: 'translateX(-50%)' }
    return { element, isWide, style }
  })
})
/** What of it is asked for at the moment. */
const asked = ref<string | null>(null)
async function next(id: string) {
  asked.value = id
  await another(id)
  asked.value = null
}
</script>

<template>
  <div
    v-for="{ element, isWide, style } in shown"
    :key="element.id"
    class="proposed"
    role="group"
    :aria-label="`Proposed picture, ${element.name}`"
    :style="style"
    data-test="proposed"
  >
    <span v-if="isWide" class="word">Proposed</span>
    <UButton size="xs" icon="i-lucide-check" aria-label="Keep this picture" title="Keep this picture" @click="keep(element.id)">
      <template v-if="isWide">Keep</template>
    </UButton>
    <UButton
      size="xs"
      icon="i-lucide-refresh-cw"
      aria-label="Propose another picture"
      title="Propose another picture"
      :loading="asked === element.id"
      @click="next(element.id)"
    />
    <UButton size="xs" icon="i-lucide-x" aria-label="Clear this picture" title="Clear this picture" @click="clear(element.id)" />
  </div>
</template>

<style scoped>
.proposed {
  position: absolute;
  z-index: 5;
  display: flex;
  align-items: center;
  gap: 2px;
  padding: 3px;
  border-radius: 8px;
  background: var(--panel);
  box-shadow: var(--shadow);
}
.word {
  padding: 0 4px 0 6px;
  font-size: 12px;
  color: var(--second);
  white-space: nowrap;
}
</style>
