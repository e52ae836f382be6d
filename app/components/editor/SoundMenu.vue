<script setup lang="ts">
import type { MediaEntry } from '~/composables/media-shelf'

/** Adds sound to the deck: a voice, music under slides, one sound at the playhead. */
const emit = defineEmits<{ record: [] }>()
const store = useDeck()
const sounds = useSounds()
const picker = useTemplateRef('picker')
const choosing = ref(false)
const use = ref<'bed' | 'effect' | 'narration'>('bed')
const busy = ref('')
const choose = (wanted: 'bed' | 'effect' | 'narration') => {
  use.value = wanted
  choosing.value = true
}
const items = computed(() => [
  [
    {
      label: sounds.voice ? 'Record the slide’s voice anew' : 'Record the slide’s voice',
      icon: 'i-lucide-mic',
      onSelect: () => emit('record'),
    },
    { label: 'A voice from Media or a file', icon: 'i-lucide-audio-lines', onSelect: () => choose('narration') },
  ],
  [
    { label: 'Music under slides', icon: 'i-lucide-music', onSelect: () => choose('bed') },
    { label: 'One sound at the playhead', icon: 'i-lucide-bell', onSelect: () => choose('effect') },
  ],
])
function take(entry: { hash: string; name: string }) {
  if (use.value === 'narration') sounds.narrate(entry.hash)
  else sounds.add(use.value, entry)
  void asking(() => $fetch(`/api/media/${entry.hash}/used`, { method: 'POST' }))
}
async function bring(file: File) {
  const hash = await bringClip(file, file.name, words => {
    busy.value = words
  })
  if (hash) take({ hash, name: file.name })
}
const taken = (entry: MediaEntry) => take(entry)
</script>

<template>
  <UDropdownMenu v-if="store.canEdit" :items="items"><UButton variant="ghost">Add sound</UButton></UDropdownMenu>
  <span v-if="busy" class="quiet" role="status">{{ busy }}</span>
  <FilePicker ref="picker" accept="audio/*,video/*" data-test="sound-file" @file="bring" />
  <MediaFinder v-model="choosing" kind="sound" @choose="taken" @file="picker?.open()" />
</template>
