import type { OutlineSlide } from '../../layouts'

/** An outline as Markdown: a chapter `#`, a slide `##`, its lines as a list, its notes quoted. `readText` gives it back. */
export const writeMarkdown = (slides: readonly OutlineSlide[]): string =>
  slides
    .map(slide =>
      [
        ...(slide.chapter ? [`# ${slide.chapter}`, ''] : []),
        `## ${slide.title}`,
        ...slide.lines.map(line => `${'  '.repeat(line.level - 1)}- ${line.text}`),
        ...(slide.notes ? ['', ...slide.notes.split('\n').map(line => `> ${line}`)] : []),
      ].join('\n'),
    )
    .join('\n\n') + '\n'
