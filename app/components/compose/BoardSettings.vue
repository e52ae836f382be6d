<script setup lang="ts">
import type { Box } from '#core/values'

/** A slide as a board: how far it reaches, its views in the order of the telling, what it opens with. */
const store = useDeck()
const where = useWhere()
const stage = useStage()
const board = useBoard()
const reach = computed(() => board.slide?.board)
const setReach = (fields: Partial<{ width: number; height: number }>) =>
  board.set('change how far the board reaches', { board: { ...reach.value!, ...fields } })
const chosen = computed(() => stage.chosen.map(element => stage.outlineOf(element)))
/** What is in sight on the stage at work, as a view. */
function frameSight() {
  const { width, height } = stage.area
  const middle = { x: stage.size.width / 2 - stage.pan.x / stage.scale, y: stage.size.height / 2 - stage.pan.y / stage.scale }
  const [wide, high] = [(width / stage.scale) * 0.8, (height / stage.scale) * 0.8]
  board.around([{ x: middle.x - wide / 2, y: middle.y - high / 2, width: wide / 1.16, height: high / 1.16, angle: 0 }])
}
const look = (box: Box) => stage.zoomOn(box)
</script>

<template>
  <section v-if="board.slide" class="board">
    <template v-if="reach">
      <h3>Board</h3>
      <div class="row">
        <span class="label">Reaches</span>
        <span class="pair">
          <NumberField
            :model-value="reach.width"
            label="Width of the board"
            unit="px"
            :min="16"
            :max="100000"
            :step="80"
            @update:model-value="width => setReach({ width })"
          />
          <NumberField
            :model-value="reach.height"
            label="Height of the board"
            unit="px"
            :min="16"
            :max="100000"
            :step="80"
            @update:model-value="height => setReach({ height })"
          />
        </span>
      </div>
      <div class="row">
        <span class="label">Opens with</span>
        <ChoiceField
          :model-value="board.slide.opens ?? 'all'"
          :items="[
            { value: 'all', label: 'all of the board' },
            ...board.views.map((view, index) => ({ value: view.id, label: `${index + 1} ${view.name}` })),
          ]"
          label="Opens with"
          :disabled="!store.canEdit"
          @update:model-value="next => board.set('change what the board opens with', { opens: next === 'all' ? undefined : next })"
        />
      </div>
      <ol class="views" aria-label="Views">
        <li v-for="(view, index) in board.views" :key="view.id" :class="{ here: board.view === view.id }">
          <UButton
            variant="bare"
            class="index amount"
            :aria-label="`Look at ${view.name}`"
            title="Look at it"
            @click="((board.view = view.id), look(view.box))"
          >
            {{ index + 1 }}
          </UButton>
          <WordsField
            :model-value="view.name"
            maxlength="120"
            :aria-label="`Name of view ${index + 1}`"
            :readonly="!store.canEdit"
            @focus="board.view = view.id"
            @update:model-value="words => board.change(view.id, 'name a view', { name: words.trim().slice(0, 120) || `View ${index + 1}` })"
          />
          <template v-if="store.canEdit">
            <UButton
              variant="ghost"
              size="sm"
              icon="i-lucide-arrow-up"
              :disabled="index === 0"
              :aria-label="`Tell ${view.name} earlier`"
              title="Earlier"
              @click="board.move(view.id, -1)"
            />
            <UButton
              variant="ghost"
              size="sm"
              icon="i-lucide-arrow-down"
              :disabled="index === board.views.length - 1"
              :aria-label="`Tell ${view.name} later`"
              title="Later"
              @click="board.move(view.id, 1)"
            />
            <UButton
              variant="ghost"
              size="sm"
              icon="i-lucide-x"
              :aria-label="`Remove the view ${view.name}`"
              title="Remove the view; what stands in it stays"
              @click="board.remove(view.id)"
            />
          </template>
        </li>
      </ol>
      <p v-if="!board.views.length" class="quiet">
        No views yet. A view is what the picture shows of the board; the camera goes from one to the next.
      </p>
      <div v-if="store.canEdit" class="presses">
        <UButton size="sm" :disabled="!chosen.length" title="A view around the elements that are chosen" @click="board.around(chosen)">
          Frame what is chosen
        </UButton>
        <UButton size="sm" @click="frameSight">Frame what is in sight</UButton>
        <UButton size="sm" :disabled="!board.views.length" @click="board.part()">Views into slides</UButton>
        <UButton size="sm" @click="board.unmake()">No board any more</UButton>
      </div>
    </template>
    <UButton
      v-else-if="store.canEdit && !where.isForm"
      size="sm"
      class="make"
      title="A slide larger than the picture, which the camera goes over"
      @click="board.make()"
    >
      Make it a board
    </UButton>
  </section>
</template>

<style scoped>
.board {
  display: flex;
  flex-direction: column;
  gap: 4px;
  margin: 6px 0;
}
h3 {
  font-size: 15px;
  margin: 4px 0 0;
}
.pair {
  display: inline-flex;
  gap: 4px;
}
.views {
  list-style: none;
  margin: 4px 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 3px;
  max-height: 260px;
  overflow-y: auto;
}
li {
  display: flex;
  align-items: center;
  gap: 2px;
  border-radius: 8px;
  padding: 1px 2px;
}
li.here {
  background: var(--act-wash);
}
li [data-slot='root'] {
  flex: 1;
  padding: 3px 6px;
}
li [data-slot='base'] {
  padding: 3px 5px;
}
.index {
  border: 0;
  background: var(--act);
  color: var(--on-act);
  border-radius: 999px;
  min-width: 22px;
  height: 22px;
  font-size: 12.5px;
  cursor: pointer;
  margin-right: 4px;
  flex: none;
}
.presses {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.make {
  align-self: flex-start;
}
</style>
