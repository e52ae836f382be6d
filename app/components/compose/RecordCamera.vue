<script setup lang="ts">
/** Records a film by camera and microphone, in place. */
const emit = defineEmits<{ kept: [film: Blob]; close: [] }>()
const { state, problem, level, seconds, taken, stream, begin, end, again } = useRecorder('camera')
const live = ref<HTMLVideoElement>()
watch([stream, live], () => {
  if (live.value) live.value.srcObject = stream.value
})
const seen = computed(() => (taken.value ? URL.createObjectURL(taken.value) : ''))
watch(seen, (_, before) => before && URL.revokeObjectURL(before))
</script>

<template>
  <UModal
    :open="true"
    title="Record a film"
    description="By this computer’s camera and microphone"
    :ui="{ content: 'max-w-2xl' }"
    @update:open="shown => shown || emit('close')"
  >
    <template #body>
      <div class="recorder">
        <video v-if="taken" :src="seen" controls class="seen" />
        <video v-else ref="live" class="seen" muted autoplay playsinline />
        <RecorderBar
          :state="state"
          :level="level"
          :seconds="seconds"
          :problem="problem"
          icon="i-lucide-video"
          @begin="begin"
          @end="end"
          @again="again"
        >
          <UButton v-if="taken" color="primary" variant="solid" @click="emit('kept', taken)">Put it on the slide</UButton>
        </RecorderBar>
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
.seen {
  width: 100%;
  aspect-ratio: 16 / 9;
  background: #0b1113;
  border-radius: 8px;
}
</style>
