<script setup lang="ts">
import {
  infoOf,
  deckTheme,
  dropRecord,
  putRecord,
  elementsOf,
  layoutsOf,
  mastersOf,
  type Change,
  type Element,
  type Info,
  type Logo,
  type Theme,
} from '#core/model'
import { setFields } from '#core/edits'
import { orderLast } from '#core/values'

/** The logo in its two forms, the footer and the date: once for all slides, placed by the master. */
const store = useDeck()
const theme = computed(() => deckTheme(store.current))
const info = computed(() => infoOf(store.current))
const master = computed(() => mastersOf(store.current)[0])
const logoPart = computed(() =>
  master.value ? elementsOf(store.current, master.value.id).find(element => element.kind === 'picture' && element.logo) : undefined,
)
const part = (field: string) =>
  master.value ? elementsOf(store.current, master.value.id).find(element => element.kind === 'text' && element.field === field) : undefined
const set = (label: string, fields: Partial<Theme>, more: readonly Change[] = []) =>
  store.edit(label, [...setFields(store.current, { table: 'theme', id: 'theme', fields }), ...more])
const picker = useTemplateRef('picker')
const form = ref<'onLight' | 'onDark'>('onLight')
const leastSide = 24

const order = () => orderLast(elementsOf(store.current, master.value!.id))
/** Top right inside the margin, clear of the title: where a master without a logo gets it. */
function newLogoPart(): Change[] {
  if (!master.value || logoPart.value) return []
  const { width, height } = info.value.size
  const margin = theme.value.margin
  const record: Element = {
    id: freshId(),
    owner: master.value.id,
    order: order(),
    kind: 'picture',
    name: 'Logo',
    logo: true,
    alt: 'Logo',
    box: { x: width - margin - 220, y: height - margin * 0.86, width: 220, height: margin * 0.6, angle: 0 },
  }
  return [putRecord('elements', record)]
}
async function take(file: File) {
  const media = await uploadPicture(file)
  if (!media) return
  const natural = { width: media.width ?? 400, height: media.height ?? 200 }
  if (Math.min(natural.width, natural.height) < leastSide && !file.name.toLowerCase().endsWith('.svg')) {
    return void useToast().add({
      title:
        `“${file.name}” has ${natural.width} × ${natural.height} px, too few for a logo. Bring it with ${leastSide} px or more ` +
        'on its short side, or as SVG.',
      color: 'error',
      duration: 9000,
    })
  }
  const logo: Logo = { clear: 0.3, least: 40, ...theme.value.logo, [form.value]: { media: media.hash, natural } }
  set(form.value === 'onLight' ? 'set the logo for light backgrounds' : 'set the logo for dark backgrounds', { logo }, newLogoPart())
}
function choose(which: 'onLight' | 'onDark') {
  form.value = which
  picker.value?.open()
}
const without = (which: 'onLight' | 'onDark') => {
  const rest: Logo = { ...theme.value.logo! }
  delete rest[which]
  set('remove a form of the logo', { logo: rest.onLight || rest.onDark ? rest : undefined })
}
const forms = [
  ['onLight', 'On light backgrounds'],
  ['onDark', 'On dark backgrounds'],
] as const
const corners = computed(() => {
  const { width, height } = info.value.size
  const margin = theme.value.margin
  const tall = margin * 0.6
  return [
    { label: 'top left', box: { x: margin, y: margin * 0.15, width: 220, height: tall, angle: 0 } },
    { label: 'top right', box: { x: width - margin - 220, y: margin * 0.15, width: 220, height: tall, angle: 0 } },
    { label: 'bottom left', box: { x: margin, y: height - margin * 0.86, width: 220, height: tall, angle: 0 } },
    { label: 'bottom right', box: { x: width - margin - 220, y: height - margin * 0.86, width: 220, height: tall, angle: 0 } },
  ]
})
const place = (box: Element['box']) =>
  logoPart.value && store.edit('place the logo', setFields(store.current, { table: 'elements', id: logoPart.value.id, fields: { box } }))
/** Puts a line of the foot on the master, or takes it away. */
function toggle(field: 'footer' | 'slide-number' | 'date', name: string, across: number) {
  const there = part(field)
  if (there) return store.edit(`remove the ${name.toLowerCase()}`, [dropRecord('elements', there.id)])
  if (!master.value) return
  const { width, height } = info.value.size
  const margin = theme.value.margin
  const wide = (width - 2 * margin) * 0.3
  const record: Element = {
    id: freshId(),
    owner: master.value.id,
    order: order(),
    kind: 'text',
    name,
    field,
    style: 'small',
    align: across === 0 ? 'left' : across === 1 ? 'center' : 'right',
    vertical: 'middle',
    text: { type: 'doc', content: [{ type: 'paragraph' }] },
    box: {
      x: margin + (across * (width - 2 * margin - wide)) / 2 + (across === 0 ? 120 : across === 2 && logoPart.value ? -240 : 0),
      y: height - margin * 0.8,
      width: wide,
      height: margin * 0.5,
      angle: 0,
    },
  }
  store.edit(`put the ${name.toLowerCase()} on every slide`, [putRecord('elements', record)])
}
const setInfo = (label: string, fields: Partial<Info>) => store.edit(label, setFields(store.current, { table: 'info', id: 'info', fields }))
const shownOn = computed(() =>
  layoutsOf(store.current).map(layout => ({ layout, shown: !logoPart.value || !layout.without?.includes(logoPart.value.id) })),
)
function showOn(layout: string, shown: boolean) {
  const record = store.current.layouts[layout]!
  const id = logoPart.value!.id
  const next = shown ? (record.without ?? []).filter(other => other !== id) : [...(record.without ?? []), id]
  store.edit(
    shown ? `show the logo on ${record.name}` : `leave the logo off ${record.name}`,
    setFields(store.current, { table: 'layouts', id: layout, fields: { without: next.length ? next : undefined } }),
  )
}
</script>

<template>
  <div class="desk">
    <section>
      <h3>Logo</h3>
      <div v-for="[which, words] in forms" :key="which" class="form">
        <span class="shown" :class="which"><img v-if="theme.logo?.[which]" :src="`/api/media/${theme.logo[which].media}`" alt="" /></span>
        <span class="words">
          <b>{{ words }}</b>
          <span class="pair">
            <UButton size="sm" :disabled="!store.canEdit" @click="choose(which)">
              {{ theme.logo?.[which] ? 'Swap it' : 'Choose one' }}
            </UButton>
            <UButton v-if="theme.logo?.[which] && store.canEdit" size="sm" @click="without(which)">Without</UButton>
          </span>
        </span>
      </div>
      <FilePicker ref="picker" accept="image/*" data-test="logo-file" @file="take" />
      <p class="quiet">
        Each slide shows the form that stands out from its background. One form serves for both where the other is missing.
      </p>
      <template v-if="theme.logo && logoPart">
        <div class="row">
          <span class="label">Position</span>
          <span class="pair">
            <UButton
              v-for="corner in corners"
              :key="corner.label"
              size="sm"
              :active="logoPart.box?.x === corner.box.x && logoPart.box?.y === corner.box.y"
              @click="place(corner.box)"
            >
              {{ corner.label }}
            </UButton>
          </span>
        </div>
        <div class="row">
          <span class="label">Clear space</span>
          <NumberField
            :model-value="theme.logo.clear * 100"
            label="Clear space"
            unit="%"
            :min="0"
            :max="200"
            :step="5"
            @update:model-value="clear => set('change the clear space', { logo: { ...theme.logo!, clear: clear / 100 } })"
          />
        </div>
        <div class="row">
          <span class="label">Never lower than</span>
          <NumberField
            :model-value="theme.logo.least"
            label="Least height"
            unit="px"
            :min="0"
            :max="400"
            :step="4"
            @update:model-value="least => set('change the least size of the logo', { logo: { ...theme.logo!, least } })"
          />
        </div>
        <details>
          <summary>On which layouts</summary>
          <label v-for="one in shownOn" :key="one.layout.id" class="check">
            <UCheckbox :model-value="one.shown" :disabled="!store.canEdit" @update:model-value="on => showOn(one.layout.id, on === true)" />
            {{ one.layout.name }}
          </label>
        </details>
      </template>
    </section>
    <section>
      <h3>At the foot of every slide</h3>
      <label class="field-label">
        Footer
        <WordsField
          :model-value="theme.footer ?? ''"
          maxlength="300"
          placeholder="Who it is from, or what for"
          :disabled="!store.canEdit"
          @update:model-value="words => set('change the footer', { footer: words || undefined })"
        />
      </label>
      <label class="field-label">
        Date
        <DateField
          :model-value="info.date ?? null"
          label="Date of the deck"
          :disabled="!store.canEdit"
          @update:model-value="date => setInfo('set the date', { date: date ?? undefined })"
        />
      </label>
      <label class="check">
        <UCheckbox :model-value="!!part('footer')" :disabled="!store.canEdit" @update:model-value="toggle('footer', 'Footer', 0)" />
        Show the footer
      </label>
      <label class="check">
        <UCheckbox :model-value="!!part('date')" :disabled="!store.canEdit" @update:model-value="toggle('date', 'Date', 1)" />
        Show the date
      </label>
      <label class="check">
        <UCheckbox
          :model-value="!!part('slide-number')"
          :disabled="!store.canEdit"
          @update:model-value="toggle('slide-number', 'Slide number', 2)"
        />
        Show the slide number
      </label>
    </section>
    <section>
      <h3>Hand it out as a form</h3>
      <label class="check">
        <UCheckbox
          :model-value="!!info.form"
          :disabled="!store.canEdit"
          @update:model-value="
            setInfo(info.form ? 'let everything be changed' : 'hand it out as a form', { form: info.form ? undefined : true })
          "
        />
        Only what fills places can be changed on slides
      </label>
      <p class="quiet">
        Whoever opens it sees how many places are still empty, beside the title above. Who made the deck and admins can still change all of
        it.
      </p>
    </section>
  </div>
</template>

<style scoped>
.form {
  display: flex;
  gap: 12px;
  align-items: center;
}
.shown {
  width: 108px;
  height: 62px;
  border-radius: 8px;
  border: 1px solid var(--line);
  display: grid;
  place-items: center;
  padding: 8px;
  flex: none;
}
.shown.onLight {
  background: #f7f9f8;
}
.shown.onDark {
  background: #10202a;
}
.shown img {
  max-width: 100%;
  max-height: 100%;
  object-fit: contain;
}
.words {
  display: flex;
  flex-direction: column;
  gap: 5px;
  align-items: flex-start;
}
.words .pair {
  justify-content: flex-start;
}
.words b {
  font-weight: 500;
}
.pair {
  display: flex;
  gap: 5px;
  flex-wrap: wrap;
  justify-content: flex-end;
}
p {
  margin: 0;
  font-size: 13px;
}
.check {
  display: flex;
  gap: 8px;
  align-items: center;
  accent-color: var(--act);
}
.field-label {
  display: flex;
  flex-direction: column;
  gap: 3px;
  color: var(--second);
}
details {
  font-size: 13.5px;
}
summary {
  cursor: pointer;
  color: var(--second);
}
details .check {
  padding: 3px 0 3px 14px;
}
</style>
