<script setup lang="ts">
/** Records a slide's voice with its notes in sight, whole or from a second on. */
const props = defineProps<{ slide: string; onto: { media: string; at: number } | null }>()
const emit = defineEmits<{ kept: [media: string]; close: [] }>()
const store = useDeck()
const { state, problem, level, seconds, taken, begin, end, again } = useRecorder('microphone')
const notes = computed(() => store.current.slides[props.slide]?.notes.trim() ?? '')
const number = computed(() => store.slides.findIndex(slide => slide.id === props.slide) + 1)
const even = ref(true)
const tidy = ref(true)
const busy = ref(false)
const heard = computed(() => (taken.value ? URL.createObjectURL(taken.value) : ''))
watch(heard, (_, before) => before && URL.revokeObjectURL(before))
async function keep() {
  if (!taken.value) return
  busy.value = true
  const kept = await asking(() =>
    $fetch<{ hash: string }>('/api/media/voice', {
      method: 'POST',
      body: taken.value!,
      headers: { 'content-type': 'application/octet-stream' },
      query: {
        name: `Voice of slide ${number.value}`,
        level: even.value ? 'yes' : 'no',
        tidy: tidy.value ? 'yes' : 'no',
        ...(props.onto ? { onto: props.onto.media, at: props.onto.at } : {}),
      },
    }),
  )
  busy.value = false
  if (kept) emit('kept', kept.hash)
}
</script>

<template>
  <UModal
    :open="true"
    :title="`The voice of slide ${number}`"
    :description="onto ? `What follows ${secondsWords(onto.at)} is taken again` : 'Its notes are in sight while you speak'"
    :ui="{ content: 'max-w-2xl' }"
    @update:open="shown => shown || emit('close')"
  >
    <template #body>
      <div class="recorder">
        <p class="notes" :class="{ quiet: !notes }">
          {{ notes || 'This slide has no notes. Write in the outline what is to be said, and it stands here.' }}
        </p>
        <RecorderBar
          :state="state"
          :level="level"
          :seconds="seconds"
          :problem="problem"
          icon="i-lucide-mic"
          :busy="busy"
          @begin="begin"
          @end="end"
          @again="again"
        />
        <template v-if="taken">
          <audio :src="heard" controls />
          <label>
            <UCheckbox v-model="even" />
            even its level
          </label>
          <label>
            <UCheckbox v-model="tidy" />
            take the silence at its ends away
          </label>
          <div class="foot">
            <UButton color="primary" variant="solid" :disabled="busy" @click="keep">{{ busy ? 'Making it ready' : 'Keep it' }}</UButton>
          </div>
        </template>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.recorder {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.notes {
  font-size: 19px;
  line-height: 1.5;
  max-height: 38vh;
  overflow-y: auto;
  margin: 0;
  white-space: pre-line;
}
.notes.quiet {
  font-size: 15px;
}
label {
  display: inline-flex;
  gap: 7px;
  align-items: center;
}
audio {
  width: 100%;
}
.foot {
  display: flex;
  justify-content: flex-end;
}
</style>
