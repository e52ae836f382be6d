/** The harbour's mark: a hull over two waves, with its name; in ink for light grounds, in paper for dark ones. */
export function makeLogo(form: 'light' | 'dark'): { name: string; bytes: Buffer } {
  const [ink, wave, sun] = form === 'light' ? ['#15262b', '#12615c', '#e6a037'] : ['#fbfcfa', '#7fd0c3', '#f2b84b']
  const letters = [
    // V, E, L, M, O, O, R as plain strokes, so that the mark needs no font.
    'M0 0L9 26L18 0',
    'M24 0V26M24 0H38M24 13H36M24 26H38',
    'M45 0V26H58',
    'M64 26V0L74 16L84 0V26',
    'M103 0A13 13 0 1 0 103.1 0',
    'M133 0A13 13 0 1 0 133.1 0',
    'M152 26V0H161A7 7 0 0 1 161 14H152M160 14L169 26',
  ]
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 84" width="300" height="84">
<circle cx="60" cy="22" r="10" fill="${sun}"/>
<path d="M8 38H92L82 58H22Z" fill="${ink}"/>
<path d="M6 68Q17 60 28 68T50 68T72 68T94 68" fill="none" stroke="${wave}" stroke-width="5" stroke-linecap="round"/>
<g transform="translate(116 30)" fill="none" stroke="${ink}" stroke-width="4.6" stroke-linecap="round" stroke-linejoin="round">${letters.map(path => `<path d="${path}"/>`).join('')}</g>
</svg>`
  return { name: form === 'light' ? 'Velmoor mark.svg' : 'Velmoor mark, for dark grounds.svg', bytes: Buffer.from(svg) }
}
