<script setup lang="ts">
import { UButton } from '#components'
import { findText, replaceText } from '#core/edits'
import { plainText, slidesOf, writtenIn } from '#core/model'
import { groupsAround } from '#core/resolved'
import type { Id } from '#core/values'
import { titleOf } from '#core/layouts'

/** Finds what can be asked for: commands, settings, slides, elements and words; and puts other words in their place. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ commands: readonly Command[] }>()
const store = useDeck()
const where = useWhere()
const selected = useSelected()
const stage = useStage()
const route = useRoute()
const router = useRouter()
const words = ref('')
const by = ref('')
const exactCase = ref(false)
const wholeWords = ref(false)
const replacing = ref(false)

const places = computed(() => new Map(slidesOf(store.current).map((slide, index) => [slide.id, index + 1])))
const search = computed(() => ({ words: words.value, exactCase: exactCase.value, wholeWords: wholeWords.value }))
const matches = computed(() => (open.value && words.value ? findText(store.current, search.value) : []))
const count = computed(() => matches.value.reduce((sum, match) => sum + match.count, 0))
/** Parts by their names and kinds, and slides by their numbers and titles. */
const parts = computed(() => {
  const asked = words.value.trim().toLowerCase()
  if (!open.value || !asked || replacing.value) return []
  const found = new Set(matches.value.map(match => match.element))
  return Object.values(store.current.elements)
    .filter(
      element =>
        places.value.has(element.owner) && !found.has(element.id) && (element.name.toLowerCase().includes(asked) || element.kind === asked),
    )
    .sort((a, b) => places.value.get(a.owner)! - places.value.get(b.owner)!)
})
const shownSlides = computed(() => {
  const asked = words.value.trim().toLowerCase()
  return !asked || replacing.value
    ? []
    : slidesOf(store.current)
        .map((slide, index) => ({ id: slide.id, number: index + 1, title: titleOf(store.current, slide.id) }))
        .filter(slide => String(slide.number) === asked || slide.title.toLowerCase().includes(asked))
})
const shown = ref(60)
/** The row that Enter takes. */
const at = ref(0)
const list = useTemplateRef('list')
const combobox = computed(() => ({
  role: 'combobox',
  'aria-expanded': rows.value.length > 0,
  'aria-controls': 'found-rows',
  'aria-activedescendant': rows.value[at.value] ? `found-${at.value}` : undefined,
}))
watch([words, replacing], () => {
  shown.value = 60
  at.value = 0
})
watch(at, index => void nextTick(() => list.value?.children[index]?.scrollIntoView({ block: 'nearest' })))
interface Row {
  key: string
  where: string
  text: string
  kind: string
  icon?: string
  go: () => void
}
const rows = computed<Row[]>(() => [
  ...(replacing.value ? [] : findCommands(props.commands, words.value)).map(command => ({
    key: `c${command.label}`,
    where: command.keys ?? '',
    text: command.label,
    kind: '',
    icon: command.icon,
    go: () => {
      open.value = false
      afterMenu(command.run)
    },
  })),
  ...shownSlides.value.map(slide => ({
    key: `s${slide.id}`,
    where: `slide ${slide.number}`,
    text: slide.title || 'Without a title',
    kind: 'slide',
    go: () => go(slide.id, null),
  })),
  ...matches.value.map(match => ({
    key: match.element,
    where: match.slide ? `slide ${places.value.get(match.slide)}` : 'layout or master',
    text: around(match.text),
    kind: `${store.current.elements[match.element]!.name}${match.count > 1 ? `, ${match.count} times` : ''}`,
    go: () => go(store.current.elements[match.element]!.owner, match.element),
  })),
  ...parts.value.map(element => ({
    key: element.id,
    where: `slide ${places.value.get(element.owner)}`,
    text: element.name,
    kind: element.kind,
    go: () => go(element.owner, element.id),
  })),
])
/** The words about the first match. */
function around(text: string): string {
  const at = text.toLowerCase().indexOf(words.value.toLowerCase())
  const line = text.replace(/\n/g, ' · ')
  return at > 40 ? `… ${line.slice(at - 30, at + 70)}` : line.slice(0, 110)
}
function go(owner: Id, element: Id | null) {
  open.value = false
  void router.replace({ query: { ...route.query, phase: 'compose', look: undefined } })
  if (store.current.slides[owner]) {
    where.lookOwner = null
    where.goToSlide(owner)
  } else where.lookOwner = owner
  void nextTick(() => {
    if (!element) return
    stage.opened = groupsAround(store.current, element).at(-1) ?? null
    selected.select(element)
  })
}
function replaceAll() {
  const times = count.value
  store.edit(`replace “${words.value}” by “${by.value}”`, replaceText(store.current, { ...search.value, by: by.value }).changes)
  notify(`Replaced in ${times === 1 ? 'one place' : `${times} places`}. Undo takes it back.`)
}
function replaceOne(id: Id) {
  const element = store.current.elements[id]
  const text = element && writtenIn(element)
  const words = text ? plainText(text).slice(0, 30) : (element?.name ?? '')
  store.edit(`replace in ${words}`, replaceText(store.current, { ...search.value, by: by.value, elements: [id] }).changes)
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Find"
    description="What can be done, settings, slides, elements and words"
    :ui="{ content: 'max-w-xl' }"
  >
    <template #body>
      <div class="find">
        <div class="line">
          <UInput
            v-model="words"
            v-cursor
            class="wide"
            placeholder="What you look for: a command, a setting, a slide’s number, words"
            aria-label="Find"
            v-bind="replacing ? {} : combobox"
            @keydown.enter="rows[at]?.go()"
            @keydown.down.prevent="at = Math.min(at + 1, Math.min(rows.length, shown) - 1)"
            @keydown.up.prevent="at = Math.max(0, at - 1)"
          />
          <UButton size="sm" :active="replacing" :disabled="!store.canEdit" @click="replacing = !replacing">Replace</UButton>
        </div>
        <div v-if="replacing" class="line">
          <UInput v-model="by" class="wide" placeholder="with" aria-label="Replace with" />
          <UButton color="primary" variant="solid" size="sm" :disabled="!count" @click="replaceAll">
            {{ count ? `Replace all ${count}` : 'Replace all' }}
          </UButton>
        </div>
        <div class="line checks">
          <label>
            <UCheckbox v-model="exactCase" />
            capitals as written
          </label>
          <label>
            <UCheckbox v-model="wholeWords" />
            whole words only
          </label>
          <span class="quiet" role="status">
            {{
              count || (words && replacing)
                ? `${count === 1 ? 'once' : `${count} times`} in ${matches.length === 1 ? 'one text' : `${matches.length} texts`}`
                : ''
            }}
          </span>
        </div>
        <div class="rows">
          <ul v-if="rows.length" id="found-rows" ref="list" :role="replacing ? undefined : 'listbox'" aria-label="Found">
            <li
              v-for="(row, index) in rows.slice(0, shown)"
              :id="`found-${index}`"
              :key="row.key"
              :class="{ at: index === at }"
              v-bind="replacing ? {} : { role: 'option', 'aria-selected': index === at, onClick: row.go }"
            >
              <component :is="replacing ? UButton : 'span'" v-bind="replacing ? { variant: 'bare', onClick: row.go } : {}" class="found">
                <span class="text">
                  <UIcon v-if="row.icon" :name="row.icon" class="icon" />
                  {{ row.text }}
                </span>
                <span class="quiet kind">{{ row.kind }}</span>
                <span class="amount quiet">{{ row.where }}</span>
              </component>
              <UButton v-if="replacing && matches.some(match => match.element === row.key)" size="sm" @click="replaceOne(row.key)">
                Replace here
              </UButton>
            </li>
          </ul>
          <p v-else-if="words" class="quiet">Nothing here is called so or says so.</p>
        </div>
        <UButton v-if="rows.length > shown" size="sm" @click="shown += 120">{{ rows.length - shown }} more</UButton>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.find {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.line {
  display: flex;
  gap: 8px;
  align-items: center;
}
.wide {
  flex: 1;
}
.checks {
  font-size: 13px;
  gap: 16px;
}
.checks label {
  display: flex;
  gap: 5px;
  align-items: center;
}
.checks .quiet {
  margin-left: auto;
}
.rows {
  height: 46vh;
}
.rows ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 100%;
  overflow-y: auto;
}
.rows li {
  display: flex;
  align-items: center;
  gap: 6px;
  border-top: 1px solid var(--line);
}
.found {
  flex: 1;
  min-width: 0;
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 12px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  padding: 7px 6px;
  cursor: pointer;
}
.at .found {
  background: var(--act-wash);
}
.icon {
  margin-right: 8px;
  color: var(--second);
  vertical-align: -2px;
}
.found:hover {
  background: var(--act-wash);
}
.text {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.kind {
  font-size: 12.5px;
  max-width: 140px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
