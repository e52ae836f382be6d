<script setup lang="ts">
/** Where decks lie: all, by folder, by purpose, in the trash; a deck is dropped on a folder to lie there. */
const props = defineProps<{
  counts: NonNullable<ReturnType<typeof useDeckShelf>['counts']['value']>
  filter: ReturnType<typeof useDeckShelf>['filter']
  canEdit: boolean
}>()
const emit = defineEmits<{
  go: [filter: { folder?: string; purpose?: DeckEntry['purpose'] | ''; removed?: boolean }]
  drop: [deck: string, folder: string]
}>()
const over = ref<string | null>(null)
const rows = computed(() => [
  {
    key: 'all',
    label: 'All decks',
    count: props.counts.all,
    here: !props.filter.folder && !props.filter.purpose && !props.filter.removed,
    go: {},
    folder: '',
  },
  ...props.counts.folders.map(folder => ({
    key: `folder ${folder.name}`,
    label: folder.name,
    count: folder.count,
    here: props.filter.folder === folder.name,
    go: { folder: folder.name },
    folder: folder.name,
  })),
])
const others = computed(() => [
  ...(['talk', 'film', 'loop'] as const).map(purpose => ({
    key: purpose as string,
    label: `${purposeWords[purpose]}s`,
    count: props.counts.purposes[purpose],
    here: props.filter.purpose === purpose,
    go: { purpose } as { purpose?: DeckEntry['purpose']; removed?: boolean },
  })),
  { key: 'trash', label: 'Trash', count: props.counts.removed, here: props.filter.removed, go: { removed: true } },
])
function drop(event: DragEvent, folder: string) {
  over.value = null
  const deck = event.dataTransfer?.getData('application/x-hailbank-deck')
  if (deck) emit('drop', deck, folder)
}
</script>

<template>
  <nav class="side" aria-label="Where decks lie">
    <UButton
      v-for="row in rows"
      :key="row.key"
      variant="bare"
      class="place"
      :class="{ here: row.here, over: over === row.key }"
      :aria-current="row.here || undefined"
      @click="emit('go', row.go)"
      @dragover.prevent="over = row.key"
      @dragleave="over = null"
      @drop.prevent="drop($event, row.folder)"
    >
      <span class="words">{{ row.label }}</span>
      <span class="amount quiet">{{ row.count }}</span>
    </UButton>
    <hr />
    <UButton
      v-for="row in others"
      :key="row.key"
      variant="bare"
      class="place"
      :class="{ here: row.here }"
      :aria-current="row.here || undefined"
      @click="emit('go', row.go)"
    >
      <span class="words">{{ row.label }}</span>
      <span class="amount quiet">{{ row.count }}</span>
    </UButton>
  </nav>
</template>

<style scoped>
.side {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.place {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 6px 10px;
  border-left: 3px solid transparent;
  border-radius: 6px;
  text-align: left;
}
.place:hover,
.place.over {
  background: var(--act-wash);
}
.place.here {
  border-color: var(--act);
  background: var(--act-wash);
  font-weight: 600;
}
.words {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.amount {
  font-size: 12.5px;
}
hr {
  width: 100%;
  border: 0;
  border-top: 1px solid var(--line);
  margin: 10px 0;
}
</style>
