<script setup lang="ts">
import { beatsOf, cuesOfElement } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { effectNamed } from '#core/timing'

/** What happens to a part, beat by beat; changed in Time. */
const props = defineProps<{ element: ShownElement }>()
const store = useDeck()
const where = useWhere()
const selected = useSelected()
const route = useRoute()
const router = useRouter()
const words: Readonly<Record<string, string>> = {
  enter: 'entrance',
  exit: 'exit',
  emphasis: 'emphasis',
  move: 'moves',
  data: 'changes its data',
  media: 'plays',
  pose: 'takes a pose',
  camera: 'is looked at',
}
const beats = computed(() => (where.slideId ? beatsOf(store.current, where.slideId) : []))
const cues = computed(() =>
  cuesOfElement(store.current, props.element.id)
    .map(cue => ({ cue, beat: beats.value.findIndex(beat => beat.id === cue.beat) + 1 }))
    .filter(entry => entry.beat > 0)
    .sort((a, b) => a.beat - b.beat),
)
function open(cue: string | null) {
  if (cue) selected.cueId = cue
  void router.replace({ query: { ...route.query, phase: 'time' } })
}
</script>

<template>
  <section class="motion">
    <ul v-if="cues.length">
      <li v-for="{ cue, beat } in cues" :key="cue.id">
        <UButton variant="bare" class="cue" @click="open(cue.id)">
          <span>
            <b class="amount">beat {{ beat }}</b>
            {{ words[cue.what] ?? cue.what }}
          </span>
          <span class="quiet">{{ effectNamed(cue.effect, cue.what).label }}</span>
        </UButton>
      </li>
    </ul>
    <p v-else class="quiet small">It is there from the first beat to the last.</p>
    <UButton v-if="store.current.slides[element.owner]" size="sm" @click="open(null)">Say in Time when it comes</UButton>
  </section>
</template>

<style scoped>
.motion {
  display: flex;
  flex-direction: column;
  gap: 6px;
  align-items: flex-start;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
}
.cue {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  width: 100%;
  border: 0;
  border-left: 3px solid var(--comes);
  background: none;
  color: inherit;
  font: inherit;
  padding: 5px 8px;
  text-align: left;
  cursor: pointer;
  border-radius: 4px;
}
.cue:hover {
  background: var(--act-wash);
}
.small {
  font-size: 13px;
  margin: 0;
}
</style>
