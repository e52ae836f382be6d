<script setup lang="ts">
import { useInfiniteScroll, watchDebounced } from '@vueuse/core'
import type { Piece } from '#core/edits'

/** The pieces of the team's shelf, drawn in the look of this deck; put bound or free. */
const store = useDeck()
const { put } = usePieces()
const opened = ref(false)
const asked = ref('')
const bound = ref(true)
const pieces = shallowRef<Piece[]>([])
const total = ref(0)
const list = ref<HTMLElement>()
async function load(from = 0) {
  const found = await asking(() => $fetch<{ total: number; pieces: Piece[] }>('/api/pieces', { query: { find: asked.value, from } }))
  if (!found) return
  pieces.value = from ? [...pieces.value, ...found.pieces] : found.pieces
  if (!from) total.value = found.total
}
watch(opened, open => {
  if (open) void load()
})
watchDebounced(asked, () => void load(), { debounce: 180 })
useInfiniteScroll(list, () => load(pieces.value.length), { distance: 150, canLoadMore: () => pieces.value.length < total.value })
async function drop(piece: Piece) {
  if (await asking(() => $fetch(`/api/pieces/${piece.id}`, { method: 'DELETE' }))) await load()
}
</script>

<template>
  <UPopover v-model:open="opened">
    <UButton size="sm">Saved block</UButton>
    <template #content="{ close }">
      <div class="finder">
        <div class="line">
          <UInput v-model="asked" v-cursor placeholder="A name or tag" aria-label="Find a saved block" />
          <ViewSwitch
            label="How it is put"
            :views="[
              { value: 'bound', label: 'Bound' },
              { value: 'free', label: 'Free' },
            ]"
            :value="bound ? 'bound' : 'free'"
            @show="next => (bound = next === 'bound')"
          />
        </div>
        <p class="quiet small">
          {{
            bound ? 'Bound: when the saved block is changed, it changes here too.' : 'Free: elements of their own, which follow nothing.'
          }}
        </p>
        <div ref="list" class="pieces">
          <div v-for="piece in pieces" :key="piece.id" class="piece">
            <UButton
              variant="bare"
              class="show"
              :aria-label="`Put ${piece.name}`"
              :data-piece="piece.name"
              @click="
                () => {
                  put(piece, bound)
                  close()
                }
              "
            >
              <SlideThumb :deck="pieceDeck(store.current, piece)" slide="piece" :width="150" :label="piece.name" />
              <span class="name">{{ piece.name }}</span>
            </UButton>
            <UButton variant="bare" class="drop" :aria-label="`Remove ${piece.name} from the library`" @click="drop(piece)">
              <UIcon name="i-lucide-x" />
            </UButton>
          </div>
        </div>
        <p v-if="!pieces.length" class="quiet small">
          {{
            asked.trim() ? 'No saved block is called so.' : 'The library is empty. Select elements, then save them as a block under Place.'
          }}
        </p>
      </div>
    </template>
  </UPopover>
</template>

<style scoped>
.finder {
  width: 346px;
  padding: 10px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.line {
  display: flex;
  gap: 8px;
}
.line [data-slot='root'] {
  flex: 1;
  width: 0;
}
.pieces {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  max-height: 320px;
  overflow-y: auto;
}
.piece {
  position: relative;
}
.show {
  border: 1px solid var(--line);
  background: none;
  color: inherit;
  font: inherit;
  border-radius: 8px;
  padding: 4px;
  cursor: pointer;
  width: 100%;
  text-align: left;
}
.show:hover {
  border-color: var(--act);
}
.name {
  display: block;
  font-size: 12.5px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  padding: 3px 2px 0;
}
.drop {
  position: absolute;
  right: 6px;
  top: 6px;
  border: 0;
  border-radius: 50%;
  background: var(--panel);
  color: var(--second);
  width: 22px;
  height: 22px;
  display: none;
  place-items: center;
  cursor: pointer;
}
.piece:hover .drop,
.piece:focus-within .drop {
  display: grid;
}
.small {
  font-size: 12.5px;
  margin: 0;
}
</style>
