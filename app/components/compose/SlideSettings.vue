<script setup lang="ts">
import { cssColor, cssGradient } from '#core/color'
import { putTransition, setFields, type TransitionReach } from '#core/edits'
import { fieldLimits, layoutsOf, type Slide, textOf } from '#core/model'
import { fillOfGround, groundOf, themeUnder } from '#core/resolved'
import { cut, namedEasings, transitionNamed, transitions } from '#core/timing'

const store = useDeck()
const where = useWhere()
const slide = computed(() => store.current.slides[where.slideId!])
const set = (label: string, fields: Partial<Slide>) =>
  slide.value && store.edit(label, setFields(store.current, { table: 'slides', id: slide.value.id, fields }))
const [route, router, stage] = [useRoute(), useRouter(), useStageHost()]
/** As the ground is painted: it is what roles are seen on, and its own roles do not change with it. */
const theme = computed(() => themeUnder(store.current, where.slideId!))
const froms = { slide: 'of this slide', layout: 'from its layout', master: 'from its master', theme: 'from the theme' } as const
/** What covers the plain colour of the ground, and who says so. */
const cover = computed(() => {
  const found = slide.value && fillOfGround(store.current, slide.value)
  if (!found) return null
  const { fill } = found
  const { palette } = theme.value
  const background =
    fill.kind === 'picture'
      ? `center / cover url("${stage.host.mediaUrl(fill.media, 80)}")`
      : fill.kind === 'corners'
        ? `linear-gradient(135deg, ${cssColor(fill.colors[0]!, palette)}, ${cssColor(fill.colors[2]!, palette)})`
        : cssGradient(fill, palette)!
  return {
    words: fill.kind === 'picture' ? 'A picture' : fill.kind === 'corners' ? 'Four colours' : 'A gradient',
    from: froms[found.from],
    look: { background },
  }
})
/** The layouts that this deck has, those of its own among them; all others are in Outline. */
const layouts = computed(() => layoutsOf(store.current).map(({ id, name }) => ({ value: id, label: name })))
const { inLayout } = useLayingOut()
const kind = computed(() => transitionNamed(slide.value?.transition?.effect ?? cut.name))
const { boxAt, put } = usePutting()
/** The credit lines of everything the deck shows, as a text on this slide. */
async function putCredits() {
  const lines = await asking(() => $fetch<string[]>(`/api/decks/${store.id}/credits`))
  if (!lines) return
  if (!lines.length) return notify('Nothing in this deck has a credit line. They are written in Media.')
  put('list the credits', {
    kind: 'text',
    name: 'Credits',
    style: 'small',
    text: textOf(lines),
    fit: 'shrink',
    box: boxAt(1200, Math.min(800, 60 + lines.length * 44)),
  })
}
function choose(effect: string) {
  const { atOnce, duration } = transitionNamed(effect)
  set('change the transition', { transition: atOnce ? undefined : { effect, duration, easing: namedEasings['ease both ways'] } })
}
const setTransition = (fields: Partial<NonNullable<Slide['transition']>>) =>
  set('change the transition', { transition: { ...slide.value!.transition!, ...fields } })
const reaches = computed(() =>
  (
    [
      ['chapter', 'the slides of this chapter'],
      ['all', 'all slides'],
    ] as const
  )
    .map(([reach, words]) => ({ reach, words, changes: putTransition(store.current, { like: where.slideId!, reach }) }))
    // Where the deck has no chapters, its one chapter is all of it.
    .filter(({ changes }, index, [, all]) => changes.length && (index > 0 || changes.length < all!.changes.length)),
)
function spread(reach: TransitionReach) {
  const found = reaches.value.find(one => one.reach === reach)
  if (!found) return
  store.edit('put a transition on slides', found.changes)
  notify(`${found.changes.length === 1 ? 'One slide comes' : `${found.changes.length} slides come`} as this one does.`)
}
const write = (notes: string) =>
  store.editText('write notes', setFields(store.current, { table: 'slides', id: where.slideId!, fields: { notes } }))
</script>

<template>
  <div v-if="slide" class="settings">
    <div v-if="!slide.board && !where.isForm" class="row">
      <span class="label">Layout</span>
      <ChoiceField
        :model-value="slide.layout"
        :items="layouts"
        label="Layout"
        :disabled="!store.canEdit"
        @update:model-value="id => inLayout(slide!.id, store.current.layouts[id]!)"
      />
    </div>
    <div class="row">
      <span class="label">Transition</span>
      <ChoiceField
        :model-value="kind.name"
        :items="transitions.map(item => ({ value: item.name, label: item.label }))"
        label="Transition"
        @update:model-value="choose"
      />
    </div>
    <template v-if="slide.transition">
      <div class="row">
        <span class="label">Duration</span>
        <NumberField
          :model-value="slide.transition.duration"
          label="Length of the transition"
          unit="s"
          :decimals="1"
          :step="0.1"
          :min="0"
          :max="20"
          @update:model-value="duration => setTransition({ duration })"
        />
      </div>
      <OptionFields :of="kind" :options="slide.transition.options ?? {}" @set="options => setTransition({ options })" />
      <PaceEditor
        :model-value="slide.transition.easing"
        :disabled="!store.canEdit"
        @update:model-value="easing => setTransition({ easing })"
      />
    </template>
    <div v-if="reaches.length && store.canEdit" class="spread">
      <span class="quiet">The same for</span>
      <UButton v-for="one in reaches" :key="one.reach" size="sm" @click="spread(one.reach)">{{ one.words }}</UButton>
    </div>
    <UsualBox v-if="store.canEdit && store.slides[0]?.id !== slide.id" :slide="slide.id" what="transition" />
    <div v-if="cover" class="row" data-test="ground-cover">
      <span class="label">Background</span>
      <span class="cover">
        <i :style="cover.look" />
        {{ cover.words }}
        <span class="quiet">{{ cover.from }}</span>
      </span>
    </div>
    <div class="row">
      <span class="label">{{ cover ? 'Plain instead' : 'Background' }}</span>
      <ColorField
        :model-value="groundOf(store.current, slide)"
        :theme="theme"
        label="Background"
        @update:model-value="ground => set('change the background', { ground: ground ?? undefined })"
      />
    </div>
    <UButton v-if="cover && store.canEdit" size="sm" class="back" @click="router.replace({ query: { ...route.query, look: 'ground' } })">
      Change it in Look
    </UButton>
    <UButton v-if="slide.ground && store.canEdit" size="sm" class="back" @click="set('change the background', { ground: undefined })">
      Back to the layout’s background
    </UButton>
    <UButton v-if="store.canEdit && !where.isForm" size="sm" class="back" @click="putCredits">Put the credit lines here</UButton>
    <SlideRows v-if="store.canEdit && !where.isForm" />
    <BoardSettings />
    <label class="notes">
      Notes for the speaker
      <UTextarea
        v-bind="fieldLimits('slides', 'notes')"
        :rows="5"
        :model-value="slide.notes"
        :readonly="!store.canEdit"
        @update:model-value="write"
      />
    </label>
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.notes {
  display: flex;
  flex-direction: column;
  gap: 4px;
  color: var(--second);
  margin-top: 8px;
}
.spread {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  margin: 4px 0 8px;
}
.back {
  align-self: flex-start;
}
.cover {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.cover i {
  flex: none;
  width: 34px;
  height: 20px;
  border-radius: 4px;
  border: 1px solid var(--line);
}
</style>
