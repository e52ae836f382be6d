<script setup lang="ts">
import { setFields } from '#core/edits'
import type { Element } from '#core/model'

/** Pictures that a slide’s layout has no place for: they wait at its margin, and a press puts one on the slide all the same. */
const props = defineProps<{ parts: readonly Element[] }>()
const store = useDeck()
const stage = useStageHost()
const nameOf = (part: Element) => part.alt || part.name
const mediaOf = (part: Element) => (part.kind === 'picture' ? part.media : undefined)
function put(part: Element) {
  const fields = { hidden: undefined, waits: undefined }
  store.edit(`put “${nameOf(part)}” on the slide`, setFields(store.current, { table: 'elements', id: part.id, fields }))
}
</script>

<template>
  <span class="waiting">
    <UButton
      v-for="part in props.parts"
      :key="part.id"
      variant="bare"
      class="part"
      :disabled="!store.canEdit"
      :aria-label="`“${nameOf(part)}” waits for a layout with a place for it. Put it on the slide as it was`"
      :title="`“${nameOf(part)}” waits for a layout with a place for it. Press to put it on the slide as it was.`"
      @click.stop="put(part)"
    >
      <img v-if="mediaOf(part)" :src="stage.host.mediaUrl(mediaOf(part)!, 80)" alt="" />
      <UIcon v-else name="i-lucide-image" />
    </UButton>
  </span>
</template>

<style scoped>
.waiting {
  display: flex;
  gap: 4px;
  align-items: center;
}
.part {
  display: grid;
  place-items: center;
  width: 34px;
  height: 24px;
  padding: 0;
  border: 1px dashed var(--third);
  border-radius: 4px;
  overflow: hidden;
}
.part img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}
</style>
