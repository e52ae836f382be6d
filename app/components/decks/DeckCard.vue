<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'
import { NuxtLink } from '#components'
import { fieldLimits, slidesOf } from '#core/model'

/** A deck in the list: its first slide, its name, how long and whose it is, and what can be done with it. */
const props = defineProps<{ deck: DeckEntry; menu: DropdownMenuItem[][]; canEdit: boolean }>()
const emit = defineEmits<{ rename: [title: string]; remove: []; duplicate: [] }>()
const naming = defineModel<boolean>('naming', { default: false })
const cover = computed(() => slidesOf(props.deck.cover)[0]?.id)
const size = computed(() => props.deck.cover.info.info?.size ?? { width: 16, height: 9 })
/** As wide as the column, or as high as all others. */
const width = computed(() => Math.min(230, Math.round((131 * size.value.width) / size.value.height)))
const changed = computed(() =>
  new Date(props.deck.changed_at).toLocaleString(undefined, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }),
)
/** Keys on the card itself. */
function key(event: KeyboardEvent) {
  if (!props.canEdit || props.deck.removed_at || naming.value) return
  const does =
    event.key === 'F2'
      ? () => (naming.value = true)
      : event.key === 'Delete'
        ? () => emit('remove')
        : (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'd'
          ? () => emit('duplicate')
          : null
  if (!does) return
  event.preventDefault()
  does()
}
const place = useTemplateRef('place')
const drag = (event: DragEvent) => event.dataTransfer?.setData('application/x-hailbank-deck', props.deck.id)
defineExpose({ focus: () => place.value?.querySelector<HTMLElement>('.open')?.focus() })
</script>

<template>
  <article ref="place" class="deck" :draggable="canEdit && !deck.removed_at" :aria-label="deck.title" @dragstart="drag" @keydown="key">
    <component
      :is="deck.removed_at ? 'div' : NuxtLink"
      :to="deck.removed_at ? undefined : `/decks/${deck.id}`"
      class="open"
      :aria-label="deck.removed_at ? undefined : `Open ${deck.title}`"
      draggable="false"
    >
      <NearThumb
        v-if="cover"
        :deck="deck.cover"
        :slide="cover"
        :width="width"
        :ratio="size.height / size.width"
        :label="`First slide of ${deck.title}`"
      />
      <span v-else class="quiet">No slides yet</span>
    </component>
    <DeckStrip v-if="deck.seconds" class="lasts" :seconds="deck.seconds" :purpose="deck.purpose" />
    <div class="line">
      <RenameField
        v-if="naming"
        :model-value="deck.title"
        class="name"
        v-bind="fieldLimits('info', 'title')"
        :aria-label="`Name of ${deck.title}`"
        @rename="title => emit('rename', title)"
        @done="naming = false"
      />
      <b v-else class="name" :title="deck.title">{{ deck.title }}</b>
      <UDropdownMenu v-if="menu.length" :items="menu" :content="{ align: 'end' }">
        <UButton variant="ghost" size="sm" icon="i-lucide-ellipsis" :aria-label="`What to do with ${deck.title}`" />
      </UDropdownMenu>
    </div>
    <p class="quiet facts">
      <span>
        {{ purposeWords[deck.purpose] }}
        <template v-if="deck.seconds">{{ clockWords(lengthOf(deck.seconds)) }}</template>
        · {{ deck.slides }} {{ deck.slides === 1 ? 'slide' : 'slides' }}
      </span>
      <span :title="deck.owner ? `Made by ${deck.owner.name}` : 'Whoever made it is gone'">
        {{ deck.changer ?? deck.owner?.name ?? 'nobody’s' }}, {{ changed }}
      </span>
    </p>
  </article>
</template>

<style scoped>
.deck {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.open {
  display: grid;
  place-items: center;
  height: 133px;
  border: 1px solid var(--line);
  border-radius: 8px;
  overflow: hidden;
  background: var(--well);
}
a.open:hover {
  border-color: var(--act);
}
.lasts {
  margin-top: 6px;
}
.line {
  display: flex;
  align-items: center;
  gap: 6px;
  padding-top: 2px;
  min-height: 34px;
}
.name {
  flex: 1;
  min-width: 0;
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.facts {
  margin: 0;
  font-size: 13px;
  display: flex;
  flex-direction: column;
}
.facts span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
