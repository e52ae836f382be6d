<script setup lang="ts">
import { deckTheme, slidesOf, type Accent, type Amount, type Theme } from '#core/model'
import { bulletOf } from '#core/text'
import { setFields } from '#core/edits'
import type { TextSetting } from '#core/resolved'
import type { Color } from '#core/values'
import { titleOf } from '#core/layouts'
import type { TextEditor } from '~/composables/text-editor'

/** What can be done with the words that are selected. `outline`: its lines are the items of a diagram. */
const props = defineProps<{ editor: TextEditor; theme: Theme; setting?: TextSetting; outline?: boolean }>()
const emit = defineEmits<{ done: [] }>()
const store = useDeck()
const state = computed(() => props.editor.state.value)
const is = (mark: keyof typeof state.value.marks) => !!state.value.marks[mark]
const plain = [
  { name: 'bold', label: 'Bold', icon: 'i-lucide-bold' },
  { name: 'italic', label: 'Italic', icon: 'i-lucide-italic' },
  { name: 'underline', label: 'Underline', icon: 'i-lucide-underline' },
  { name: 'strike', label: 'Struck through', icon: 'i-lucide-strikethrough' },
] as const
const attr = (mark: 'color' | 'highlight' | 'size' | 'font' | 'link' | 'accent' | 'amount', name: string): unknown => {
  const found = state.value.marks[mark]
  return typeof found === 'object' ? found[name] : undefined
}
const families = computed(() => [
  ...new Set([...Object.values(props.theme.fonts), ...(deckTheme(store.current).faces?.map(face => face.family) ?? [])]),
])
const accents = computed(() => Object.entries(deckTheme(store.current).accents ?? {}))
const href = ref('')
const wrong = ref('')
const slides = computed(() =>
  slidesOf(store.current).map((slide, index) => ({ value: `#${slide.id}`, label: `${index + 1} ${titleOf(store.current, slide.id)}` })),
)
function link(address: string, close: () => void) {
  const words = address.trim()
  const known = words.startsWith('#')
    ? words
    : /^[\w.+-]+@[\w-]+\.[\w.]+$/.test(words)
      ? `mailto:${words}`
      : /^(https?:|mailto:)/i.test(words)
        ? words
        : words
          ? `https://${words}`
          : ''
  wrong.value = known && !known.startsWith('#') && !URL.canParse(known) ? 'This is no address. Write it as example.org/page.' : ''
  if (wrong.value) return
  props.editor.setMark('link', known ? { href: known } : null)
  close()
}
/** A new way to mark words that matter: in accent 2, bold; changed for the whole deck in Look, Text styles. */
function addAccent() {
  const known = deckTheme(store.current).accents ?? {}
  let count = 1
  while (known[`accent-${count}`]) count++
  const accent: Accent = { name: count === 1 ? 'Key words' : `Key words ${count}`, color: { role: 'accent1' }, weight: 700 }
  store.edit(
    `add ${accent.name.toLowerCase()}`,
    setFields(store.current, { table: 'theme', id: 'theme', fields: { accents: { ...known, [`accent-${count}`]: accent } } }),
  )
  props.editor.setMark('accent', { name: `accent-${count}` })
}
const accentMenu = computed(() =>
  [
    accents.value.map(([name, accent]) => ({
      label: accent.name,
      icon: attr('accent', 'name') === name ? 'i-lucide-check' : undefined,
      onSelect: () => props.editor.setMark('accent', attr('accent', 'name') === name ? null : { name }),
    })),
    [{ label: 'A new way to mark words', icon: 'i-lucide-plus', onSelect: addAccent }],
  ].filter(list => list.length),
)
const level = computed(() => state.value.paragraph.level ?? 0)
const ownBullet = computed(() => {
  const own = state.value.paragraph.bullet
  return typeof own === 'string' ? { symbol: own } : (own ?? undefined)
})
const bullet = computed(() => (props.setting ? { ...bulletOf(props.setting, Math.max(1, level.value)), ...ownBullet.value } : null))
const color = (mark: 'color' | 'highlight') => (attr(mark, 'color') ?? null) as Color | null
</script>

<template>
  <div
    class="tools"
    role="toolbar"
    aria-label="Text"
    @mousedown="
      event => {
        if (!(event.target as HTMLElement).closest('input, select')) event.preventDefault()
      }
    "
  >
    <UButton
      v-for="tool in plain"
      :key="tool.name"
      variant="ghost"
      size="sm"
      :active="is(tool.name)"
      :icon="tool.icon"
      :aria-label="tool.label"
      :aria-pressed="is(tool.name)"
      :title="tool.label"
      @click="editor.toggle(tool.name)"
    />
    <template v-if="!outline">
      <ColorField
        none
        icon="i-lucide-baseline"
        :model-value="color('color')"
        :theme="theme"
        label="Colour"
        @update:model-value="next => editor.setMark('color', next && { color: next })"
      />
      <ColorField
        none
        icon="i-lucide-highlighter"
        :model-value="color('highlight')"
        :theme="theme"
        label="Highlight"
        @update:model-value="next => editor.setMark('highlight', next && { color: next })"
      />
      <UDropdownMenu :items="accentMenu">
        <UButton
          variant="ghost"
          size="sm"
          :active="is('accent')"
          icon="i-lucide-sparkle"
          aria-label="Words that matter"
          title="Words that matter"
        />
      </UDropdownMenu>
      <UButton
        variant="ghost"
        size="sm"
        icon="i-lucide-a-arrow-down"
        aria-label="Smaller"
        title="Smaller"
        @click="editor.scale(1 / 1.15)"
      />
      <UButton variant="ghost" size="sm" icon="i-lucide-a-arrow-up" aria-label="Larger" title="Larger" @click="editor.scale(1.15)" />
      <ChoiceField
        class="font"
        :model-value="String(attr('font', 'family') ?? '')"
        :items="[{ value: '', label: 'Font of its style' }, ...asTheyAre(families)]"
        label="Font of the words"
        @update:model-value="next => editor.setMark('font', next ? { family: next } : null)"
      />
    </template>
    <UPopover>
      <UButton
        variant="ghost"
        size="sm"
        :active="is('link')"
        icon="i-lucide-link"
        aria-label="Link"
        title="Link"
        @click="href = String(attr('link', 'href') ?? '')"
      />
      <template #content="{ close }">
        <form class="link" @submit.prevent="link(href, close)">
          <label>
            To an address
            <UInput v-model="href" placeholder="example.org/page" />
          </label>
          <p v-if="wrong" class="wrong">{{ wrong }}</p>
          <label>
            or to a slide
            <ChoiceField
              :model-value="href.startsWith('#') ? href : ''"
              :items="[{ value: '', label: 'none' }, ...slides.map(slide => ({ value: slide.value, label: slide.label }))]"
              label="Slide"
              @update:model-value="next => (href = next)"
            />
          </label>
          <span class="pair">
            <UButton type="submit" color="primary" variant="solid" size="sm">Link</UButton>
            <UButton v-if="is('link')" size="sm" @click="link('', close)">No link</UButton>
          </span>
        </form>
      </template>
    </UPopover>
    <UPopover>
      <UButton
        variant="ghost"
        size="sm"
        :active="is('amount')"
        icon="i-lucide-sigma"
        aria-label="Number of a table"
        title="Number of a table"
      />
      <template #content="{ close }">
        <AmountForm
          :of="(attr('amount', 'of') as Amount | undefined) ?? null"
          @put="
            (words, of) => {
              editor.insertAmount(words, of)
              close()
            }
          "
          @free="
            () => {
              editor.freeAmount()
              close()
            }
          "
        />
      </template>
    </UPopover>
    <SignFinder label="Symbol or emoji" @choose="editor.insert">
      <UButton variant="ghost" size="sm" icon="i-lucide-omega" aria-label="Symbol or emoji" title="Symbol or emoji" />
    </SignFinder>
    <span class="gap" />
    <UButton
      v-if="!outline"
      variant="ghost"
      size="sm"
      :active="level > 0"
      icon="i-lucide-list"
      aria-label="List"
      :aria-pressed="level > 0"
      title="List"
      @click="editor.toggleList"
    />
    <UButton
      variant="ghost"
      size="sm"
      icon="i-lucide-indent-decrease"
      aria-label="Step out"
      title="Step out"
      data-keys="Shift Tab"
      :disabled="level < (outline ? 2 : 1)"
      @click="editor.step(-1)"
    />
    <UButton
      variant="ghost"
      size="sm"
      icon="i-lucide-indent-increase"
      aria-label="Step in"
      title="Step in"
      data-keys="Tab"
      @click="editor.step(1)"
    />
    <template v-if="outline">
      <IconFinder label="Icon of this item" @choose="icon => editor.setParagraph({ icon })">
        <UButton
          variant="ghost"
          size="sm"
          :active="!!state.paragraph.icon"
          icon="i-lucide-anchor"
          aria-label="Icon of this item"
          title="Icon of this item"
        />
      </IconFinder>
      <UButton
        v-if="state.paragraph.icon"
        variant="ghost"
        size="sm"
        icon="i-lucide-x"
        aria-label="No icon"
        title="No icon"
        @click="editor.setParagraph({ icon: null })"
      />
      <UButton
        variant="ghost"
        size="sm"
        :active="!!state.paragraph.highlighted"
        icon="i-lucide-sun"
        :aria-pressed="!!state.paragraph.highlighted"
        aria-label="Emphasise this item"
        title="Emphasise this item"
        @click="editor.setParagraph({ highlighted: state.paragraph.highlighted ? null : true })"
      />
    </template>
    <UPopover v-else-if="level > 0 && bullet">
      <UButton size="sm" title="The bullet of this line">This bullet</UButton>
      <template #content>
        <div class="own">
          <BulletField :bullet="bullet" :own="ownBullet" :theme="theme" label="This line" @change="editor.setBullet" />
          <div v-if="bullet.number" class="row">
            <span class="label">Counts from</span>
            <NumberField
              :model-value="state.paragraph.start ?? null"
              label="Counts from"
              :min="0"
              :max="100000"
              @update:model-value="start => editor.setParagraph({ start })"
            />
            <UButton v-if="state.paragraph.start != null" size="sm" @click="editor.setParagraph({ start: null })">Go on</UButton>
          </div>
        </div>
      </template>
    </UPopover>
    <UButton v-if="!outline" size="sm" class="done" @click="emit('done')">Done</UButton>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  align-items: center;
}
.font {
  max-width: 128px;
  padding: 3px 4px;
  font-size: 13px;
}
.gap {
  width: 6px;
}
.link,
.own {
  padding: 10px;
  width: 270px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.link label {
  display: flex;
  flex-direction: column;
  gap: 3px;
  font-size: 13px;
  color: var(--second);
}
.pair {
  display: flex;
  gap: 6px;
}
.wrong {
  color: var(--wrong);
  font-size: 12.5px;
  margin: 0;
}
.done {
  margin-left: 4px;
}
</style>
