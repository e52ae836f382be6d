<script setup lang="ts">
import { computed } from 'vue'
import { cssColor } from '#core/color'
import { styleOf, type Deck, type ShownElement, type TextElement, type Theme } from '#core/deck'
import { bulletOf, fontOf, layoutOfElement, lettersOf, type Fitted, type Line, type Measurer, type Run } from '#core/text'
import type { Track } from '#core/timing'
import { fontStack } from '../measurer'

const props = defineProps<{ deck: Deck, theme: Theme, element: TextElement & ShownElement, track: Track | undefined, measurer: Measurer, prompts: boolean }>()

const style = computed(() => styleOf(props.deck, props.element))
const layout = computed<Fitted>(() => layoutOfElement(props.deck, props.element, props.measurer))
const isEmpty = computed(() => layout.value.counts.letter === 0)
const by = computed(() => props.track?.partsBy ?? null)
const padding = computed(() => props.element.panel?.padding ?? 0)

const top = computed(() => {
  const room = props.element.box.height - 2 * padding.value
  const free = Math.max(0, room - layout.value.height)
  return props.element.vertical === 'middle' ? free / 2 : props.element.vertical === 'bottom' ? free : 0
})

const lineStyle = (line: Line) => {
  const align = props.element.align ?? line.align
  const room = props.element.box.width - 2 * padding.value - line.indent
  const free = align === 'center' ? (room - line.width) / 2 : align === 'right' ? room - line.width : 0
  return { top: `${line.top + top.value}px`, left: `${(line.rightToLeft ? 0 : line.indent) + free}px`, height: `${line.height}px`, lineHeight: `${line.height}px` }
}

const runStyle = (run: Run) => {
  const font = fontOf(run.marks, style.value, props.theme.fonts, layout.value.scale)
  const css: Record<string, string> = { fontFamily: fontStack(font.family), fontSize: `${font.size}px`, fontWeight: String(font.weight) }
  if (style.value.letterSpacing) css.letterSpacing = `${style.value.letterSpacing * style.value.size * layout.value.scale}px`
  if (font.italic) css.fontStyle = 'italic'
  const decorations: string[] = []
  for (const mark of run.marks) {
    if (mark.type === 'color') css.color = cssColor(mark.attrs.color, props.theme.palette)
    else if (mark.type === 'highlight') css.background = cssColor(mark.attrs.color, props.theme.palette)
    else if (mark.type === 'underline') decorations.push('underline')
    else if (mark.type === 'strike') decorations.push('line-through')
    else if (mark.type === 'link') {
      css.color ??= cssColor({ role: 'link' }, props.theme.palette)
      decorations.push('underline')
    }
  }
  if (decorations.length) css.textDecoration = decorations.join(' ')
  return css
}

/** Runs of a line as the pieces that cues tell apart, with the part that each belongs to. */
const pieces = (line: Line): { text: string, run: Run, part: number | null }[] => {
  if (by.value === 'word') return line.runs.map(run => ({ text: run.text, run, part: run.word }))
  if (by.value === 'letter') return line.runs.flatMap(run => lettersOf(run.text).map((text, index) => ({ text, run, part: run.letter + index })))
  return line.runs.map(run => ({ text: run.text, run, part: null }))
}
const linePart = (line: Line) => (by.value === 'paragraph' ? line.paragraph : by.value === 'line' ? line.index : null)
const firstPart = (line: Line) => linePart(line) ?? pieces(line)[0]?.part ?? null

const outer = computed(() => ({
  ...(props.element.panel
    ? { background: cssColor(props.element.panel.fill, props.theme.palette), borderRadius: `${props.element.panel.radius}px`, padding: `${padding.value}px` }
    : {}),
  color: cssColor(style.value.color, props.theme.palette),
}))
const family = computed(() => fontStack(style.value.family ?? props.theme.fonts[style.value.font]))
const bulletStyle = (line: Line) => {
  const bullet = bulletOf(style.value, line.level)
  return {
    [line.rightToLeft ? 'right' : 'left']: `${-layout.value.scale * style.value.size * 1.1}px`, fontSize: `${style.value.size * layout.value.scale * (bullet.size ?? 1)}px`,
    fontFamily: family.value, color: cssColor(bullet.color, props.theme.palette), lineHeight: `${line.height}px`,
  }
}
</script>

<template>
  <div class="stage-text" :style="outer" :dir="undefined">
    <p v-if="isEmpty && prompts && element.prompt" class="stage-prompt" :style="{ fontSize: `${style.size}px`, fontFamily: family, fontWeight: style.weight, top: `${top}px` }">{{ element.prompt }}</p>
    <div class="stage-lines" :style="{ left: `${padding}px`, top: `${padding}px` }">
      <div v-for="line in layout.lines" :key="line.index" class="stage-line" :dir="line.rightToLeft ? 'rtl' : undefined" :style="lineStyle(line)" :data-part="linePart(line)">
        <span v-if="line.first && line.bullet" class="stage-bullet" :style="bulletStyle(line)" :data-part="linePart(line) === null ? firstPart(line) : null">{{ line.bullet }}</span><span
          v-for="(piece, index) in pieces(line)" :key="index" class="stage-run" :style="runStyle(piece.run)" :data-part="piece.part" :data-of="piece.part ?? linePart(line)">{{ piece.text }}</span>
      </div>
    </div>
  </div>
</template>
