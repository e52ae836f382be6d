<script setup lang="ts">
import type { Deck } from '#core/model'

/** A slide's thumbnail that is drawn once it comes near what is in sight, and put away again when it is far off. */
const props = defineProps<{ deck: Deck | null; slide: string; width: number; ratio: number; label?: string; prompts?: boolean }>()
const emit = defineEmits<{ near: [] }>()
const place = ref<HTMLElement>()
const near = ref(false)
let watcher: IntersectionObserver | undefined
onMounted(() => {
  watcher = new IntersectionObserver(
    entries => {
      near.value = entries.at(-1)!.isIntersecting
      if (near.value) emit('near')
    },
    { rootMargin: '260px' },
  )
  if (place.value) watcher.observe(place.value)
})
onBeforeUnmount(() => watcher?.disconnect())
</script>

<template>
  <div ref="place" class="lazy" :style="{ width: `${props.width}px`, height: `${props.width * props.ratio}px` }">
    <SlideThumb v-if="near && deck" :deck="deck" :slide="slide" :width="width" :label="label" :prompts="prompts" />
  </div>
</template>

<style scoped>
.lazy {
  border-radius: inherit;
  overflow: hidden;
  background: var(--well);
}
</style>
