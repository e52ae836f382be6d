<script setup lang="ts">
import type { Finding, Remedy } from '#core/checks'
import { applyChanges, type Change } from '#core/model'
import { titleOf } from '#core/layouts'

const emit = defineEmits<{ go: [phase: string] }>()
const store = useDeck()
const where = useWhere()
const selected = useSelected()
const check = useCheck()
const pixels = usePixels()
const slideNumber = (slide: string) => store.slides.findIndex(candidate => candidate.id === slide) + 1
const bySlide = computed(() => {
  const groups = new Map<string, Finding[]>()
  for (const finding of check.findings) groups.set(finding.slide, [...(groups.get(finding.slide) ?? []), finding])
  return [...groups].map(([slide, findings]) => ({ slide, findings, number: slideNumber(slide), title: titleOf(store.current, slide) }))
})
/** A remedy that is pointed at: its slide shows what it would do. */
const pointed = shallowRef<{ slide: string; remedy: Remedy } | null>(null)
const shownDeck = computed(() => {
  const { deck } = store
  return deck && pointed.value ? applyChanges(deck, pointed.value.remedy.changes(deck, { id: freshId })) : deck
})
const point = (finding: Finding, remedy: Remedy) => ({
  onPointerenter: () => {
    pointed.value = { slide: finding.slide, remedy }
  },
  onPointerleave: () => {
    pointed.value = null
  },
  onFocus: () => {
    pointed.value = { slide: finding.slide, remedy }
  },
  onBlur: () => {
    pointed.value = null
  },
})
const make = (name: string, changes: readonly Change[]) => {
  pointed.value = null
  store.edit(name, changes)
}
const remediable = computed(() => check.findings.filter(finding => finding.remedy && !finding.remedy.byEye))

function show(finding: Finding) {
  where.goToSlide(finding.slide)
  if (finding.beat !== null) where.goTo({ slide: finding.slide, beat: finding.beat, seconds: where.score?.beats[finding.beat]?.moves ?? 0 })
  if (finding.element) selected.select(finding.element)
  emit('go', finding.beat !== null ? 'time' : 'compose')
}
const mend = (finding: Finding) =>
  finding.remedy && make(finding.remedy.label.toLowerCase(), finding.remedy.changes(store.current, { id: freshId }))
/** The findings that are put right alike, where there are more than one. */
const alike = (finding: Finding) =>
  finding.together === undefined
    ? []
    : check.findings.filter(other => other.remedy && other.rule === finding.rule && other.together === finding.together)
const mendAlike = (finding: Finding) =>
  make(
    `${finding.remedy!.label.toLowerCase()}, ${alike(finding).length} times`,
    alike(finding).flatMap(other => other.remedy!.changes(store.current, { id: freshId })),
  )
const mendAll = () =>
  make(
    `put ${remediable.value.length} findings right`,
    remediable.value.flatMap(finding => finding.remedy!.changes(store.current, { id: freshId })),
  )
</script>

<template>
  <div class="check">
    <div class="head">
      <h2>
        {{
          check.findings.length
            ? `${check.findings.length} ${check.findings.length === 1 ? 'finding' : 'findings'}`
            : check.looking
              ? 'Looking'
              : 'No findings'
        }}
      </h2>
      <UButton v-if="remediable.length > 1 && store.canEdit" @click="mendAll">Fix all {{ remediable.length }} that have a remedy</UButton>
    </div>
    <p v-if="check.looking" class="quiet" role="status">
      Still looking:
      {{
        pixels.coming
          ? `at the pixels of ${pixels.coming} ${pixels.coming === 1 ? 'picture or film' : 'pictures and films'}`
          : 'slide by slide'
      }}.
    </p>
    <p v-else-if="!check.findings.length" class="quiet">
      Every beat holds long enough for its words, every text {{ check.unmeasured.length ? 'that was measured ' : '' }}can be read and stands
      on its slide, every chart and picture is there.
    </p>
    <section v-for="group in bySlide" :key="group.slide" class="group">
      <UButton variant="bare" class="where" @click="where.goToSlide(group.slide)">
        <SlideThumb :deck="pointed?.slide === group.slide ? shownDeck! : store.current" :slide="group.slide" :width="220" />
        <span>
          <b>Slide {{ group.number }}</b>
          {{ group.title || 'Without a title' }}
        </span>
      </UButton>
      <ul>
        <li v-for="(finding, index) in group.findings" :key="index" class="finding">
          <p>{{ finding.message }}</p>
          <UButton size="sm" @click="show(finding)">Go there</UButton>
          <UButton
            v-if="finding.remedy && store.canEdit"
            color="primary"
            variant="solid"
            size="sm"
            v-bind="point(finding, finding.remedy)"
            @click="mend(finding)"
          >
            {{ finding.remedy.label }}
          </UButton>
          <template v-if="store.canEdit">
            <UButton
              v-for="other in finding.others ?? []"
              :key="other.label"
              size="sm"
              v-bind="point(finding, other)"
              @click="make(other.label.toLowerCase(), other.changes(store.current, { id: freshId }))"
            >
              {{ other.label }}
            </UButton>
          </template>
          <UButton v-if="finding.remedy && store.canEdit && alike(finding).length > 1" size="sm" @click="mendAlike(finding)">
            All {{ alike(finding).length }} alike
          </UButton>
        </li>
      </ul>
    </section>
    <section v-if="check.unmeasured.length && !check.looking" class="unmeasured" data-test="unmeasured">
      <h3>Not measured</h3>
      <ul>
        <li v-for="finding in check.unmeasured" :key="`${finding.slide}${finding.element}`">
          <span>Slide {{ slideNumber(finding.slide) }}. {{ finding.message }}</span>
          <UButton size="sm" @click="show(finding)">Go there</UButton>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.check {
  height: 100%;
  overflow-y: auto;
  padding: 18px 28px 30px;
  max-width: 1080px;
  margin: 0 auto;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 14px;
  gap: 16px;
}
h2 {
  font-size: 20px;
}
.group {
  display: grid;
  grid-template-columns: 220px 1fr;
  gap: 20px;
  padding: 14px 0;
  border-top: 1px solid var(--line);
}
.where {
  border: 0;
  background: none;
  padding: 0;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
  display: flex;
  flex-direction: column;
  gap: 5px;
  border-radius: 6px;
}
.where > span {
  display: flex;
  flex-direction: column;
  font-size: 13px;
  color: var(--second);
  overflow-wrap: anywhere;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.finding {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 10px;
  background: var(--now-wash);
  color: var(--now-ink);
  border-radius: 8px;
  padding: 8px 12px;
}
.finding p {
  flex: 1 1 320px;
  margin: 0;
  overflow-wrap: anywhere;
}
.unmeasured {
  border-top: 1px solid var(--line);
  margin-top: 14px;
  padding: 14px 0;
  color: var(--second);
}
.unmeasured h3 {
  font-size: 15px;
  margin-bottom: 8px;
  color: var(--ink);
}
.unmeasured li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
}
.unmeasured span {
  overflow-wrap: anywhere;
}
</style>
