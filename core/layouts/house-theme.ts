import type { TextStyle, Theme } from '../model'

const style = (
  name: string,
  font: TextStyle['font'],
  size: number,
  leastSize: number,
  weight: number,
  more: Partial<TextStyle> = {},
): TextStyle => ({
  name,
  font,
  size,
  leastSize,
  weight,
  lineHeight: 1.25,
  letterSpacing: 0,
  paragraphSpacing: 0.35,
  color: { role: 'ink' },
  align: 'left',
  bullet: { symbol: '•', color: { role: 'accent2' } },
  ...more,
})

/** The theme that a new deck starts with. */
export const houseTheme: Theme = {
  id: 'theme',
  name: 'Quayside',
  palette: {
    ground: '#f4f7f5',
    ink: '#15262b',
    accent1: '#1f5f6b',
    accent2: '#e6a037',
    accent3: '#12615c',
    accent4: '#7d4a78',
    accent5: '#8b8a2c',
    accent6: '#c34d3b',
    link: '#2f7f9a',
  },
  fonts: { display: 'Bricolage Grotesque', body: 'Hanken Grotesk', mono: 'Spline Sans Mono' },
  textStyles: {
    title: style('Title', 'display', 116, 64, 700, { mostSize: 150, balanced: true, lineHeight: 1.08, letterSpacing: -0.015 }),
    subtitle: style('Subtitle', 'body', 46, 32, 400, { color: { role: 'ink', alpha: 0.8 } }),
    heading: style('Heading', 'display', 68, 44, 700, { balanced: true, lineHeight: 1.1, letterSpacing: -0.01 }),
    body: style('Body', 'body', 46, 30, 400, { mostSize: 58, paragraphSpacing: 0.5 }),
    lead: style('Lead words', 'body', 50, 30, 700, { mostSize: 64, lineHeight: 1.15 }),
    small: style('Small', 'body', 28, 22, 400, { color: { role: 'ink', alpha: 0.75 } }),
    number: style('Number', 'mono', 120, 60, 600, { mostSize: 200, units: 0.5, lineHeight: 1.05, color: { role: 'accent3' } }),
    quote: style('Quote', 'display', 60, 40, 500, { mostSize: 96, balanced: true, lineHeight: 1.25 }),
  },
  ground: { role: 'ground' },
  margin: 110,
}
