<script setup lang="ts">
import type { MediaEntry } from '~/composables/media-shelf'

/** One file of Media: a picture, a still of a film, or a sound's length. */
defineProps<{ entry: MediaEntry; chosen?: boolean }>()
const emit = defineEmits<{ choose: [] }>()
</script>

<template>
  <UButton
    variant="bare"
    class="tile"
    :class="{ chosen }"
    :aria-pressed="chosen"
    :aria-label="`${entry.name}, ${mediaKind(entry)}`"
    :title="entry.name"
    :data-media="entry.hash"
    @click="emit('choose')"
  >
    <span class="shown">
      <img v-if="mediaKind(entry) !== 'sound'" :src="`/api/media/${entry.hash}?width=320`" alt="" loading="lazy" decoding="async" />
      <UIcon v-else name="i-lucide-audio-lines" />
      <span v-if="entry.seconds" class="amount length">{{ clockWords(entry.seconds) }}</span>
    </span>
    <span class="name">{{ entry.name }}</span>
  </UButton>
</template>

<style scoped>
.tile {
  border: 1px solid transparent;
  background: none;
  color: inherit;
  font: inherit;
  padding: 5px;
  border-radius: 9px;
  cursor: pointer;
  text-align: left;
  min-width: 0;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.tile:hover {
  background: var(--act-wash);
}
.tile.chosen {
  border-color: var(--act);
  background: var(--act-wash);
}
.shown {
  position: relative;
  aspect-ratio: 4 / 3;
  background: var(--well);
  border-radius: 6px;
  display: grid;
  place-items: center;
  overflow: hidden;
  font-size: 30px;
  color: var(--third);
}
.shown img {
  width: 100%;
  height: 100%;
  object-fit: contain;
}
.length {
  position: absolute;
  right: 5px;
  bottom: 5px;
  background: rgb(16 25 28 / 0.75);
  color: #fff;
  font-size: 11.5px;
  padding: 0 5px;
  border-radius: 4px;
}
.name {
  font-size: 12.5px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
