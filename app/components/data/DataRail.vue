<script setup lang="ts">
import type { SourceEntry, WatchedFolder } from '~/composables/data-room'

/** The team’s tables by name, with what waits for somebody; below them what is wrong in the watched folder. */
const props = defineProps<{
  list: readonly SourceEntry[]
  chosen: string | null
  folder: WatchedFolder | null
  /** They could not be asked for. */ lacking: boolean
}>()
const emit = defineEmits<{ open: [id: string] }>()
/** Those that are made of another one by steps stand below it. */
const entries = computed(() => {
  const known = new Set(props.list.map(({ id }) => id))
  const below = (of: string | null, depth: number): { entry: SourceEntry; depth: number }[] =>
    props.list
      .filter(({ madeOf }) => (madeOf !== null && known.has(madeOf) ? madeOf : null) === of)
      .flatMap(entry => [{ entry, depth }, ...below(entry.id, depth + 1)])
  return below(null, 0)
})
const came = (at: string) => new Date(at).toLocaleDateString(undefined, { day: 'numeric', month: 'long' })
const waitsOf = ({ open, held, fault, madeOf, address }: SourceEntry) =>
  fault
    ? madeOf
      ? 'not current'
      : address
        ? 'no answer'
        : 'file lacking'
    : open
      ? open === 1
        ? 'a question'
        : `${open} questions`
      : `${held} held`
</script>

<template>
  <aside class="rail" aria-label="Tables">
    <h1>Tables</h1>
    <ul>
      <li v-for="{ entry, depth } in entries" :key="entry.id" :style="{ paddingLeft: `${Math.min(depth, 4) * 12}px` }">
        <UButton
          variant="bare"
          class="entry"
          :class="{ here: entry.id === chosen }"
          :aria-current="entry.id === chosen || undefined"
          @click="emit('open', entry.id)"
        >
          <b :title="entry.name">{{ entry.name }}</b>
          <span v-if="entry.open || entry.held || entry.fault" class="waits">{{ waitsOf(entry) }}</span>
          <span class="quiet where">
            {{ entry.madeOf ? 'in steps, ' : '' }}{{ came(entry.cameAt) }}{{ entry.versions > 1 ? `, ${entry.versions} versions` : '' }}
          </span>
        </UButton>
      </li>
    </ul>
    <p v-if="!list.length && !lacking" class="quiet">None yet.</p>
    <section
      v-if="folder?.folder || folder?.faults.length"
      class="folder"
      :class="{ faulty: folder.faults.length }"
      aria-label="Watched folder"
    >
      <template v-if="folder.faults.length">
        <h2>Not read</h2>
        <dl>
          <template v-for="{ file, fault } in folder.faults" :key="file">
            <dt>{{ file || 'The watched folder' }}</dt>
            <dd>{{ fault }}</dd>
          </template>
        </dl>
      </template>
      <p v-if="folder.folder" class="quiet">
        Files of data saved in
        <span class="path">{{ folder.folder }}</span>
        become tables, and those follow them.
      </p>
    </section>
  </aside>
</template>

<style scoped>
.rail {
  display: flex;
  flex-direction: column;
  background: var(--panel);
  border-right: 1px solid var(--line);
  padding: 14px 10px;
  overflow-y: auto;
  min-height: 0;
}
h1 {
  font-size: 17px;
  margin: 0 6px 10px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.entry {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 1px 8px;
  width: 100%;
  padding: 7px 9px;
  border: 0;
  border-left: 3px solid transparent;
  border-radius: 8px;
  background: none;
  color: inherit;
  font: inherit;
  font-size: 14px;
  text-align: left;
  cursor: pointer;
}
.entry b {
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.entry:hover,
.entry.here {
  background: var(--act-wash);
}
.entry.here {
  border-left-color: var(--act);
}
.waits {
  color: var(--wrong);
  font-size: 12.5px;
  font-weight: 600;
  white-space: nowrap;
}
.where {
  grid-column: 1 / -1;
  font-size: 12.5px;
}
.folder.faulty {
  position: sticky;
  bottom: -14px;
  background: var(--panel);
  border-top: 1px solid var(--line);
}
.folder {
  margin-top: auto;
  padding: 18px 8px 4px;
  font-size: 12.5px;
  overflow-wrap: anywhere;
}
h2 {
  font-size: 13px;
  margin: 0 0 4px;
  color: var(--wrong);
}
dl,
dd,
.folder p {
  margin: 0;
}
dl {
  max-height: 190px;
  overflow-y: auto;
  margin-bottom: 10px;
}
dt {
  font-weight: 600;
}
dd {
  color: var(--second);
  margin-bottom: 6px;
}
.path {
  color: var(--ink);
}
</style>
