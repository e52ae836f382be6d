<script setup lang="ts">
import { deckTheme, type Bullet, type TextStyle } from '#core/model'
import { setFields } from '#core/edits'
import { departuresOf, removeStyle, returnToStyle, usesOfStyle } from '#core/themes'

/** Named text styles, bound: what is changed here changes wherever the style is used; what departs from it is counted. */
const store = useDeck()
const theme = computed(() => deckTheme(store.current))
const styles = computed(() => theme.value.textStyles)
const chosen = ref('body')
const style = computed(() => styles.value[chosen.value] ?? styles.value.body!)
const shipped = new Set(['title', 'subtitle', 'heading', 'lead', 'body', 'small', 'number', 'quote'])
const put = (next: Record<string, TextStyle>, label: string) =>
  store.edit(label, setFields(store.current, { table: 'theme', id: 'theme', fields: { textStyles: next } }))
const set = (fields: Partial<TextStyle>) =>
  put({ ...styles.value, [chosen.value]: clean({ ...style.value, ...fields }) }, `change the style ${style.value.name}`)
function clean(next: TextStyle): TextStyle {
  const made = { ...next, leastSize: Math.min(next.leastSize, next.size) }
  for (const key of ['family', 'case', 'italic', 'deeperBullets'] as const)
    if (made[key] === undefined || made[key] === false) delete made[key]
  return made
}
const departing = computed(() => departuresOf(store.current))
const here = computed(() => departing.value.filter(one => one.style === chosen.value))
const departingWords = computed(() => {
  const count = departing.value.length
  if (!count) return 'Every text follows its style.'
  const ofThese = here.value.length ? `, ${here.value.length} of them from ${style.value.name}` : ''
  return `${count === 1 ? '1 text departs from its' : `${count} texts depart from their`} style in this deck${ofThese}.`
})
const returnAll = (list: typeof departing.value) =>
  store.edit(`let ${list.length} texts follow their styles`, returnToStyle(store.current, { elements: list.map(one => one.element.id) }))
function add() {
  const name = `own-${freshId().slice(0, 6)}`
  put({ ...styles.value, [name]: { ...style.value, name: `${style.value.name} 2`.slice(0, 60) } }, 'add a text style')
  chosen.value = name
}
function remove() {
  const changes = removeStyle(store.current, { style: chosen.value, heir: 'body' })
  chosen.value = 'body'
  store.edit('remove a text style', changes)
}
const bullets = computed<Bullet[]>(() => [style.value.bullet, ...(style.value.deeperBullets ?? [])])
function setBullet(level: number, fields: Partial<Bullet>) {
  const next = bullets.value.map((bullet, at) => (at === level ? { ...bullet, ...fields } : bullet))
  set({ bullet: next[0]!, deeperBullets: next.length > 1 ? next.slice(1) : undefined })
}
const weights = [300, 400, 500, 600, 700, 800]
</script>

<template>
  <div class="desk own">
    <div class="list" role="listbox" aria-label="Text styles" @keydown="walkGrid($event, '.style')">
      <UButton
        v-for="(one, name) in styles"
        :key="name"
        variant="bare"
        class="style"
        role="option"
        :aria-selected="chosen === name"
        :class="{ on: chosen === name }"
        @click="chosen = String(name)"
      >
        <span
          :style="{
            fontFamily: `'${one.family ?? theme.fonts[one.font]}'`,
            fontWeight: one.weight,
            fontSize: `${Math.max(13, Math.min(26, one.size / 3.6))}px`,
            fontStyle: one.italic ? 'italic' : 'normal',
          }"
        >
          {{ one.name }}
        </span>
        <span class="quiet amount">{{ one.size }}</span>
      </UButton>
    </div>
    <UButton v-if="store.canEdit" size="sm" class="own-style" @click="add">A style of your own</UButton>
    <section>
      <label class="name">
        Name
        <WordsField
          :model-value="style.name"
          maxlength="60"
          :disabled="!store.canEdit"
          @update:model-value="words => words.trim() && set({ name: words.trim() })"
        />
      </label>
      <div class="row">
        <span class="label">Font</span>
        <ChoiceField
          :model-value="style.font"
          :items="[
            { value: 'display', label: 'the titles’ font' },
            { value: 'body', label: 'the text’s font' },
            { value: 'mono', label: 'the numbers’ font' },
          ]"
          label="Set in"
          @update:model-value="next => set({ font: next, family: undefined })"
        />
      </div>
      <p v-if="style.family" class="quiet">
        In a family of its own, {{ style.family }}.
        <UButton variant="bare" class="link" @click="set({ family: undefined })">Follow the theme</UButton>
      </p>
      <div class="row">
        <span class="label">Size, at least</span>
        <span class="pair">
          <NumberField
            :model-value="style.size"
            label="Size of the style"
            unit="px"
            :min="8"
            :max="600"
            @update:model-value="size => set({ size })"
          />
          <NumberField
            :model-value="style.leastSize"
            label="Least size of the style"
            unit="px"
            :min="8"
            :max="600"
            @update:model-value="leastSize => set({ leastSize })"
          />
        </span>
      </div>
      <div class="row">
        <span class="label">May grow to</span>
        <NumberField
          :model-value="style.mostSize ?? style.size"
          label="Greatest size of the style"
          unit="px"
          :min="style.size"
          :max="1000"
          @update:model-value="mostSize => set({ mostSize: mostSize > style.size ? mostSize : undefined })"
        />
      </div>
      <div class="row">
        <span class="label">Weight</span>
        <span class="pair">
          <ChoiceField
            :model-value="style.weight"
            :items="asTheyAre(weights)"
            label="Weight"
            @update:model-value="next => set({ weight: Number(next) })"
          />
          <UButton size="sm" :active="style.italic" :aria-pressed="!!style.italic" @click="set({ italic: !style.italic || undefined })">
            Italic
          </UButton>
        </span>
      </div>
      <div class="row">
        <span class="label">Colour</span>
        <ColorField
          :model-value="style.color"
          :theme="theme"
          label="Colour of the style"
          @update:model-value="color => color && set({ color })"
        />
      </div>
      <div class="row">
        <span class="label">Capitals</span>
        <ChoiceField
          :model-value="style.case ?? 'none'"
          :items="letterCases"
          label="Capitals"
          @update:model-value="next => set({ case: next === 'none' ? undefined : next })"
        />
      </div>
      <div class="row">
        <span class="label">Alignment</span>
        <ChoiceField
          :model-value="style.align"
          :items="[
            { value: 'left', label: 'left' },
            { value: 'center', label: 'centred' },
            { value: 'right', label: 'right' },
          ]"
          label="Alignment"
          @update:model-value="next => set({ align: next })"
        />
      </div>
      <div class="row">
        <span class="label">Line height</span>
        <NumberField
          :model-value="style.lineHeight"
          label="Line height"
          :decimals="2"
          :step="0.05"
          :min="0.5"
          :max="4"
          @update:model-value="lineHeight => set({ lineHeight })"
        />
      </div>
      <div class="row">
        <span class="label">Letter spacing</span>
        <NumberField
          :model-value="style.letterSpacing * 100"
          label="Letter spacing"
          unit="%"
          :decimals="1"
          :step="0.5"
          :min="-50"
          :max="200"
          @update:model-value="spacing => set({ letterSpacing: spacing / 100 })"
        />
      </div>
      <div class="row">
        <span class="label">Between paragraphs</span>
        <NumberField
          :model-value="style.paragraphSpacing * 100"
          label="Between paragraphs"
          unit="%"
          :step="5"
          :min="0"
          :max="400"
          @update:model-value="spacing => set({ paragraphSpacing: spacing / 100 })"
        />
      </div>
      <div v-for="(bullet, level) in bullets" :key="level" class="row">
        <span class="label">Bullet, level {{ level + 1 }}</span>
        <span class="pair">
          <WordsField
            :model-value="bullet.symbol"
            class="symbol"
            maxlength="8"
            :aria-label="`Bullet of level ${level + 1}`"
            @update:model-value="words => setBullet(level, { symbol: words })"
          />
          <ColorField
            :model-value="bullet.color"
            :theme="theme"
            :label="`Colour of bullet ${level + 1}`"
            @update:model-value="color => color && setBullet(level, { color })"
          />
        </span>
      </div>
      <UButton
        v-if="store.canEdit && bullets.length < 9"
        size="sm"
        class="back"
        @click="set({ deeperBullets: [...(style.deeperBullets ?? []), { symbol: '–', color: { role: 'ink', alpha: 0.6 } }] })"
      >
        A bullet for level {{ bullets.length + 1 }}
      </UButton>
      <UButton v-if="!shipped.has(chosen) && store.canEdit" size="sm" class="back" @click="remove">
        Take this style away{{
          usesOfStyle(store.current, chosen).length ? `; ${usesOfStyle(store.current, chosen).length} texts become Body` : ''
        }}
      </UButton>
    </section>
    <section class="departs">
      <p>
        {{ departingWords }}
      </p>
      <div v-if="store.canEdit" class="pair">
        <UButton v-if="here.length" size="sm" @click="returnAll(here)">Return {{ here.length }} to {{ style.name }}</UButton>
        <UButton v-if="departing.length" size="sm" @click="returnAll(departing)">Return all {{ departing.length }}</UButton>
      </div>
    </section>
    <AccentDesk />
  </div>
</template>

<style scoped>
div.desk.own {
  gap: 14px;
}
.list {
  display: flex;
  flex-direction: column;
  gap: 2px;
  align-items: stretch;
}
.style {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  border: 1px solid transparent;
  background: none;
  color: var(--ink);
  border-radius: 7px;
  padding: 3px 8px;
  cursor: pointer;
  line-height: 1.3;
}
.style:hover {
  background: var(--act-wash);
}
.style.on {
  border-color: var(--act);
  background: var(--act-wash);
}
.own-style {
  align-self: flex-start;
  margin-top: -8px;
}
.desk.own section {
  border-top: 1px solid var(--line);
  padding-top: 10px;
  gap: 2px;
}
.name {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  color: var(--second);
}
.pair {
  display: flex;
  gap: 5px;
  align-items: center;
  flex-wrap: wrap;
}
.symbol {
  width: 48px;
  text-align: center;
}
.back {
  align-self: flex-start;
  margin-top: 4px;
}
.departs p {
  margin: 0 0 6px;
  color: var(--second);
}
.link {
  border: 0;
  background: none;
  color: var(--act);
  text-decoration: underline;
  cursor: pointer;
  font: inherit;
  padding: 0;
}
</style>
