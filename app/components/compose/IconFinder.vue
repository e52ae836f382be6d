<script setup lang="ts">
import { useInfiniteScroll, watchDebounced } from '@vueuse/core'
import type { DrawnIcon } from '#core/model'

/** Finds an icon by word or meaning, of those that ship and those of one's own. */
const props = defineProps<{ label: string; words?: string }>()
const emit = defineEmits<{ choose: [icon: DrawnIcon] }>()
const opened = ref(false)
const asked = ref('')
const icons = shallowRef<DrawnIcon[]>([])
const total = ref(0)
const list = ref<HTMLElement>()
const picker = useTemplateRef('picker')
let turn = 0

async function load(from: number) {
  const mine = ++turn
  const found = await asking(() => $fetch('/api/icons', { query: { find: asked.value, from, count: 96 } }))
  if (!found || mine !== turn) return
  icons.value = from ? [...icons.value, ...found.icons] : found.icons
  total.value = found.total
}
watch(opened, open => {
  if (open && !icons.value.length) void load(0)
})
watchDebounced(
  asked,
  () => {
    list.value?.scrollTo({ top: 0 })
    void load(0)
  },
  { debounce: 160 },
)
useInfiniteScroll(list, () => load(icons.value.length), { distance: 200, canLoadMore: () => icons.value.length < total.value })
function choose(icon: DrawnIcon, close: () => void) {
  emit('choose', icon)
  close()
}
async function takeOwn(file: File, close: () => void) {
  const icon = await asking(() =>
    $fetch<DrawnIcon>('/api/icons', {
      method: 'POST',
      query: { name: file.name },
      body: file,
      headers: { 'content-type': 'application/octet-stream' },
    }),
  )
  if (icon) choose(icon, close)
}
</script>

<template>
  <FinderBox v-model:asked="asked" v-model:open="opened" label="Find an icon" hint="What it shows or means" :width="300">
    <slot>
      <UButton size="sm" icon="i-lucide-anchor" :aria-label="props.label" :title="props.label">{{ props.words }}</UButton>
    </slot>
    <template #found="{ close }">
      <p class="quiet small" role="status">
        {{ asked.trim() ? `${numberWords(total)} found` : `${numberWords(total)} to choose from` }}
      </p>
      <div ref="list" class="icons">
        <UButton
          v-for="(icon, index) in icons"
          :key="`${icon.name}${index}`"
          variant="bare"
          class="icon"
          :title="icon.name"
          :aria-label="icon.name"
          @click="choose(icon, close)"
        >
          <IconDrawing :icon="icon" />
        </UButton>
      </div>
      <p v-if="!total && asked.trim()" class="quiet small">None is called so. Try another word for it.</p>
      <UButton size="sm" @click="picker?.open()">An SVG of your own</UButton>
      <FilePicker ref="picker" accept=".svg,image/svg+xml" data-test="own-icon" @file="file => takeOwn(file, close)" />
    </template>
  </FinderBox>
</template>

<style scoped>
.icons {
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  gap: 2px;
  max-height: 280px;
  overflow-y: auto;
  align-content: start;
}
.icon {
  border: 0;
  background: none;
  color: inherit;
  border-radius: 6px;
  aspect-ratio: 1;
  display: grid;
  place-items: center;
  font-size: 22px;
  cursor: pointer;
}
.icon:hover,
.icon:focus-visible {
  background: var(--act-wash);
  color: var(--act);
}
.small {
  font-size: 12.5px;
  margin: 0;
}
</style>
