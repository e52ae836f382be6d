<script setup lang="ts">
/** Records a film by camera and microphone, in place. */
const emit = defineEmits<{ kept: [film: Blob], close: [] }>()
const { state, problem, level, seconds, taken, stream, begin, end, again } = useRecorder('camera')
const live = ref<HTMLVideoElement>()
watch([stream, live], () => { if (live.value) live.value.srcObject = stream.value })
const seen = computed(() => (taken.value ? URL.createObjectURL(taken.value) : ''))
watch(seen, (_, before) => before && URL.revokeObjectURL(before))
</script>

<template>
  <UModal :open="true" title="Record a film" description="By this computer’s camera and microphone" :ui="{ content: 'max-w-2xl' }" @update:open="shown => shown || emit('close')">
    <template #body>
      <div class="recorder">
        <video v-if="taken" :src="seen" controls class="seen" />
        <video v-else ref="live" class="seen" muted autoplay playsinline />
        <div class="line">
          <button v-if="state === 'ready'" class="press acts" @click="begin"><UIcon name="i-lucide-video" />Record</button>
          <button v-else-if="state === 'recording'" class="press acts" @click="end"><UIcon name="i-lucide-square" />Stop</button>
          <button v-else class="press" @click="again">Once more</button>
          <span class="meter"><i :style="{ width: `${level * 100}%` }" /></span>
          <span class="amount">{{ clockWords(seconds, true) }}</span>
          <button v-if="taken" class="press acts" @click="emit('kept', taken)">Put it on the slide</button>
        </div>
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.recorder { display: flex; flex-direction: column; gap: 12px; }
.seen { width: 100%; aspect-ratio: 16 / 9; background: #0b1113; border-radius: 8px; }
.line { display: flex; gap: 12px; align-items: center; }
.meter { flex: 1; height: 12px; border-radius: 999px; background: var(--well); overflow: hidden; }
.meter i { display: block; height: 100%; background: var(--act); }
.problem { color: var(--wrong); margin: 0; }
</style>
