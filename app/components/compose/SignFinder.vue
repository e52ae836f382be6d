<script setup lang="ts">
import { useInfiniteScroll } from '@vueuse/core'
import { findSigns, symbols, type Sign } from '#core/signs'

/** Finds a symbol or emoji by word. Everything it knows ships with the application. */
const props = defineProps<{ label: string }>()
const emit = defineEmits<{ choose: [sign: string] }>()
const asked = ref('')
const opened = ref(false)
const kind = ref<'symbols' | 'emoji'>('symbols')
const emoji = shallowRef<readonly Sign[]>([])
const shown = ref(160)
const list = ref<HTMLElement>()
/** Emoji are many: they are fetched when they are first looked for. */
async function fetchEmoji() {
  if (emoji.value.length) return
  const all = await needed(() => import('emojibase-data/en/compact.json'))
  if (!all) return
  // As the build trims them: those alone that have a place in the order.
  emoji.value = (all.default as { unicode: string; label: string; tags?: string[]; order: number }[])
    .sort((a, b) => a.order - b.order)
    .map(entry => ({ sign: entry.unicode, label: entry.label, keywords: entry.tags?.join(' '), group: 'emoji' }))
}
watch([kind, opened], () => {
  if (kind.value === 'emoji' && opened.value) void fetchEmoji()
})
watch([asked, kind], () => {
  shown.value = 160
  list.value?.scrollTo({ top: 0 })
})
const found = computed(() => findSigns(kind.value === 'emoji' ? emoji.value : symbols, asked.value))
useInfiniteScroll(
  list,
  () => {
    shown.value += 160
  },
  { distance: 120, canLoadMore: () => shown.value < found.value.length },
)
</script>

<template>
  <UPopover v-model:open="opened">
    <slot>
      <UButton size="sm" icon="i-lucide-omega" :aria-label="props.label" title="Symbols and emoji" />
    </slot>
    <template #content="{ close }">
      <div class="finder">
        <div class="top">
          <UInput v-model="asked" v-cursor placeholder="What it is called" aria-label="Find a symbol or emoji" />
          <ViewSwitch
            label="What is looked for"
            :views="[
              { value: 'symbols', label: 'Symbols' },
              { value: 'emoji', label: 'Emoji' },
            ]"
            :value="kind"
            @show="next => (kind = next as 'emoji')"
          />
        </div>
        <div ref="list" class="signs">
          <UButton
            v-for="(sign, index) in found.slice(0, shown)"
            :key="`${sign.sign}${index}`"
            variant="bare"
            class="sign"
            :title="sign.label"
            :aria-label="sign.label"
            @click="
              () => {
                emit('choose', sign.sign)
                close()
              }
            "
          >
            {{ sign.sign }}
          </UButton>
        </div>
        <p v-if="!found.length" class="quiet small">
          {{ kind === 'emoji' && !emoji.length ? 'Fetching the emoji' : 'None is called so. Try another word, or look among the others.' }}
        </p>
      </div>
    </template>
  </UPopover>
</template>

<style scoped>
.finder {
  width: 300px;
  padding: 10px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.top {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.signs {
  display: grid;
  grid-template-columns: repeat(8, 1fr);
  gap: 2px;
  max-height: 250px;
  overflow-y: auto;
  align-content: start;
}
.sign {
  border: 0;
  background: none;
  color: inherit;
  border-radius: 6px;
  aspect-ratio: 1;
  font-size: 19px;
  cursor: pointer;
  padding: 0;
}
.sign:hover,
.sign:focus-visible {
  background: var(--act-wash);
}
.small {
  font-size: 12.5px;
  margin: 0;
}
</style>
