<script setup lang="ts">
import { cssColor } from '#core/color'
import type { Deck, TextElement } from '#core/model'
import { styleOf, themeSeen, type ShownElement } from '#core/resolved'
import { bulletOf, indentOf, insetOf, layoutOfElement } from '#core/text'
import { fontStack } from '#stage'

/** A text edited in place, on the shared text itself, with the look that it plays with. Its tools stand above the stage. */
const props = defineProps<{ deck: Deck; element: TextElement & ShownElement; scale: number }>()
const emit = defineEmits<{ done: [] }>()
const host = useStageHost()
const stage = useStage()
const place = ref<HTMLElement>()

const style = computed(() => styleOf(props.deck, props.element))
const layout = computed(() => layoutOfElement(props.deck, props.element, host.host.measurer))
const theme = computed(() => themeSeen(props.deck, props.element.owner))
const palette = computed(() => theme.value.palette)
const editor = useTextEditor({
  element: () => props.element.id,
  place,
  label: () => props.element.name,
  onDone: () => emit('done'),
  begin: stage.pressedAt ?? 'all',
  setting: () => style.value,
  colorOf: color => cssColor(color, palette.value),
})
const sides = { left: 'start', center: 'center', right: 'end' } as const
const look = computed(() => {
  const size = style.value.size * layout.value.scale
  const { columns } = props.element
  return {
    fontFamily: fontStack(style.value.family ?? theme.value.fonts[style.value.font]),
    fontSize: `${size}px`,
    fontWeight: String(style.value.weight),
    lineHeight: String(style.value.lineHeight),
    letterSpacing: `${style.value.letterSpacing}em`,
    // A text’s own side stays; a style’s is where its lines begin or end, whichever way they run.
    textAlign: props.element.align ?? sides[style.value.align],
    '--hang': `${-(layout.value.lines[0]?.hang ?? 0)}px`,
    color: cssColor(style.value.color, palette.value),
    caretColor: cssColor(style.value.color, palette.value),
    fontStyle: style.value.italic ? 'italic' : 'normal',
    textTransform: style.value.case === 'upper' ? 'uppercase' : style.value.case === 'lower' ? 'lowercase' : 'none',
    direction: props.element.direction === 'rtl' ? 'rtl' : undefined,
    '--gap': `${style.value.paragraphSpacing}em`,
    padding: `${insetOf(props.element)}px`,
    justifyContent: props.element.vertical === 'middle' ? 'center' : props.element.vertical === 'bottom' ? 'flex-end' : 'flex-start',
    '--columns': columns && columns.count > 1 ? String(columns.count) : 'auto',
    '--column-gap': `${columns?.gap ?? 0}px`,
  } as Record<string, string>
})
/** What accents look like while words are written. */
const accentCss = computed(() =>
  Object.entries(theme.value.accents ?? {})
    .map(
      ([name, accent]) =>
        '.editing ' +
        `.accent[data-accent=${JSON.stringify(name)}]{${accent.color ? `color:${cssColor(accent.color, palette.value)};` : ''}${accent.highlight ? `background:${cssColor(accent.highlight, palette.value)};` : ''}${accent.weight ? `font-weight:${accent.weight};` : ''}${accent.italic ? 'font-style:italic;' : ''}${accent.underline ? 'text-decoration:underline;' : ''}${accent.size ? `font-size:${accent.size}em;` : ''}}`,
    )
    .join(''),
)
useHead({ style: [{ innerHTML: accentCss, key: 'accents-while-writing' }] })
const panel = computed(() =>
  props.element.panel?.fill && !('kind' in props.element.panel.fill)
    ? { background: cssColor(props.element.panel.fill, palette.value), borderRadius: `${props.element.panel.radius}px` }
    : {},
)

/** Indents by drag: the marks above the text set how far words stand from their bullet. */
const arranging = useArranging()
const listLevel = computed(() => editor.state.value.paragraph.level ?? 0)
const drag = ref<number | null>(null)
const em = computed(() => style.value.size * layout.value.scale)
const indentAt = computed(() => insetOf(props.element) + indentOf(style.value, Math.max(1, listLevel.value)) * em.value)
function pressIndent(event: PointerEvent) {
  event.preventDefault()
  const level = Math.max(1, listLevel.value)
  const from = stage.point(event).x
  const distance = bulletOf(style.value, level).distance ?? 1.1
  followPointer(
    event,
    move => {
      drag.value = Math.min(8, Math.max(0.2, distance + (stage.point(move).x - from) / em.value))
    },
    given => {
      const made = drag.value
      drag.value = null
      if (!given || made === null) return
      const bullets = Array.from({ length: Math.max(level, props.element.bullets?.length ?? 0) }, (_, index) =>
        index === level - 1
          ? { ...props.element.bullets?.[index], distance: Math.round(made * 100) / 100 }
          : (props.element.bullets?.[index] ?? {}),
      )
      arranging.set('indent', { bullets })
      editor.focus()
    },
  )
}
const indentShown = computed(() =>
  drag.value === null
    ? indentAt.value
    : indentAt.value + (drag.value - (bulletOf(style.value, Math.max(1, listLevel.value)).distance ?? 1.1)) * em.value,
)
</script>

<template>
  <div
    class="editing"
    :style="{
      left: `${element.box.x}px`,
      top: `${element.box.y}px`,
      width: `${element.box.width}px`,
      height: `${element.box.height}px`,
      transform: element.box.angle ? `rotate(${element.box.angle}deg)` : undefined,
      outlineWidth: `${2 / scale}px`,
      ...panel,
    }"
    @pointerdown.stop
    @dblclick.stop
  >
    <span
      v-if="listLevel > 0"
      class="indent"
      title="Drag to indent"
      data-test="indent"
      :style="{ left: `${indentShown}px`, transform: `translate(-50%, -100%) scale(${1 / scale})` }"
      @pointerdown.stop="pressIndent"
    />
    <div ref="place" class="text" :style="look" />
    <Teleport defer to="#text-tools"><TextTools :editor="editor" :theme="theme" :setting="style" @done="emit('done')" /></Teleport>
  </div>
</template>

<style scoped>
.editing {
  position: absolute;
  z-index: 5;
  outline: 2px solid var(--act);
}
.text {
  position: absolute;
  inset: 0;
  display: flex;
  flex-direction: column;
  box-sizing: border-box;
}
.text :deep(.ProseMirror) {
  outline: none;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  font-kerning: normal;
  columns: var(--columns);
  column-gap: var(--column-gap);
}
.text :deep(p) {
  margin: 0;
  position: relative;
  min-height: 1.2em;
  unicode-bidi: plaintext;
}
.text :deep(p:first-child:not(.listed)) {
  text-indent: var(--hang);
}
.text :deep(p + p) {
  margin-top: var(--gap);
}
.text :deep(p.listed) {
  padding-inline-start: var(--indent);
}
.text :deep(p.listed)::before {
  content: var(--sign);
  position: absolute;
  color: var(--sign-color);
  font-size: calc(var(--sign-size) * 1em);
  line-height: inherit;
  margin-inline-start: calc(-1 * var(--distance) / var(--sign-size));
  min-width: 1em;
  min-height: 1em;
  background: var(--sign-image) center / contain no-repeat;
  font-variant-numeric: tabular-nums;
}
.indent {
  position: absolute;
  top: 0;
  width: 12px;
  height: 10px;
  background: var(--act);
  clip-path: polygon(0 0, 100% 0, 50% 100%);
  cursor: ew-resize;
  transform-origin: 50% 100%;
  touch-action: none;
}
</style>
