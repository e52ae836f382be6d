<script setup lang="ts">
import { setFields } from '#core/edits'
import type { Bullet, Paragraph, TextDoc, TextElement, Theme } from '#core/model'
import { styleOf, type ShownElement } from '#core/resolved'
import { textToDiagram } from '#core/diagrams'
import { bulletOf } from '#core/text'

/** Lists: the bullets of every level of this text, and how its lines are counted. */
const props = defineProps<{ element: TextElement & ShownElement; theme: Theme }>()
const store = useDeck()
const where = useWhere()
const stage = useStage()
const style = computed(() => styleOf(store.current, props.element))
const levels = computed(() => Math.max(0, ...props.element.text.content.map(paragraph => paragraph.attrs?.level ?? 0)))
const shown = computed(() => Math.max(1, levels.value))
function set(level: number, own: Partial<Bullet> | undefined) {
  store.edit(
    `change the bullets of ${props.element.name}`,
    texts().flatMap(element => {
      const bullets = Array.from({ length: Math.max(level, element.bullets?.length ?? 0) }, (_, index) =>
        index === level - 1 ? (own ?? {}) : (element.bullets?.[index] ?? {}),
      )
      while (bullets.length && !Object.keys(bullets.at(-1)!).length) bullets.pop()
      return setFields(store.current, {
        table: 'elements',
        id: element.id,
        fields: { bullets: bullets.length ? bullets : undefined },
      })
    }),
  )
}
const texts = () => stage.chosen.filter(element => element.kind === 'text')
/** Every line becomes one of a list, or of none. */
function list(on: boolean) {
  store.edit(
    on ? `make ${props.element.name} a list` : `make ${props.element.name} plain`,
    texts().flatMap(element =>
      setFields(store.current, { table: 'elements', id: element.id, fields: { text: leveled(element.text, on) } }),
    ),
  )
}
const leveled = (text: TextDoc, on: boolean): TextDoc => ({
  ...text,
  content: text.content.map((paragraph): Paragraph => ({
    ...paragraph,
    attrs: { ...paragraph.attrs, level: on ? paragraph.attrs?.level || 1 : 0 },
  })),
})
</script>

<template>
  <section>
    <div class="row">
      <span class="label">Its lines</span>
      <span class="pair">
        <UButton size="sm" :active="levels === 0" @click="list(false)">are plain</UButton>
        <UButton size="sm" :active="levels > 0" @click="list(true)">make a list</UButton>
      </span>
    </div>
    <div v-if="stage.chosen.length === 1 && store.canEdit && !where.isForm && !element.field" class="row">
      <span class="label">As a diagram</span>
      <FamilyFinder
        :text="element.text"
        words="Choose one"
        @choose="family => store.edit(`turn ${element.name} into a diagram`, textToDiagram(store.current, { element: element.id, family }))"
      />
    </div>
    <template v-if="levels > 0">
      <BulletField
        v-for="level in shown"
        :key="level"
        :bullet="bulletOf(style, level)"
        :own="element.bullets?.[level - 1]"
        :theme="theme"
        :label="shown > 1 ? `Level ${level}` : 'Bullet'"
        @change="own => set(level, own)"
      />
      <p class="quiet small">One line’s own bullet, its number and its level are set while writing. Tab steps a line in, Shift Tab out.</p>
    </template>
    <p v-else class="quiet small">Each line of a list has a bullet, which can be any symbol, number, icon or picture.</p>
  </section>
</template>

<style scoped>
.pair {
  display: inline-flex;
  gap: 4px;
}
.small {
  font-size: 13px;
  margin: 4px 0;
}
</style>
