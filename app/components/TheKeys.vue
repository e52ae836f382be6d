<script setup lang="ts">
/** What the keyboard does on the page of a deck. */
const open = defineModel<boolean>({ required: true })
const keys = [
  ['Space', 'play and stop'],
  [', and .', 'one frame back, on; with Shift one beat'],
  ['Alt 1 to Alt 5', 'the five phases'],
  ['Arrows', 'nudge by 8; with Alt by 1, with Shift by 40'],
  ['Arrows in rows', 'of decks, slides, files, layouts: the next one; Home and End, the first and the last'],
  ['Tab', 'walk the elements of the slide'],
  ['Alt Left, Alt Right', 'in the outline: a line further out, further in'],
  ['Alt Up, Alt Down', 'in the outline: a slide earlier, later'],
  ['Enter', 'edit the text that is selected'],
  ['A', 'what to add to the slide'],
  ['B', 'a new beat at the playhead'],
  ['Delete', 'delete what is selected'],
  ['Ctrl D', 'duplicate, with the same offset again'],
  ['Ctrl C, X, V', 'copy, cut, paste'],
  ['G, Shift G', 'group, ungroup'],
  ['[ and ]', 'on a chart: its state before, after; K keeps what it shows, P plays the way'],
  ['Page Up, Page Down', 'forward, back'],
  ['+ - 0', 'on the stage: zoom in, zoom out, fit'],
  ['+ - F', 'in the score: zoom in, zoom out, all in sight'],
  ['Left, Right', 'on a bar of the score: earlier, later; with Alt its end, with Ctrl its start'],
  ['/', 'find anything: commands, settings, slides, elements, words'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['?', 'this page'],
] as const
</script>

<template>
  <UModal v-model:open="open" title="Keys" description="What the keyboard does here">
    <template #body>
      <!-- Longer than a small window: the arrows scroll it. -->
      <dl class="keys" tabindex="0">
        <template v-for="[key, words] in keys" :key="key">
          <dt class="amount">{{ key }}</dt>
          <dd>{{ words }}</dd>
        </template>
      </dl>
    </template>
  </UModal>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 18px;
  margin: 0;
}
.keys dd {
  margin: 0;
  color: var(--second);
}
</style>
