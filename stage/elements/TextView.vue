<script setup lang="ts">
import { computed } from 'vue'
import { cssColor } from '#core/color'
import type { Deck, ShapeElement, TextElement, Theme } from '#core/model'
import { styleOf, type ShownElement } from '#core/resolved'
import {
  fontOf,
  spacingOf,
  insetOf,
  layoutOfElement,
  leftOfLine,
  lettersAlong,
  lettersOf,
  topOfLines,
  usualDistance,
  type Fitted,
  type Line,
  type PlacedLetter,
  type Run,
} from '#core/text'
import { panelShape } from '#core/shapes'
import type { Track } from '#core/timing'
import type { StageHost } from '../host'
import { fontStack } from '../measurer'
import { backgroundOf } from '../paint'
import IconView from './IconView.vue'
import ShapeView from './ShapeView.vue'

const props = defineProps<{
  deck: Deck
  theme: Theme
  element: TextElement & ShownElement
  track: Track | undefined
  host: StageHost
  prompts: boolean
  scale: number
}>()

const palette = computed(() => props.theme.palette)
const style = computed(() => styleOf(props.deck, props.element))
const layout = computed<Fitted>(() => layoutOfElement(props.deck, props.element, props.host.measurer))
const isEmpty = computed(() => layout.value.counts.letter === 0)
const by = computed(() => props.track?.partsBy ?? null)
const inset = computed(() => insetOf(props.element))
const inner = computed(() => ({
  width: Math.max(1, props.element.box.width - 2 * inset.value),
  height: Math.max(1, props.element.box.height - 2 * inset.value),
}))

const top = computed(() => topOfLines(props.element, layout.value))
const leftOf = (line: Line) => leftOfLine(props.element, layout.value, line)
const lineStyle = (line: Line) => ({
  top: `${line.top + top.value}px`,
  left: `${leftOf(line)}px`,
  height: `${line.height}px`,
  lineHeight: `${line.height}px`,
})

/** What fills the letters where it is more than a colour: painted behind each run as a part of the whole text's box. */
const fill = computed(() =>
  props.element.paint ? backgroundOf(props.element.paint, palette.value, inner.value, props.host, props.scale) : null,
)
const clipped = (x: number, y: number): Record<string, string> => {
  if (!fill.value) return {}
  const at = fill.value.backgroundPosition?.split(' ').map(parseFloat) ?? [0, 0]
  return {
    ...fill.value,
    backgroundSize: fill.value.backgroundSize ?? `${inner.value.width}px ${inner.value.height}px`,
    backgroundPosition: `${at[0]! - x}px ${at[1]! - y}px`,
    backgroundRepeat: 'no-repeat',
    backgroundClip: 'text',
    color: 'transparent',
    WebkitTextFillColor: 'transparent',
  }
}
/** Where each run of a line begins, px from the text's left edge; measured only where something needs it. */
const starts = (line: Line) => {
  let at = leftOf(line)
  return line.runs.map(run => {
    const from = at
    const font = fontOf(run.marks, style.value, props.theme.fonts, layout.value.scale)
    at += props.host.measurer.width(run.text, font) + spacingOf(style.value, font) * run.text.length
    return from
  })
}

const runStyle = (run: Run) => {
  const font = fontOf(run.marks, style.value, props.theme.fonts, layout.value.scale)
  const css: Record<string, string> = { fontFamily: fontStack(font.family), fontSize: `${font.size}px`, fontWeight: String(font.weight) }
  if (style.value.letterSpacing) css.letterSpacing = `${spacingOf(style.value, font)}px`
  if (font.italic) css.fontStyle = 'italic'
  const decorations: string[] = []
  for (const mark of run.marks) {
    if (mark.type === 'accent') {
      const accent = props.theme.accents?.[mark.attrs.name]
      if (accent?.color) css.color = cssColor(accent.color, palette.value)
      if (accent?.highlight) css.background = cssColor(accent.highlight, palette.value)
      if (accent?.underline) decorations.push('underline')
    } else if (mark.type === 'color') css.color = cssColor(mark.attrs.color, palette.value)
    else if (mark.type === 'highlight') css.background = cssColor(mark.attrs.color, palette.value)
    else if (mark.type === 'underline') decorations.push('underline')
    else if (mark.type === 'strike') decorations.push('line-through')
    else if (mark.type === 'link') {
      css.color ??= cssColor({ role: 'link' }, palette.value)
      decorations.push('underline')
    }
  }
  if (decorations.length) css.textDecoration = [...new Set(decorations)].join(' ')
  return css
}
const linkOf = (run: Run) => run.marks.find(mark => mark.type === 'link')?.attrs.href

interface Piece {
  text: string
  run: Run
  part: number | null
  style: Record<string, string>
  link: string | undefined
}
/** Runs of a line as the pieces that cues tell apart, with the part that each belongs to. */
const pieces = (line: Line): Piece[] => {
  const xs = fill.value ? starts(line) : null
  return line.runs.flatMap((run, index): Piece[] => {
    const own = runStyle(run)
    const css = xs && !own.color ? { ...own, ...clipped(xs[index]!, line.top + top.value) } : own
    const link = linkOf(run)
    if (by.value === 'letter') return lettersOf(run.text).map((text, step) => ({ text, run, part: run.letter + step, style: css, link }))
    return [{ text: run.text, run, part: by.value === 'word' ? run.word : null, style: css, link }]
  })
}
const linePart = (line: Line) => (by.value === 'paragraph' ? line.paragraph : by.value === 'line' ? line.index : null)
const firstPart = (line: Line) => linePart(line) ?? pieces(line)[0]?.part ?? null

const along = computed<PlacedLetter[] | null>(() => {
  const path = props.element.along
  if (!path) return null
  const align = props.element.align ?? (style.value.align === 'left' && path.path !== 'wave' ? 'center' : style.value.align)
  return lettersAlong(layout.value, path, inner.value, { style: style.value, fonts: props.theme.fonts, align }, props.host.measurer)
})
const lineOf = (letter: PlacedLetter) => layout.value.lines.find(line => line.runs.includes(letter.run))
const letterPart = (letter: PlacedLetter) =>
  by.value === 'letter' ? letter.letter : by.value === 'word' ? letter.run.word : by.value ? linePart(lineOf(letter)!) : null

const outer = computed(() => {
  const { panel, outline } = props.element
  return {
    ...(panel && !panel.shape
      ? {
          ...(panel.fill ? backgroundOf(panel.fill, palette.value, props.element.box, props.host, props.scale) : {}),
          borderRadius: `${panel.radius}px`,
        }
      : {}),
    ...(panel?.border && !panel.shape
      ? {
          border:
            `${panel.border.width}px ${panel.border.dash?.length ? 'dashed' : 'solid'} ` + `${cssColor(panel.border.color, palette.value)}`,
        }
      : {}),
    ...(outline ? { WebkitTextStroke: `${outline.width}px ${cssColor(outline.color, palette.value)}`, paintOrder: 'stroke fill' } : {}),
    color: cssColor(style.value.color, palette.value),
  }
})
/** The shape that stands behind the words. */
const shaped = computed(() => panelShape(props.element) as (ShapeElement & ShownElement) | null)
/** Where the words begin within their panel's padding; a border of the box stands outside of that. */
const padded = computed(() => {
  const { panel } = props.element
  return `${panel?.shape ? inset.value : (panel?.padding ?? 0)}px`
})
const family = computed(() => fontStack(style.value.family ?? props.theme.fonts[style.value.font]))
const bulletStyle = (line: Line) => {
  const em = layout.value.scale * style.value.size
  const size = em * (line.bullet?.size ?? 1)
  return {
    [line.rightToLeft ? 'right' : 'left']: `${-em * (line.bullet?.distance ?? usualDistance)}px`,
    fontSize: `${size}px`,
    fontFamily: family.value,
    color: cssColor(line.bullet!.color, palette.value),
    lineHeight: `${line.height}px`,
    ...(line.bullet?.icon || line.bullet?.picture ? { width: `${size}px`, height: `${size}px`, top: `${(line.height - size) / 2}px` } : {}),
    ...(line.bullet?.number ? { fontVariantNumeric: 'tabular-nums' } : {}),
  }
}
const bulletSource = (line: Line) =>
  line.bullet?.picture ? props.host.mediaUrl(line.bullet.picture, style.value.size * props.scale) : undefined
</script>

<template>
  <div class="stage-text" :style="outer">
    <ShapeView v-if="shaped" :palette="palette" :element="shaped" :host="host" :scale="scale" />
    <p
      v-if="isEmpty && prompts && element.prompt"
      class="stage-prompt"
      :style="{ fontSize: `${style.size}px`, fontFamily: family, fontWeight: style.weight, top: `${top}px` }"
    >
      {{ element.prompt }}
    </p>
    <div v-if="along" class="stage-lines stage-said" :style="{ left: padded, top: padded }">
      <span
        v-for="(letter, index) in along"
        :key="index"
        class="stage-along"
        :style="{ left: `${letter.x}px`, top: `${letter.y}px`, transform: `translate(-50%,-50%) rotate(${letter.angle}deg)` }"
      >
        <span class="stage-run" :style="runStyle(letter.run)" :data-part="letterPart(letter)" :data-of="letterPart(letter)">
          {{ letter.text }}
        </span>
      </span>
    </div>
    <div v-else class="stage-lines stage-said" :style="{ left: padded, top: padded }">
      <div
        v-for="line in layout.lines"
        :key="line.index"
        class="stage-line"
        :dir="line.rightToLeft ? 'rtl' : undefined"
        :style="lineStyle(line)"
        :data-part="linePart(line)"
      >
        <span
          v-if="line.first && line.bullet"
          class="stage-bullet"
          :style="bulletStyle(line)"
          :data-part="linePart(line) === null ? firstPart(line) : null"
        >
          <IconView v-if="line.bullet.icon" :icon="line.bullet.icon" :color="cssColor(line.bullet.color, palette)" />
          <img v-else-if="bulletSource(line)" :src="bulletSource(line)" alt="" />
          <template v-else>{{ line.bullet.words }}</template>
        </span>
        <span
          v-for="(piece, index) in pieces(line)"
          :key="index"
          class="stage-run"
          :style="piece.style"
          :data-part="piece.part"
          :data-of="piece.part ?? linePart(line)"
          :data-link="piece.link"
        >
          {{ piece.text }}
        </span>
      </div>
    </div>
    <div v-for="(said, index) in track?.said ?? []" :key="`said-${index}`" class="stage-said" data-said>
      <TextView
        :deck="deck"
        :theme="theme"
        :element="{ ...said, panel: undefined, box: { ...said.box, width: inner.width, height: inner.height } }"
        :track="undefined"
        :host="host"
        :prompts="false"
        :scale="scale"
      />
    </div>
  </div>
</template>
