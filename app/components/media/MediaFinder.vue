<script setup lang="ts">
import { useInfiniteScroll } from '@vueuse/core'
import type { MediaEntry } from '~/composables/media-shelf'

/** Chooses a picture, film or sound of Media, or brings a file. Those used last come first. */
const props = withDefaults(defineProps<{ kind?: 'picture' | 'film' | 'sound' }>(), { kind: 'picture' })
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ choose: [entry: MediaEntry]; file: [] }>()
const { filter, items, total, folders, load, more, canLoadMore } = useMediaShelf(props.kind)
const list = ref<HTMLElement>()
watch(
  open,
  shown => {
    if (shown) void load()
  },
  { immediate: true },
)
useInfiniteScroll(list, more, { distance: 200, canLoadMore })
</script>

<template>
  <UModal
    v-model:open="open"
    :title="`A ${kind}`"
    description="From Media, those used last first, or a file of your own"
    :ui="{ content: 'max-w-3xl' }"
  >
    <template #body>
      <div class="picker">
        <div class="line">
          <UInput v-model="filter.find" v-cursor class="wide" placeholder="A word of its name, tag or folder" aria-label="Find in Media" />
          <ChoiceField
            v-model="filter.folder"
            :items="[{ value: '', label: 'all folders' }, ...folders.map(folder => ({ value: folder.name, label: folder.name }))]"
            label="Folder"
          />
          <UButton
            color="primary"
            variant="solid"
            data-test="own-picture"
            @click="
              () => {
                open = false
                emit('file')
              }
            "
          >
            A file of your own
          </UButton>
        </div>
        <div ref="list" class="tiles" @keydown="walkGrid($event, '.tile')">
          <MediaTile
            v-for="entry in items"
            :key="entry.hash"
            :entry="entry"
            @choose="
              () => {
                open = false
                emit('choose', entry)
              }
            "
          />
        </div>
        <p v-if="!items.length" class="quiet">
          {{ filter.find || filter.folder ? 'Nothing in Media is called so.' : `Media holds no ${kind} yet. Bring the first one.` }}
        </p>
        <p v-else class="quiet small">{{ total === 1 ? `One ${kind}` : `${total} ${kind}s` }}</p>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.picker {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.line {
  display: flex;
  gap: 8px;
}
.wide {
  flex: 1;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 4px;
  max-height: 52vh;
  overflow-y: auto;
}
.small {
  font-size: 12.5px;
  margin: 0;
}
</style>
