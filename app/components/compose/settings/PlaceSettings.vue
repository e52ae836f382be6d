<script setup lang="ts">
import type { Against } from '~/composables/arranging'
import { setFields } from '#core/edits'
import { type Element, fieldLimits } from '#core/model'
import { boundsOf, boxOf } from '#core/place'

/** Where the selected parts stand, by number, and how they are lined up, spaced, turned and stacked. */
const store = useDeck()
const where = useWhere()
const stage = useStage()
const arranging = useArranging()
/** What several are lined up with; one part alone has only the slide and its margins. */
const chosenAgainst = ref<Against>('each other')
const movable = computed(() => stage.movable)
const several = computed(() => movable.value.length > 1)
const against = computed({
  get: () => (!several.value && chosenAgainst.value === 'each other' ? 'slide' : chosenAgainst.value),
  set: next => {
    chosenAgainst.value = next
  },
})
const first = computed(() => stage.chosen[0])
/** Where they stand, as it is under the hand. */
const box = computed(() => {
  const leaves = stage.leaves(movable.value)
  if (leaves.length === 1) return stage.boxNow(leaves[0]!)
  return leaves.length ? boxOf(boundsOf(...leaves.map(stage.boxNow))) : (first.value?.box ?? null)
})
const own = computed(() => first.value && store.current.elements[first.value.id])
const onSlide = computed(() => !!first.value?.placeholder && !!store.current.slides[first.value.owner])
const inherits = computed(() => !several.value && onSlide.value && !own.value?.box)
const gaps = computed(() => {
  void stage.elements
  return several.value ? { across: arranging.gap('across'), down: arranging.gap('down') } : null
})
const edges = [
  ['left', 'Left edges', 'i-lucide-align-start-vertical'],
  ['center', 'Centres across', 'i-lucide-align-center-vertical'],
  ['right', 'Right edges', 'i-lucide-align-end-vertical'],
  ['top', 'Top edges', 'i-lucide-align-start-horizontal'],
  ['middle', 'Centres down', 'i-lucide-align-center-horizontal'],
  ['bottom', 'Bottom edges', 'i-lucide-align-end-horizontal'],
] as const
const putBack = () =>
  first.value &&
  store.edit(
    `put back ${first.value.name}`,
    setFields(store.current, { table: 'elements', id: first.value.id, fields: { box: undefined } as Partial<Element> }),
  )
/** Whether width and height keep their proportions when one of them is written: of what would look wrong otherwise, unless said. */
const proportioned: readonly string[] = ['picture', 'clip', 'icon', 'figure', 'group']
const locks = useState('proportions', () => new Map<string, boolean>())
const locked = computed(() => locks.value.get(first.value?.id ?? '') ?? stage.chosen.some(element => proportioned.includes(element.kind)))
function size(fields: { width: number } | { height: number }) {
  const now = box.value
  if (!now || !locked.value) return arranging.setBox(fields)
  const factor = 'width' in fields ? fields.width / now.width : fields.height / now.height
  arranging.setBox({ width: Math.max(1, Math.round(now.width * factor)), height: Math.max(1, Math.round(now.height * factor)) })
}
const isGroup = computed(() => stage.chosen.some(element => element.kind === 'group'))
const pieces = usePieces()
const boundTo = computed(() => {
  const element = movable.value.length === 1 ? store.current.elements[movable.value[0]!] : undefined
  return element?.kind === 'group' && element.piece ? element : null
})
const pieceName = ref('')
async function keepPiece() {
  const [name, ...tags] = pieceName.value
    .split(',')
    .map(word => word.trim())
    .filter(Boolean)
  if (name && (await pieces.keep(name, tags))) pieceName.value = ''
}
const opacity = computed(() => (first.value?.opacity ?? 1) * 100)
</script>

<template>
  <section v-if="box" class="place">
    <div class="grid">
      <label>
        Left
        <NumberField :model-value="box.x" label="Left" @update:model-value="x => arranging.setBox({ x })" />
      </label>
      <label>
        Top
        <NumberField :model-value="box.y" label="Top" @update:model-value="y => arranging.setBox({ y })" />
      </label>
      <label>
        Width
        <NumberField :model-value="box.width" label="Width" :min="1" @update:model-value="width => size({ width })" />
      </label>
      <label>
        Height
        <NumberField :model-value="box.height" label="Height" :min="1" @update:model-value="height => size({ height })" />
      </label>
      <UButton
        class="lock"
        variant="ghost"
        size="sm"
        :icon="locked ? 'i-lucide-link-2' : 'i-lucide-unlink-2'"
        :active="locked"
        :aria-pressed="locked"
        aria-label="Width and height in proportion"
        title="Width and height in proportion"
        @click="locks = new Map(locks).set(first!.id, !locked)"
      />
      <label v-if="!several && !isGroup">
        Angle
        <NumberField
          :model-value="box.angle"
          label="Angle"
          :step="15"
          :decimals="box.angle % 1 ? 1 : 0"
          @update:model-value="angle => arranging.setBox({ angle })"
        />
      </label>
      <label v-else>
        Turn by
        <NumberField :model-value="0" label="Turn by" :step="15" @update:model-value="by => arranging.turn(by)" />
      </label>
      <label>
        Opacity
        <NumberField
          :model-value="opacity"
          label="Opacity"
          :min="0"
          :max="100"
          @update:model-value="value => arranging.set('fade', { opacity: value / 100 })"
        />
      </label>
    </div>
    <p v-if="inherits" class="quiet small">Its place comes from the layout.</p>
    <UButton v-else-if="onSlide && !several" size="sm" class="start" @click="putBack">Back to its place in the layout</UButton>
    <template v-if="movable.length">
      <div class="row tools">
        <UButton size="sm" icon="i-lucide-flip-horizontal" title="Mirror from left to right" @click="arranging.flip('across')">
          Flip
        </UButton>
        <UButton size="sm" icon="i-lucide-flip-vertical" title="Mirror from top to bottom" @click="arranging.flip('down')">
          Flip down
        </UButton>
      </div>
      <UButton
        size="sm"
        class="start"
        icon="i-lucide-drafting-compass"
        title="Turn it along an edge of the picture: press two points"
        data-test="pick-angle"
        @click="stage.tool = 'angle'"
      >
        Angle from two points
      </UButton>

      <b class="sub">Line up</b>
      <div class="row">
        <span class="label">{{ several ? 'With' : 'On' }}</span>
        <ChoiceField
          v-model="against"
          :items="[
            ...(several ? [{ value: 'each other', label: 'each other' }] : []),
            { value: 'slide', label: 'the slide' },
            { value: 'margins', label: 'its margins' },
          ]"
          label="Lined up with"
        />
      </div>
      <div class="six">
        <UButton
          v-for="[edge, words, icon] in edges"
          :key="edge"
          size="sm"
          :icon="icon"
          :aria-label="words"
          :title="words"
          :data-test="`align-${edge}`"
          @click="arranging.align(edge, against)"
        />
      </div>
      <template v-if="several">
        <b class="sub">Gaps</b>
        <div class="pairs">
          <UButton size="sm" data-test="space-across" @click="arranging.distribute('across')">Equal across</UButton>
          <UButton size="sm" data-test="space-down" @click="arranging.distribute('down')">Equal down</UButton>
        </div>
        <div class="grid">
          <label title="The gap between neighbours from left to right">
            Across
            <NumberField
              :model-value="gaps?.across ?? null"
              label="Gap across"
              @update:model-value="gap => arranging.distribute('across', gap)"
            />
          </label>
          <label title="The gap between neighbours from top to bottom">
            Down
            <NumberField
              :model-value="gaps?.down ?? null"
              label="Gap down"
              @update:model-value="gap => arranging.distribute('down', gap)"
            />
          </label>
        </div>
        <div class="pairs">
          <UButton size="sm" @click="arranging.tidy('rows')">Tidy in rows</UButton>
          <UButton size="sm" @click="arranging.tidy('grid')">Tidy in a grid</UButton>
        </div>
        <div class="pairs">
          <UButton size="sm" title="As wide as the first one selected" @click="arranging.sameSize('width')">Same width</UButton>
          <UButton size="sm" title="As high as the first one selected" @click="arranging.sameSize('height')">Same height</UButton>
          <UButton size="sm" @click="arranging.sameSize('both')">Same size</UButton>
        </div>
      </template>

      <b class="sub">Stack</b>
      <div class="pairs">
        <UButton size="sm" title="Page Up" @click="arranging.stack('forward')">Forward</UButton>
        <UButton size="sm" title="Page Down" @click="arranging.stack('back')">Back</UButton>
        <UButton size="sm" @click="arranging.stack('front')">To the front</UButton>
        <UButton size="sm" @click="arranging.stack('behind')">To the back</UButton>
      </div>
      <b class="sub">Library</b>
      <template v-if="boundTo">
        <p class="quiet small">Bound to a saved block of the library.</p>
        <div class="pairs">
          <UButton size="sm" data-test="keep-changes" @click="pieces.keepChanges(boundTo)">Save its changes for all</UButton>
          <UButton size="sm" @click="pieces.letGo(boundTo)">Detach it</UButton>
        </div>
      </template>
      <form v-else class="pairs" @submit.prevent="keepPiece">
        <UInput v-model="pieceName" class="piece" placeholder="Name, tag, tag" aria-label="Name of the block" maxlength="200" />
        <UButton type="submit" size="sm" :disabled="!pieceName.trim()">Save as a block</UButton>
      </form>
      <div class="pairs">
        <UButton v-if="several" size="sm" title="Move and size them as one" data-keys="G" @click="arranging.group">Group them</UButton>
        <UButton v-if="isGroup" size="sm" title="Let its elements stand alone" data-keys="Shift G" @click="arranging.ungroup">
          Ungroup
        </UButton>
      </div>
    </template>
    <p v-else class="quiet small">
      {{
        where.isForm
          ? 'On a form its place is fixed.'
          : first?.pinned
            ? 'It stands on the master.'
            : 'It is locked: unlock it in the list of elements to move it.'
      }}
    </p>
    <template v-if="!several && first">
      <b class="sub">In words, for those who do not see it</b>
      <WordsField
        :model-value="first.alt ?? ''"
        class="alt"
        v-bind="fieldLimits('elements', 'alt')"
        rows="2"
        aria-label="In words"
        :placeholder="first.kind === 'text' ? 'Its own words are read' : 'What can be seen'"
        @update:model-value="words => arranging.set('describe', { alt: words || undefined })"
      />
    </template>
  </section>
</template>

<style scoped>
.place {
  display: flex;
  flex-direction: column;
  gap: 7px;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 24px 1fr;
  gap: 6px 0;
}
.grid label:nth-of-type(odd) {
  grid-column: 1;
}
.grid label:nth-of-type(even) {
  grid-column: 3;
}
.lock {
  grid-area: 2 / 2;
  place-self: center;
  padding: 3px;
}
.grid label {
  display: flex;
  align-items: center;
  justify-content: space-between;
  color: var(--second);
  font-size: 13px;
  gap: 4px;
  white-space: nowrap;
}
.grid {
  --number-width: 70px;
}
/* One under the other where two have no room beside each other. */
@media (max-width: 1150px) {
  .grid {
    grid-template-columns: 1fr 24px;
  }
  .grid label:nth-of-type(n) {
    grid-column: 1;
  }
  .lock {
    grid-area: 3 / 2 / span 2;
  }
}
.six {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 4px;
}
.six [data-slot='base'] {
  justify-content: center;
  padding: 5px 0;
}
.pairs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.tools {
  justify-content: flex-start;
  gap: 4px;
}
.piece {
  width: 118px;
}
.start {
  align-self: flex-start;
}
.sub {
  font-size: 13px;
  color: var(--second);
  margin-top: 6px;
}
.small {
  font-size: 13px;
  margin: 0;
}
.alt {
  width: 100%;
  resize: vertical;
}
</style>
