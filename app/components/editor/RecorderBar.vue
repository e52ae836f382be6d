<script setup lang="ts">
/** The controls of a recorder: begin, stop, once more; how loud it is, and for how long. */
defineProps<{ state: 'ready' | 'recording' | 'done'; level: number; seconds: number; problem: string; icon: string; busy?: boolean }>()
const emit = defineEmits<{ begin: []; end: []; again: [] }>()
</script>

<template>
  <div class="line">
    <UButton v-if="state === 'ready'" color="primary" variant="solid" :icon="icon" @click="emit('begin')">Record</UButton>
    <UButton v-else-if="state === 'recording'" color="primary" variant="solid" icon="i-lucide-square" @click="emit('end')">Stop</UButton>
    <UButton v-else :disabled="busy" @click="emit('again')">Once more</UButton>
    <span class="meter" role="meter" aria-label="How loud" aria-valuemin="0" aria-valuemax="100" :aria-valuenow="Math.round(level * 100)">
      <i :style="{ width: `${level * 100}%` }" />
    </span>
    <span class="amount clock">{{ clockWords(seconds, true) }}</span>
    <slot />
  </div>
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
</template>

<style scoped>
.line {
  display: flex;
  gap: 12px;
  align-items: center;
}
.meter {
  flex: 1;
  height: 12px;
  border-radius: 999px;
  background: var(--well);
  overflow: hidden;
}
.meter i {
  display: block;
  height: 100%;
  background: var(--act);
}
.clock {
  font-size: 16px;
}
.problem {
  color: var(--wrong);
  margin: 0;
}
</style>
