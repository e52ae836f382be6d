<script lang="ts">
import { ref as shared } from 'vue'
</script>

<script setup lang="ts">
import { deckTheme, type ElementKind } from '#core/model'
import { themeSeen } from '#core/resolved'

/** The tab that was looked at last, kept from part to part. */
const wanted = shared('own')

/** All that can be set on the selected parts; what is set goes to every one of them. */
const emit = defineEmits<{ table: []; picture: []; clip: [kind: 'film' | 'sound']; edit: [id: string]; file: [file: File] }>()
const store = useDeck()
const where = useWhere()
const stage = useStage()
const arranging = useArranging()

const chosen = computed(() => stage.chosen)
const kinds = computed(() => new Set(chosen.value.map(element => element.kind)))
const first = computed(() => chosen.value[0])
const kind = computed<ElementKind | null>(() => (kinds.value.size === 1 ? first.value!.kind : null))
const theme = computed(() => (where.stageId ? themeSeen(store.current, where.stageId) : deckTheme(store.current)))
const ownTabs: Partial<Record<ElementKind, readonly { value: string; label: string }[]>> = {
  text: [
    { value: 'own', label: 'Words' },
    { value: 'list', label: 'List' },
    { value: 'look', label: 'Look' },
  ],
  picture: [
    { value: 'own', label: 'Picture' },
    { value: 'look', label: 'Look' },
  ],
  shape: [{ value: 'own', label: 'Shape' }],
  icon: [{ value: 'own', label: 'Icon' }],
  chart: [{ value: 'own', label: 'Data' }],
  table: [{ value: 'own', label: 'Table' }],
  figure: [{ value: 'own', label: 'Figure' }],
  film: [{ value: 'own', label: 'Film' }],
  sound: [{ value: 'own', label: 'Sound' }],
  diagram: [
    { value: 'own', label: 'Outline' },
    { value: 'look', label: 'Look' },
  ],
}
const tabs = computed(() => [
  ...(kind.value ? (ownTabs[kind.value] ?? []) : []),
  { value: 'place', label: 'Place' },
  ...(chosen.value.length === 1 && !where.lookOwner ? [{ value: 'motion', label: 'Motion' }] : []),
])
const tab = computed(() => tabs.value.find(candidate => candidate.value === wanted.value)?.value ?? tabs.value[0]!.value)
const onLook = computed(() => !!first.value && !store.current.slides[first.value.owner])
const title = computed(() =>
  chosen.value.length > 1 ? `${chosen.value.length} ${kind.value ? `${kind.value}s` : 'parts'}` : (first.value?.name ?? ''),
)
</script>

<template>
  <div v-if="first" class="settings">
    <header>
      <h3>{{ title }}</h3>
      <span v-if="store.canEdit" class="looks">
        <UButton
          variant="ghost"
          size="sm"
          icon="i-lucide-pipette"
          title="Copy its look"
          aria-label="Copy its look"
          data-test="pick-look"
          @click="arranging.pickLook"
        />
        <UButton
          v-if="stage.picked"
          variant="ghost"
          size="sm"
          icon="i-lucide-paint-roller"
          title="Put the copied look on what is selected"
          aria-label="Put the copied look on it"
          data-test="put-look"
          @click="arranging.putLook"
        />
      </span>
    </header>
    <UTabs
      :model-value="tab"
      :items="tabs"
      :content="false"
      size="xs"
      color="neutral"
      aria-label="Settings"
      @update:model-value="next => (wanted = String(next))"
    />
    <PlaceSettings v-if="tab === 'place'" />
    <MotionSettings v-else-if="tab === 'motion'" :element="first" />
    <template v-else-if="kind === 'text' && first.kind === 'text'">
      <TextListSettings v-if="tab === 'list'" :element="first" :theme="theme" />
      <TextLookSettings v-else-if="tab === 'look'" :element="first" :theme="theme" />
      <TextSettings v-else :element="first" :theme="theme" @edit="emit('edit', first!.id)" />
    </template>
    <template v-else-if="first.kind === 'picture'">
      <PictureLookSettings v-if="tab === 'look'" :element="first" :theme="theme" />
      <PictureSettings v-else :element="first" :theme="theme" @picture="emit('picture')" />
    </template>
    <ClipSettings
      v-else-if="first.kind === 'film' || first.kind === 'sound'"
      :element="first"
      @choose="emit('clip', first!.kind as 'film' | 'sound')"
    />
    <ShapeSettings v-else-if="first.kind === 'shape'" :element="first" :theme="theme" />
    <IconSettings v-else-if="first.kind === 'icon'" :element="first" :theme="theme" />
    <FigureSettings v-else-if="first.kind === 'figure'" :element="first" :theme="theme" />
    <TableSettings
      v-else-if="first.kind === 'table'"
      :element="first"
      :theme="theme"
      @table="emit('table')"
      @edit="emit('edit', first!.id)"
    />
    <template v-else-if="first.kind === 'diagram'">
      <DiagramSettings v-if="tab === 'look' || chosen.length > 1" :element="first" :theme="theme" />
      <DiagramOutline v-else :key="first.id" :element="first.id" :name="first.name" :theme="theme" />
    </template>
    <section v-else-if="first.kind === 'chart' && chosen.length === 1">
      <ChartSettings :element="first" @choose="emit('table')" @picture="file => emit('file', file)" />
    </section>
    <section v-if="onLook && chosen.length === 1 && tab === 'own' && (first.placeholder || first.kind === 'text')" class="asks">
      <div v-if="first.placeholder" class="row">
        <span class="label">Fills the place</span>
        <WordsField
          :model-value="first.placeholder"
          aria-label="Name of the place"
          maxlength="60"
          @update:model-value="words => /^[a-z][a-z0-9-]*$/.test(words) && arranging.set('name the place of', { placeholder: words })"
        />
      </div>
      <label class="prompt">
        What it asks for while it is empty
        <WordsField
          :model-value="'prompt' in first ? (first.prompt ?? '') : ''"
          maxlength="200"
          @update:model-value="words => arranging.set('change the prompt of', { prompt: words || undefined })"
        />
      </label>
    </section>
  </div>
  <div v-else-if="where.lookOwner" class="settings">
    <h3>{{ store.current.layouts[where.lookOwner]?.name ?? store.current.masters[where.lookOwner]?.name }}</h3>
    <p class="quiet">Press an element to place it exactly, change its style or what it asks for.</p>
  </div>
  <div v-else class="settings">
    <h3>This slide</h3>
    <SlideSettings />
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.settings :deep(section) {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: flex-start;
}
h3 {
  font-size: 17px;
  overflow-wrap: anywhere;
}
.looks {
  display: flex;
  flex: none;
}
.asks {
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.prompt {
  display: flex;
  flex-direction: column;
  gap: 4px;
  color: var(--second);
  font-size: 13px;
}
</style>
