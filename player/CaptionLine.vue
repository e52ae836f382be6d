<script setup lang="ts">
/** Words to read along, low in a picture `width` px wide. */
defineProps<{ text: string; width: number }>()
</script>

<template>
  <div v-if="text" class="caption-line" :style="{ fontSize: `${Math.max(11, width * 0.021)}px` }">
    <span v-for="(line, index) in text.split('\n')" :key="index">{{ line }}</span>
  </div>
</template>

<style>
.caption-line {
  position: absolute;
  left: 8%;
  right: 8%;
  bottom: 4.5%;
  z-index: 5;
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 0.15em;
  font-family: 'Hanken Grotesk', sans-serif;
  font-weight: 500;
  line-height: 1.3;
  text-align: center;
  pointer-events: none;
}
.caption-line span {
  background: rgb(8 16 18 / 0.82);
  color: #fff;
  padding: 0.1em 0.55em 0.16em;
  border-radius: 0.25em;
}
</style>
