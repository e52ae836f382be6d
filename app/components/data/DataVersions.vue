<script setup lang="ts">
import type { SourceDetail, SourceVersion } from '~/composables/data-room'

/** The versions of a table, one block each; which is on air, and which are held and why. */
const props = defineProps<{ detail: SourceDetail; canEdit: boolean }>()
/** How the next version comes. */
const cameBy = computed(() => {
  if (props.detail.steps) return 'Each version of what it is made of makes one here.'
  if (props.detail.address) return 'What the service answers with next becomes the next one.'
  return props.detail.typed ? 'What one person types within ten minutes is one.' : 'Another file of the same table becomes the next one.'
})
const emit = defineEmits<{ look: [number: number]; air: [number: number]; upload: [] }>()
const day = (version: SourceVersion) => new Date(version.createdAt).toLocaleDateString(undefined, { day: 'numeric', month: 'short' })
const list = useTemplateRef('list')
const isHeld = (version: SourceVersion) => version.held !== null && version.number !== props.detail.onAir
/** The newest is what one comes for. */
watch(
  () => props.detail,
  () => void nextTick(() => list.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' })),
  { immediate: true },
)
const chosen = computed(() => props.detail.versions.find(({ number }) => number === props.detail.shown.number))
</script>

<template>
  <section class="versions" aria-label="Versions">
    <div class="what">
      <h2>Versions</h2>
      <p class="quiet">
        {{ cameBy }}
      </p>
    </div>
    <ul ref="list">
      <li v-for="version in detail.versions" :key="version.number">
        <span v-if="version.number === detail.onAir" class="air">{{ version.number }} is on air</span>
        <UButton
          variant="bare"
          class="version"
          :class="{ shown: version.number === detail.shown.number, held: isHeld(version) }"
          :aria-current="version.number === detail.shown.number || undefined"
          :aria-label="`Version ${version.number}, ${day(version)}${isHeld(version) ? ', held' : ''}`"
          :title="version.fileName"
          @click="emit('look', version.number)"
        >
          <b>{{ version.number }}{{ isHeld(version) ? ' held' : '' }}</b>
          <span class="amount quiet">{{ day(version) }}</span>
        </UButton>
      </li>
      <li v-if="canEdit && !detail.steps && !detail.typed && !detail.address">
        <UButton variant="bare" class="version next" @click="emit('upload')">Upload the next version</UButton>
      </li>
    </ul>
    <p v-if="chosen && chosen.number !== detail.onAir" class="says">
      <span v-if="chosen.held" class="wrong">{{ chosen.held }}</span>
      <span v-if="detail.shown.change" class="change" :title="`Against version ${detail.onAir}`">
        {{ changeWords(detail.shown.change) }}
      </span>
      <UButton v-if="canEdit" size="sm" @click="emit('air', chosen.number)">Put version {{ chosen.number }} on air</UButton>
    </p>
  </section>
</template>

<style scoped>
.versions {
  display: grid;
  grid-template-columns: 190px 1fr auto;
  gap: 18px;
  align-items: center;
  padding: 8px 16px;
  height: 96px;
  background: var(--well);
  border-top: 1px solid var(--line);
}
h2 {
  font-size: 15px;
  margin: 0 0 3px;
}
.what p {
  margin: 0;
  font-size: 12.5px;
}
ul {
  display: flex;
  gap: 6px;
  margin: 0;
  padding: 22px 0 6px;
  list-style: none;
  overflow-x: auto;
}
li {
  position: relative;
  flex: none;
}
.air {
  position: absolute;
  bottom: calc(100% + 2px);
  left: 0;
  padding: 0 7px;
  border-radius: 4px;
  background: var(--now);
  color: #15262b;
  font-size: 12px;
  font-weight: 600;
  white-space: nowrap;
}
.version {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 14px;
  min-width: 92px;
  height: 34px;
  padding: 0 11px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--panel);
  color: var(--ink);
  font: inherit;
  font-size: 13px;
  cursor: pointer;
}
.version.shown {
  border: 2px solid var(--act);
}
.version.held {
  border-style: dashed;
  border-color: var(--wrong);
  color: var(--wrong);
}
.version.next {
  border-style: dashed;
  background: none;
  color: var(--second);
}
.version:hover {
  background: var(--act-wash);
}
.says {
  margin: 0;
  max-width: 300px;
  font-size: 13px;
  display: flex;
  flex-direction: column;
  align-items: start;
  gap: 4px;
}
.wrong {
  color: var(--wrong);
}
.change {
  font-size: 12.5px;
  color: var(--second);
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
</style>
