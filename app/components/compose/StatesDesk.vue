<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'
import { themeSeen } from '#core/resolved'
import type { ChartState } from '~/stores/states'

/** The states of the chart in hand, in the order in which they are told, and the ways between them. */
const store = useDeck()
const states = useStates()
const strip = useTemplateRef('strip')
const naming = ref<string | null>(null)
const theme = computed(() => themeSeen(store.current, states.chart!.owner))
/** Drawn as on the slide, at the chart's own size. */
const room = computed(() => ({ width: states.chart!.box.width, height: states.chart!.box.height }))
const total = computed(() => states.list.reduce((sum, { seconds }) => sum + seconds, 0))
const playWords = computed(() =>
  states.at ? `Play the way here, ${secondsWords(states.current!.seconds)}` : `Play all ways, ${secondsWords(total.value)}`,
)
const numbered = (state: ChartState, index: number) => `State ${index + 1}, ${state.name}`
const comes = (state: ChartState) =>
  state.id === null ? 'as composed' : state.beat === null ? 'nothing leads to it' : `beat ${state.beat}, ${startOf(state)}`
function startOf({ id }: ChartState) {
  const cue = states.cueOf(id)
  return cue && store.current.beats[cue.beat]?.start === 'self' ? 'by itself' : 'on advance'
}
const menuOf = ({ id }: ChartState, index: number): DropdownMenuItem[] => [
  {
    label: 'Name it',
    icon: 'i-lucide-text-cursor-input',
    disabled: !id,
    onSelect: () =>
      afterMenu(() => {
        naming.value = id
      }),
  },
  { label: 'Tell it earlier', icon: 'i-lucide-arrow-left', disabled: !id || index < 2, onSelect: () => states.move(id!, -1) },
  {
    label: 'Tell it later',
    icon: 'i-lucide-arrow-right',
    disabled: !id || index === states.list.length - 1,
    onSelect: () => states.move(id!, 1),
  },
  { label: 'Remove it', icon: 'i-lucide-trash-2', disabled: !id, onSelect: () => states.remove(id!) },
]

/** The chosen one is always in sight. */
watch(
  () => states.chosen,
  async () => {
    await nextTick()
    strip.value?.querySelector('[aria-pressed=true]')?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  },
)
onKeys(event => {
  if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
  const acts: Readonly<Record<string, () => void>> = {
    '[': () => states.step(-1),
    ']': () => states.step(1),
    ...(store.canEdit ? { k: () => states.keep() } : {}),
    p: () => (states.playing === null ? states.play() : states.stop()),
  }
  const act = acts[event.key]
  if (!act) return
  event.preventDefault()
  act()
})
onBeforeUnmount(states.stop)
</script>

<template>
  <section class="states" aria-label="States of this chart">
    <header>
      <h3>States of this chart</h3>
      <span class="quiet order">in the order they are told</span>
      <UButton
        v-if="states.list.length > 1"
        size="sm"
        :icon="states.playing === null ? 'i-lucide-play' : 'i-lucide-square'"
        data-test="play-states"
        @click="states.playing === null ? states.play() : states.stop()"
      >
        {{ states.playing === null ? playWords : 'Stop' }}
      </UButton>
      <UButton v-if="store.canEdit" size="sm" :title="`Keep it (K)`" data-test="keep-state" @click="states.keep()">
        Keep what is shown as {{ states.list.length + 1 }}
      </UButton>
      <UButton
        v-if="states.list.length === 1"
        size="sm"
        variant="ghost"
        icon="i-lucide-x"
        aria-label="Close the states"
        @click="states.opened = null"
      />
    </header>
    <div ref="strip" class="strip" @keydown="walkGrid($event, '.state')">
      <template v-for="(state, index) in states.list" :key="state.id ?? 'composed'">
        <div v-if="index" class="way" :class="{ here: index === states.at }">
          <svg viewBox="0 0 26 70" aria-hidden="true"><path d="M0 0C13 22 13 22 26 0V70C13 48 13 48 0 70Z" /></svg>
          <span class="verb">{{ state.word }}</span>
          <span class="amount">{{ secondsWords(state.seconds) }}</span>
        </div>
        <div class="one">
          <UContextMenu :items="menuOf(state, index)" :disabled="!store.canEdit">
            <UButton
              variant="bare"
              class="state"
              :class="{ here: index === states.at }"
              :aria-label="numbered(state, index)"
              :aria-pressed="index === states.at"
              :style="{ background: theme.palette.ground }"
              @click="states.choose(state.id)"
            >
              <ChartDrawing v-if="states.table" :spec="state.spec" :table="states.table" v-bind="room" :theme="theme" :most="2000" />
            </UButton>
          </UContextMenu>
          <RenameField
            v-if="naming === state.id && state.id"
            :model-value="store.current.states[state.id]?.name"
            optional
            :placeholder="state.name"
            aria-label="Name of the state"
            @rename="name => states.rename(state.id!, name)"
            @done="naming = null"
          />
          <div v-else class="name">
            <span class="words" :title="state.name">
              <b>{{ index + 1 }}</b>
              {{ state.name }}
            </span>
            <UDropdownMenu v-if="store.canEdit && state.id" :items="menuOf(state, index)">
              <UButton size="xs" variant="ghost" icon="i-lucide-ellipsis" :aria-label="`What is done with state ${index + 1}`" />
            </UDropdownMenu>
          </div>
          <span class="quiet beat">{{ comes(state) }}</span>
        </div>
      </template>
      <p v-if="states.list.length === 1" class="quiet none">
        Change the chart and keep what it shows: it goes there by itself, mark by mark, in a beat of its own.
      </p>
    </div>
  </section>
</template>

<style scoped>
.states {
  border-top: 1px solid var(--line);
  background: color-mix(in srgb, var(--ground) 60%, var(--panel));
  padding: 8px 14px 6px;
  min-width: 0;
}
header {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-bottom: 8px;
}
h3 {
  margin: 0;
  font-size: 15px;
  white-space: nowrap;
}
.order {
  flex: 1;
  font-size: 13px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.strip {
  display: flex;
  overflow-x: auto;
  padding: 3px 3px 6px;
}
.one {
  flex: none;
  width: 126px;
}
.state {
  display: block;
  width: 126px;
  height: 72px;
  padding: 5px;
  border: 1px solid var(--line);
  border-radius: 6px;
  cursor: pointer;
}
.state.here {
  border-color: var(--act);
  box-shadow: 0 0 0 1.5px var(--act);
}
.name {
  display: flex;
  align-items: center;
  height: 24px;
}
.words {
  flex: 1;
  min-width: 0;
  font-size: 13px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.words b {
  font-weight: 500;
  color: var(--third);
}
.beat {
  display: block;
  font-size: 12px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.way {
  flex: none;
  width: 60px;
  text-align: center;
  font-size: 12px;
  color: var(--second);
}
.way svg {
  display: block;
  width: 26px;
  height: 70px;
  margin: 1px auto 4px;
  fill: color-mix(in srgb, var(--act) 28%, var(--panel));
}
.way > span {
  display: block;
  line-height: 20px;
}
.way.here {
  color: var(--act);
}
.way.here svg {
  fill: var(--act);
}
.none {
  align-self: center;
  max-width: 340px;
  margin: 0 18px 28px;
}
</style>
